import type { Placement, SpokenWords } from '../../api/client';

export interface Line {
  first: number;
  /** Name of the section this line opens; blank in its other lines. */
  section: string;
  /** Words without chords that stand before this line. */
  before: SpokenWords[];
  placements: Placement[];
}

const BARS_A_LINE = 4;

/** Placements in lines of four bars; a new section, or words without chords, begin a new line. */
export function lines(placements: Placement[], words: SpokenWords[] = []): Line[] {
  const all: Line[] = [];
  let firstBar = 0;
  for (const [index, placement] of placements.entries()) {
    const newBar = placement.bar !== placements[index - 1]?.bar;
    const before = newBar ? words.filter((spoken) => spoken.bar === placement.bar - 1) : [];
    const opens = index === 0 || placement.section !== placements[index - 1]?.section;
    const full = placement.bar >= firstBar + BARS_A_LINE;
    if (opens || full || before.length > 0) {
      firstBar = placement.bar;
      const section = opens ? placement.section : '';
      all.push({ first: placement.index, section, before, placements: [] });
    }
    all.at(-1)?.placements.push(placement);
  }
  return all;
}

/** Words that stand after the last bar. */
export function wordsAfter(placements: Placement[], words: SpokenWords[]): SpokenWords[] {
  const bars = placements.at(-1)?.bar ?? 0;
  return words.filter((spoken) => spoken.bar >= bars);
}
