import type { Arrangement, Placement, ReadingChoice, ReadingOffer } from '../../../api/client';

/** How far a decision about a reading reaches. */
export type Scope = 'here' | 'alike' | 'section';

export type Stand = 'pinned' | 'accepted' | 'refused';

/** Readings that belong to a chord standing still, and are taken for as long as it does. */
const SPELLS = /^(falling-line|major-line|turnaround)/;

/** First place of every placement of the chart, in order. */
function placesOf(arrangement: Arrangement): Placement[] {
  return arrangement.placements.filter((p) => p.part === 0);
}

/** The chart's own chord of a place. */
function chordOf(placement: Placement | undefined): string {
  return placement?.reading.original ?? '';
}

/** Placements of the chart a decision at one place is about. */
export function reach(arrangement: Arrangement, at: Placement, reading: string, scope: Scope): number[] {
  const places = placesOf(arrangement);
  const index = places.findIndex((p) => p.placement === at.placement);
  if (SPELLS.test(reading)) {
    return spell(places, index);
  }
  const next = chordOf(places[index + 1]);
  return places
    .filter((p, i) => {
      const alike = chordOf(p) === chordOf(at) && chordOf(places[i + 1]) === next && p.beats === at.beats;
      return (
        p.placement === at.placement ||
        (scope === 'alike' && alike) ||
        (scope === 'section' && alike && p.section === at.section)
      );
    })
    .map((p) => p.placement);
}

/** The placements around one over which its chord stands still. */
function spell(places: Placement[], index: number): number[] {
  const same = (i: number) =>
    chordOf(places[i]) === chordOf(places[index]) && places[i]?.section === places[index]?.section;
  let from = index;
  let to = index;
  while (from > 0 && same(from - 1)) {
    from--;
  }
  while (to + 1 < places.length && same(to + 1)) {
    to++;
  }
  return places.slice(from, to + 1).map((p) => p.placement);
}

/** What was said to a reading at a placement. */
export function standOf(choices: ReadingChoice[], placement: number, reading: string): Stand | null {
  const choice = choices.find((c) => c.placement === placement && c.reading === reading);
  return (choice?.stand as Stand | undefined) ?? null;
}

/** A decision about a reading: the choices it makes, and those it replaces. A pin replaces every other pin there. */
export function decide(
  known: ReadingChoice[],
  placements: number[],
  reading: string,
  stand: Stand | null,
): { choices: ReadingChoice[]; forget: { placement: number; reading: string }[] } {
  const forget = known
    .filter((c) => c.placement !== undefined && placements.includes(c.placement))
    .filter((c) => c.reading === reading || (stand === 'pinned' && c.stand === 'pinned'))
    .map((c) => ({ placement: c.placement ?? 0, reading: c.reading ?? '' }));
  return {
    forget,
    choices: stand === null ? [] : placements.map((placement) => ({ placement, reading, stand })),
  };
}

/** Offers of different rules that put the same chords in at the same price, as one under all their names. */
export function merged(offers: ReadingOffer[], keep: (offer: ReadingOffer) => boolean): ReadingOffer[] {
  const first = new Map<string, ReadingOffer>();
  for (const offer of offers) {
    const key = `${offer.chords.map((c) => `${c.chord} ${c.beats}`).join(' ')} ${offer.price?.toFixed(2)}`;
    const same = first.get(key);
    if (same && !keep(offer)) {
      first.set(key, { ...same, name: `${same.name}; ${offer.name}` });
    } else {
      first.set(same ? offer.id : key, offer);
    }
  }
  return [...first.values()];
}
