import type { Placement } from '../../api/client';

export interface Line {
  first: number;
  /** Name of the section this line opens; blank in its other lines. */
  section: string;
  placements: Placement[];
}

const BARS_A_LINE = 4;

/** Placements in lines of four bars; a new section begins a new line. */
export function lines(placements: Placement[]): Line[] {
  const all: Line[] = [];
  let firstBar = 0;
  for (const [index, placement] of placements.entries()) {
    const opens = index === 0 || placement.section !== placements[index - 1]?.section;
    const full = placement.bar >= firstBar + BARS_A_LINE;
    if (opens || full) {
      firstBar = placement.bar;
      all.push({ first: placement.index, section: opens ? placement.section : '', placements: [] });
    }
    all.at(-1)?.placements.push(placement);
  }
  return all;
}
