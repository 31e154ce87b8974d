import Meyda from 'meyda';
import type { Loop, Sounding } from './simulatedHand';

/** A stroke as it was heard. */
export interface Stroke {
  /** Seconds from the start. */
  at: number;
  /** Which of the two chords it sounds like. */
  chord: 'from' | 'to';
}

export interface Heard {
  strokes: Stroke[];
  /** When a chord was let go between two strokes, in seconds from the start; null where it rang on. */
  leftBefore: (before: number, after: number) => number | null;
}

/** Samples of a frame, and from one frame to the next: six milliseconds. */
const FRAME = 1024;
const HOP = 256;

/** Frames that tell which chord it is: long, for the low strings lie close together. */
const CHORD_FRAME = 8192;

/** Seconds after a stroke before its chord is listened to: the pick's noise is over. */
const SETTLED = 0.05;

/** Strokes are so many seconds apart at least. */
const APART = 0.11;

/** A new stroke is so many times as loud as the frames before. */
const RISE = 1.35;

/** Softer than this part of the loudest is no stroke. */
const FLOOR = 0.12;

/** Fingers that leave their strings take so many decibels within DROP_SECONDS. */
const DROP_DB = 2.2;
const DROP_SECONDS = 0.045;

/** How loud the partials of a string are in other tones than its own: the third and the fifth partial. */
const THIRD_PARTIAL = { step: 7, level: 0.35 };
const FIFTH_PARTIAL = { step: 4, level: 0.15 };

/** Rounds in which strokes are told apart, and fewest strokes that say what their chord sounds like. */
const ROUNDS = 3;
const FEWEST_ALIKE = 3;

/** Finds the strokes of a loop in a recording. */
export function hear(samples: Float32Array, sampleRate: number, loop: Pick<Loop, 'from' | 'to'>): Heard {
  Meyda.sampleRate = sampleRate;
  const level = levels(samples);
  const seconds = HOP / sampleRate;
  const begins = onsets(level, seconds);
  const chords = labelled(
    begins.map((frame) => chromaAfter(samples, sampleRate, frame * HOP)),
    loop,
  );
  const strokes = begins.map((frame, i): Stroke => ({
    at: (frame * HOP + FRAME / 2) / sampleRate,
    chord: chords[i] ?? 'from',
  }));
  return { strokes, leftBefore: (before, after) => leftBefore(level, seconds, before, after) };
}

/** Loudness of each frame. */
function levels(samples: Float32Array): number[] {
  Meyda.bufferSize = FRAME;
  const level: number[] = [];
  for (let start = 0; start + FRAME <= samples.length; start += HOP) {
    let sum = 0;
    for (let i = start; i < start + FRAME; i++) {
      const sample = samples[i] ?? 0;
      sum += sample * sample;
    }
    level.push(Math.sqrt(sum / FRAME));
  }
  return level;
}

/** Frames at which a stroke begins. */
function onsets(level: number[], seconds: number): number[] {
  const floor = FLOOR * Math.max(...level);
  const apart = Math.round(APART / seconds);
  const back = 4;
  const found: number[] = [];
  for (let i = back; i < level.length - 1; i++) {
    const rise = (level[i] ?? 0) / Math.max(1e-6, level[i - back] ?? 0);
    const next = (level[i + 1] ?? 0) / Math.max(1e-6, level[i + 1 - back] ?? 0);
    const isPeak = rise >= next;
    if (rise > RISE && isPeak && (level[i] ?? 0) > floor && i - (found.at(-1) ?? -apart) >= apart) {
      found.push(i);
    }
  }
  return found;
}

/** Which chord each stroke sounds like: first by its tones, then by the strokes that were told before. */
function labelled(chromas: number[][], loop: Pick<Loop, 'from' | 'to'>): ('from' | 'to')[] {
  let [from, to] = [template(loop.from), template(loop.to)];
  let labels: ('from' | 'to')[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    labels = chromas.map((chroma) => (alike(chroma, from) >= alike(chroma, to) ? 'from' : 'to'));
    from = mean(chromas.filter((_, i) => labels[i] === 'from')) ?? from;
    to = mean(chromas.filter((_, i) => labels[i] === 'to')) ?? to;
  }
  return labels;
}

function mean(chromas: number[][]): number[] | null {
  return chromas.length < FEWEST_ALIKE
    ? null
    : Array.from(
        { length: 12 },
        (_, tone) => chromas.reduce((sum, c) => sum + (c[tone] ?? 0), 0) / chromas.length,
      );
}

function chromaAfter(samples: Float32Array, sampleRate: number, onset: number): number[] {
  const start = Math.min(samples.length - CHORD_FRAME, onset + Math.round(SETTLED * sampleRate));
  Meyda.bufferSize = CHORD_FRAME;
  const chroma = start < 0 ? null : Meyda.extract('chroma', samples.subarray(start, start + CHORD_FRAME));
  return Array.isArray(chroma) ? (chroma as number[]) : new Array<number>(12).fill(0);
}

/** The tones a chord is heard as, from C. */
function template(chord: Sounding[]): number[] {
  const tones = new Array<number>(12).fill(0);
  for (const { midi } of chord) {
    for (const { step, level } of [{ step: 0, level: 1 }, THIRD_PARTIAL, FIFTH_PARTIAL]) {
      const tone = (midi + step) % 12;
      tones[tone] = (tones[tone] ?? 0) + level;
    }
  }
  return tones;
}

/** How alike two distributions of tones are, -1 to 1: what both have everywhere counts for nothing. */
function alike(a: number[], b: number[]): number {
  const mean = (of: number[]) => of.reduce((sum, x) => sum + x, 0) / of.length;
  const [ma, mb] = [mean(a), mean(b)];
  let both = 0;
  let [sa, sb] = [0, 0];
  a.forEach((x, i) => {
    const y = (b[i] ?? 0) - mb;
    both += (x - ma) * y;
    sa += (x - ma) ** 2;
    sb += y * y;
  });
  return sa * sb === 0 ? 0 : both / Math.sqrt(sa * sb);
}

/** When the loudness falls most between two strokes. */
function leftBefore(level: number[], seconds: number, before: number, after: number): number | null {
  const width = Math.max(1, Math.round(DROP_SECONDS / seconds));
  const first = Math.round((before + APART) / seconds);
  const last = Math.min(level.length - 1, Math.round(after / seconds) - 3);
  let most = 0;
  let at = -1;
  for (let i = first; i + width <= last; i++) {
    const drop = 20 * Math.log10(Math.max(1e-6, level[i] ?? 0) / Math.max(1e-6, level[i + width] ?? 0));
    if (drop > most) {
      most = drop;
      at = i;
    }
  }
  return most < DROP_DB ? null : at * seconds + (FRAME / 2) * (seconds / HOP);
}
