import type { Arrangement, PlannedPart } from '../../api/client';

export interface Fact {
  name: string;
  left: string;
  right: string;
}

type Held = NonNullable<PlannedPart['places'][number]['grip']>;

/** A part as it can be compared: one that was kept as it was planned, or one that is planned now. */
export type Comparable = Omit<PlannedPart, 'schema' | 'strokes'>;

/** What can be compared of an arrangement that was planned now. */
export function comparable(a: Arrangement): Comparable {
  const chosen = a.capo.candidates.find((c) => c.capo === a.capo.chosen);
  const worst = chosen?.worstChange;
  const name = (index: number) => a.placements[index]?.played ?? '';
  return {
    key: a.key,
    capo: a.capo.chosen,
    rung: a.rung,
    tempo: a.tempo,
    fastestTempo: a.fastestTempo,
    total: a.total,
    barres: chosen?.barres ?? 0,
    hardest: worst
      ? { from: name(worst.from), to: name(worst.to), neededSeconds: worst.neededSeconds }
      : null,
    places: a.placements.map(({ bar, section, played, grip }) => ({ bar, section, played, grip })),
  };
}

/** What two parts of a song come to, fact by fact. */
export function facts(left: Comparable, right: Comparable): Fact[] {
  const rows: [string, (a: Comparable) => string][] = [
    ['Sounds in', (a) => a.key],
    ['Capo', (a) => (a.capo === 0 ? 'none' : String(a.capo))],
    ['Rung', (a) => String(a.rung)],
    ['Effort', (a) => a.total.toFixed(1)],
    ['Barres', (a) => String(a.barres)],
    ['Shapes', (a) => String(new Set(a.places.flatMap((p) => (p.grip ? [p.grip.shape] : []))).size)],
    ['Tempo', (a) => String(a.tempo)],
    ['Holds up to', (a) => String(a.fastestTempo)],
    ['Hardest change', hardest],
  ];
  return rows.map(([name, of]) => ({ name, left: of(left), right: of(right) }));
}

function hardest({ hardest: change }: Comparable): string {
  return change ? `${change.from} to ${change.to}, ${change.neededSeconds.toFixed(2)} s` : 'none';
}

export interface Difference {
  bar: number;
  section: string;
  left: { name: string; grip: Held | null };
  right: { name: string; grip: Held | null };
}

/** Places, in order, whose grip or chord differs; the first of each kind only. */
export function differences(left: Comparable, right: Comparable): Difference[] {
  const seen = new Set<string>();
  const count = Math.max(left.places.length, right.places.length);
  return Array.from({ length: count }, (_, i) => {
    const a = left.places[i];
    const b = right.places[i];
    return {
      bar: a?.bar ?? b?.bar ?? 0,
      section: a?.section ?? b?.section ?? '',
      left: { name: a?.played ?? '', grip: a?.grip ?? null },
      right: { name: b?.played ?? '', grip: b?.grip ?? null },
    };
  }).filter((d) => {
    const kind = [d.left.name, d.left.grip?.shape, d.right.name, d.right.grip?.shape].join('|');
    const differs = d.left.grip?.shape !== d.right.grip?.shape || d.left.name !== d.right.name;
    const fresh = differs && !seen.has(kind);
    seen.add(kind);
    return fresh;
  });
}
