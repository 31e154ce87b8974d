import type { ReadingChoice, ReadingOffer, Readings } from '../../../api/client';

/** How far a decision about a reading reaches. */
export type Scope = 'here' | 'alike' | 'section';

export type Stand = 'pinned' | 'accepted' | 'refused';

/** Placements of the chart a decision about a reading is about; what goes on over a still chord is taken for as long as it does. */
export function reach(readings: Readings, placement: number, reading: string, scope: Scope): number[] {
  const offer = readings.readings.find((r) => r.id === reading);
  if (offer?.overStill) {
    return readings.reach.still;
  }
  return scope === 'here' ? [placement] : readings.reach[scope];
}

/** What was said to a reading at a placement. */
export function standOf(choices: ReadingChoice[], placement: number, reading: string): Stand | null {
  const choice = choices.find((c) => c.placement === placement && c.reading === reading);
  return (choice?.stand as Stand | undefined) ?? null;
}

/** Readings that were said something to here and that this rung does not offer, so that they can be given up. */
export function notOffered(choices: ReadingChoice[], readings: Readings, placement: number): string[] {
  const known = new Set([
    ...readings.readings.map((offer) => offer.id),
    ...readings.refusals.flatMap((refusal) => refusal.clashing.map((clash) => clash.id)),
  ]);
  return choices
    .filter((c) => c.placement === placement && c.stand !== 'refused' && !known.has(c.reading ?? ''))
    .map((c) => c.reading ?? '');
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
