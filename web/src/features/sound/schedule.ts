import type { HeardNote, Part } from '../../api/client';
import type { Timbre } from './strings';

/** Notes that are struck at one time, in beats from the start of the song. */
export interface Stroke {
  beat: number;
  place: number;
  notes: HeardNote[];
}

/** The strokes of a part in the order of time. */
export function strokes(part: Part): Stroke[] {
  const all: Stroke[] = [];
  for (const note of part.heard) {
    const last = all.at(-1);
    if (last?.beat === note.beat && last.place === note.place) {
      last.notes.push(note);
    } else {
      all.push({ beat: note.beat, place: note.place, notes: [note] });
    }
  }
  return all;
}

/** Loudness from which a string is struck hard enough to sound bright. */
const BRIGHT_FROM = 0.66;

export function timbreOf({ manner, loudness }: HeardNote): Timbre {
  if (manner === 'dead') {
    return 'dead';
  }
  if (manner === 'palm-muted') {
    return 'palm';
  }
  return loudness >= BRIGHT_FROM && manner !== 'left-hand' ? 'loud' : 'soft';
}

/** A stretch of the song in beats. */
export interface Stretch {
  from: number;
  to: number;
}

/** The beats of some bars, both included; the whole song without a loop. */
export function stretchOf(part: Part, loop: { from: number; to: number } | null): Stretch {
  const bars = loop ? part.bars.filter((b) => b.number >= loop.from && b.number <= loop.to) : part.bars;
  const first = bars[0];
  const last = bars.at(-1);
  return first && last ? { from: first.from, to: last.from + last.beats } : { from: 0, to: part.beats };
}

/** The bar a beat is in; the first bar before the song, the last one after it. */
export function barAt(part: Part, beat: number): Part['bars'][number] | undefined {
  return part.bars.findLast((b) => b.from <= beat + 1e-6) ?? part.bars[0];
}

/** Where a beat lies: number of the bar, and the beat in it from 1. */
export function clockAt(part: Part, beat: number): { bar: number; beat: number } {
  const bar = barAt(part, beat);
  return bar ? { bar: bar.number, beat: Math.floor(beat - bar.from + 1e-6) + 1 } : { bar: 1, beat: 1 };
}

/** The place sounding at a beat; null before the first. */
export function placeAt(all: Stroke[], beat: number): number | null {
  return all.findLast((stroke) => stroke.beat <= beat + 1e-6)?.place ?? null;
}

/** The beat at which a place begins to sound; null where it is silent. */
export function beatOf(all: Stroke[], place: number): number | null {
  return all.find((stroke) => stroke.place === place)?.beat ?? null;
}

/** Beats of the metre that are counted as one: three in 6/8, 9/8 and 12/8. */
export function countedTogether(metre: string): number {
  const [beats = 4, unit = 4] = metre.split('/').map(Number);
  return unit === 8 && beats % 3 === 0 ? 3 : 1;
}

/** A click, and whether it is the first of its bar. */
export interface Click {
  beat: number;
  first: boolean;
}

/** The clicks of all bars, as they are counted. */
export function clicks(part: Part): Click[] {
  return part.bars.flatMap((bar) => clicksOf(bar.from, bar.beats, bar.metre));
}

/** A bar that is counted before one plays: as long as the metre's, up to a beat. */
export function countIn(part: Part, beat: number): Click[] {
  const metre = barAt(part, beat)?.metre ?? '4/4';
  const beats = Number(metre.split('/')[0]);
  return clicksOf(beat - beats, beats, metre);
}

function clicksOf(from: number, beats: number, metre: string): Click[] {
  const step = countedTogether(metre);
  const count = Math.max(1, Math.round(beats / step));
  return Array.from({ length: count }, (_, i) => ({ beat: from + i * step, first: i === 0 }));
}

/** Where a guitar stands, -1 left to 1 right: alone in the middle, two of them apart. */
export function panOf(guitar: number, of: number): number {
  return of === 1 ? 0 : guitar === 0 ? -0.35 : 0.35;
}
