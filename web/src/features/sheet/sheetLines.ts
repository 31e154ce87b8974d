import type { Placement, SpokenWords } from '../../api/client';

export interface Line {
  first: number;
  /** Name of the section this line opens; blank in its other lines. */
  section: string;
  /** Words without chords that stand before this line. */
  before: SpokenWords[];
  /** The placements of each of its bars. */
  bars: Placement[][];
}

/** Placements in the lines of the chart; a new section, or words without chords, begin a new line too. */
export function lines(placements: Placement[], words: SpokenWords[] = []): Line[] {
  const all: Line[] = [];
  for (const [index, placement] of placements.entries()) {
    const newBar = placement.bar !== placements[index - 1]?.bar;
    const before = newBar ? words.filter((spoken) => spoken.bar === placement.bar - 1) : [];
    const opens = index === 0 || placement.section !== placements[index - 1]?.section;
    if (opens || placement.newLine || before.length > 0) {
      const section = opens ? placement.section : '';
      all.push({ first: placement.index, section, before, bars: [] });
    }
    const bars = all.at(-1)?.bars ?? [];
    if (newBar || bars.length === 0) {
      bars.push([]);
    }
    bars.at(-1)?.push(placement);
  }
  return all;
}

/** Words that stand after the last bar. */
export function wordsAfter(placements: Placement[], words: SpokenWords[]): SpokenWords[] {
  const bars = placements.at(-1)?.bar ?? 0;
  return words.filter((spoken) => spoken.bar >= bars);
}
