import type { Arrangement, Grip } from '../../api/client';

export interface Fact {
  name: string;
  left: string;
  right: string;
}

/** What two arrangements of a song come to, fact by fact. */
export function facts(left: Arrangement, right: Arrangement): Fact[] {
  const rows: [string, (a: Arrangement) => string][] = [
    ['Sounds in', (a) => a.key],
    ['Capo', (a) => (a.capo.chosen === 0 ? 'none' : String(a.capo.chosen))],
    ['Rung', (a) => String(a.rung)],
    ['Effort', (a) => a.total.toFixed(1)],
    ['Barres', (a) => String(chosen(a)?.barres ?? 0)],
    ['Shapes', (a) => String(shapes(a).size)],
    ['Tempo', (a) => String(a.tempo)],
    ['Holds up to', (a) => String(a.fastestTempo)],
    ['Hardest change', hardest],
  ];
  return rows.map(([name, of]) => ({ name, left: of(left), right: of(right) }));
}

function chosen(a: Arrangement) {
  return a.capo.candidates.find((c) => c.capo === a.capo.chosen);
}

function hardest(a: Arrangement): string {
  const worst = chosen(a)?.worstChange;
  const name = (index: number) => a.placements[index]?.played ?? '';
  return worst ? `${name(worst.from)} to ${name(worst.to)}, ${worst.neededSeconds.toFixed(2)} s` : 'none';
}

function shapes(a: Arrangement): Map<string, Grip> {
  return new Map(a.placements.flatMap((p) => (p.grip ? [[p.grip.shape, p.grip] as const] : [])));
}

export interface Difference {
  bar: number;
  section: string;
  left: { name: string; grip: Grip | null };
  right: { name: string; grip: Grip | null };
}

/** Places, in order, whose grip or chord differs; the first of each kind only. */
export function differences(left: Arrangement, right: Arrangement): Difference[] {
  const seen = new Set<string>();
  const count = Math.max(left.placements.length, right.placements.length);
  return Array.from({ length: count }, (_, i) => {
    const a = left.placements[i];
    const b = right.placements[i];
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
