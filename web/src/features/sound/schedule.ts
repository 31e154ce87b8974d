import type { Part } from '../../api/client';

/** A note to be sounded, in beats from the start of the song. */
export interface Sounding {
  beat: number;
  place: number;
  midi: number;
  /** Beats it rings. */
  ring: number;
  /** 0 to 1. */
  loudness: number;
  kind: 'ring' | 'muted' | 'ghost';
  /** Place in a strum: strings struck before it. */
  after: number;
}

const LOUDNESS: Record<string, number> = { accent: 1, normal: 0.7, ghost: 0.35 };

/** The notes of a part in the order of time; a strum up begins at the highest string. */
export function soundings(part: Part): Sounding[] {
  return part.bars.flatMap((bar) =>
    bar.events.flatMap((event) => {
      const notes = event.strum === 'up' ? [...event.notes].reverse() : event.notes;
      return notes.map((note, after): Sounding => {
        const made = note.technique === 'hammer-on' || note.technique === 'pull-off' ? 0.7 : 1;
        return {
          beat: event.beat,
          place: event.place,
          midi: note.midi,
          ring: note.ring,
          loudness: (LOUDNESS[event.weight] ?? 0.7) * made,
          kind: event.weight === 'ghost' ? 'ghost' : event.sound === 'ring' ? 'ring' : 'muted',
          after: event.strum ? after : 0,
        };
      });
    }),
  );
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

/** Where a beat lies: number of the bar, and the beat in it from 1. */
export function clockAt(part: Part, beat: number): { bar: number; beat: number } {
  const bar = [...part.bars].reverse().find((b) => b.from <= beat + 1e-6) ?? part.bars[0];
  return bar ? { bar: bar.number, beat: Math.floor(beat - bar.from + 1e-6) + 1 } : { bar: 1, beat: 1 };
}

/** The place sounding at a beat; null before the first. */
export function placeAt(notes: Sounding[], beat: number): number | null {
  let place: number | null = null;
  for (const note of notes) {
    if (note.beat > beat + 1e-6) {
      break;
    }
    place = note.place;
  }
  return place;
}

/** Beats at which the click sounds, with the first of each bar marked. */
export function clicks(part: Part): { beat: number; first: boolean }[] {
  return part.bars.flatMap((bar) =>
    Array.from({ length: Math.round(bar.beats) }, (_, i) => ({ beat: bar.from + i, first: i === 0 })),
  );
}

/** Where a guitar stands, -1 left to 1 right: alone in the middle, two of them apart. */
export function panOf(guitar: number, of: number): number {
  return of === 1 ? 0 : guitar === 0 ? -0.35 : 0.35;
}
