import type { Placement, RepeatedBar } from '../../api/client';

/** Placements as they stand on a sheet where a repeat stands once. */
export interface Folded {
  shown: Placement[];
  /** What stands at a bar that a repeat or one of its endings begins or ends with, by its number. */
  signs: Map<number, RepeatedBar>;
  /** Where the placement of an index is shown: its own index, or that of the one it repeats. */
  shownAs: Map<number, number>;
}

/** Leaves out the bars that others stand for. */
export function folded(placements: Placement[], repeats: RepeatedBar[]): Folded {
  const signs = new Map(repeats.map((repeat) => [repeat.bar, repeat]));
  const standsFor = new Map(repeats.flatMap(({ bar, plays }) => plays.map((play) => [play, bar] as const)));
  const inBar = new Map<number, number[]>();
  const shownAs = new Map<number, number>();
  for (const { bar, index } of placements) {
    const own = [...(inBar.get(bar) ?? []), index];
    inBar.set(bar, own);
    const shown = inBar.get(standsFor.get(bar) ?? bar)?.[own.length - 1];
    shownAs.set(index, shown ?? index);
  }
  return {
    shown: placements.filter(({ bar }) => (standsFor.get(bar) ?? bar) === bar),
    signs,
    shownAs,
  };
}
