import type { Arrangement } from '../api/client';

/** Bars that are gone over again and again; both ends included. */
export interface Loop {
  from: number;
  to: number;
}

/** The loop between two bars, whichever was touched first. */
export function loopOf(one: number, other: number): Loop {
  return { from: Math.min(one, other), to: Math.max(one, other) };
}

/** The bars of the section a bar is in, without a break. */
export function sectionLoop(arrangement: Arrangement, bar: number): Loop {
  const { placements } = arrangement;
  const at = placements.findIndex((p) => p.bar === bar);
  const section = placements[at]?.section;
  let first = at;
  let last = at;
  while (first > 0 && placements[first - 1]?.section === section) {
    first--;
  }
  while (last + 1 < placements.length && placements[last + 1]?.section === section) {
    last++;
  }
  return { from: placements[first]?.bar ?? bar, to: placements[last]?.bar ?? bar };
}

/** Fastest tempo at which every change inside the loop is in time. */
export function loopTempo(arrangement: Arrangement, loop: Loop): number | null {
  const inside = (index: number) => {
    const bar = arrangement.placements[index]?.bar ?? 0;
    return bar >= loop.from && bar <= loop.to;
  };
  const tempos = arrangement.changes.filter((c) => inside(c.from) && inside(c.to)).map((c) => c.holdsUpTo);
  return tempos.length === 0 ? null : Math.min(...tempos);
}

/** Bars in order with the columns they take on the road. */
export function barColumns(arrangement: Arrangement): { bar: number; first: number; count: number }[] {
  const bars: { bar: number; first: number; count: number }[] = [];
  for (const { bar, index } of arrangement.placements) {
    const last = bars.at(-1);
    if (last?.bar === bar) {
      last.count++;
    } else {
      bars.push({ bar, first: index, count: 1 });
    }
  }
  return bars;
}
