/** How a string is struck and left: to ring, hard or softly, under the edge of the hand, or damped to a tick. */
export type Timbre = 'loud' | 'soft' | 'palm' | 'dead';

/** How a string is made to sound. */
export interface Pluck {
  hertz: number;
  sampleRate: number;
  timbre: Timbre;
}

interface Character {
  seconds: number;
  /** Seconds after which the fundamental is 60 dB softer, at 110 Hz; higher strings die sooner. */
  sustain: number;
  /** How dull the pick is, 0 to 1. */
  dull: number;
  /** How fast the high partials die on the way round, 0 to 1. */
  loss: number;
}

const CHARACTERS: Record<Timbre, Character> = {
  loud: { seconds: 4, sustain: 9, dull: 0.62, loss: 0.5 },
  soft: { seconds: 4, sustain: 9, dull: 0.84, loss: 0.6 },
  palm: { seconds: 0.7, sustain: 1.2, dull: 0.95, loss: 0.86 },
  dead: { seconds: 0.12, sustain: 0.06, dull: 0.5, loss: 0.86 },
};

/** Where along the string the pick strikes, as a part of its length. */
const PICK_AT = 0.18;

/** The string whose partials die as the table says; on thinner ones they last longer. */
const LOW_HERTZ = 82.4;

/**
 * A plucked string by K. Karplus and A. Strong (Computer Music Journal 7:2, 1983), with the pick's place and a loss that
 * grows with frequency by D. Jaffe and J. Smith (same issue): noise goes round in a delay line as long as a period, and
 * loses its high partials on the way. The noise differs from string to string and is the same at every call.
 */
export function pluck({ hertz, sampleRate, timbre }: Pluck): Float32Array {
  const { seconds, sustain, dull, loss } = CHARACTERS[timbre];
  const samples = new Float32Array(Math.round(seconds * sampleRate));
  const pole = loss * Math.pow(LOW_HERTZ / hertz, 0.35);
  const exact = sampleRate / hertz - pole / (1 - pole);
  const length = Math.max(2, Math.floor(exact - 0.3));
  const tuning = exact - length;
  const line = burst(length, dull, Math.round(hertz * 100));
  const rings = sustain * Math.pow(110 / hertz, 0.3);
  const kept = Math.pow(0.001, 1 / (hertz * rings));
  const gain = (1 - tuning) / (1 + tuning);
  let at = 0;
  let low = 0;
  let allpassIn = 0;
  let allpassOut = 0;
  for (let i = 0; i < samples.length; i++) {
    samples[i] = line[at] ?? 0;
    low = pole * low + (1 - pole) * kept * (line[at] ?? 0);
    // A fraction of a sample more of delay, so that the string is in tune.
    const out = gain * (low - allpassOut) + allpassIn;
    allpassIn = low;
    allpassOut = out;
    line[at] = out;
    at = at + 1 === length ? 0 : at + 1;
  }
  return levelled(samples, sampleRate);
}

/** The noise of a pick: dull or sharp, with the partials missing that have a knot where it strikes, and without any offset. */
function burst(length: number, dull: number, seed: number): Float32Array {
  const noise = new Float32Array(length);
  let state = (seed % 2_147_483_646) + 1;
  let low = 0;
  for (let i = 0; i < length; i++) {
    state = (state * 16_807) % 2_147_483_647;
    low = dull * low + (1 - dull) * (state / 1_073_741_823.5 - 1);
    noise[i] = low;
  }
  const knot = Math.max(1, Math.round(PICK_AT * length));
  const line = noise.map((x, i) => x - 0.85 * (noise[(i + length - knot) % length] ?? 0));
  const mean = line.reduce((sum, x) => sum + x, 0) / length;
  return line.map((x) => x - mean);
}

/** Of the same loudness on every string over its first fifth of a second, and faded out at its end. */
function levelled(samples: Float32Array, sampleRate: number): Float32Array {
  const first = samples.subarray(0, Math.round(0.2 * sampleRate));
  const loudness = Math.sqrt(first.reduce((sum, x) => sum + x * x, 0) / first.length) || 1;
  const fade = Math.min(samples.length, Math.round(0.03 * sampleRate));
  return samples.map((x, i) => ((0.1 * x) / loudness) * Math.min(1, (samples.length - i) / fade));
}

/** Frequency of a MIDI note in hertz, at A4 = 440 Hz. */
export function hertzOf(midi: number): number {
  return 440 * Math.pow(2, (midi - 69) / 12);
}
