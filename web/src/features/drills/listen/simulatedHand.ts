import { hertzOf, pluck } from '../../sound/strings';
import { judged, type Verdict } from './verdict';

/** A string as it sounds in a grip. */
export interface Sounding {
  midi: number;
  isOpen: boolean;
}

/** What a hand is to play: a bar of four strokes of one chord, a bar of the other, and so on. */
export interface Loop {
  from: Sounding[];
  to: Sounding[];
  tempo: number;
}

/** How a simulated hand plays. */
export interface Manner {
  bars: number;
  /** Seconds a change takes it, on average. */
  seconds: number;
  /** Noise of the room: 1 for noise 16 dB below the loudest stroke. */
  noise: number;
  seed: number;
  sampleRate: number;
}

/** A change as it was played; times are seconds from the start. */
export interface PlayedChange {
  /** When the old chord was let go. */
  left: number;
  /** When the new one was struck. */
  sounded: number;
  verdict: Verdict;
}

export interface Played {
  samples: Float32Array;
  changes: PlayedChange[];
}

export const BEATS_A_BAR = 4;

/** Seconds before the first stroke. */
const LEAD_IN = 0.6;

/** A strum's strings follow one another by so many seconds. */
const STRUM_SECONDS = 0.007;

/** A finger that leaves its string damps it to a third in so many seconds. */
const DAMP_SECONDS = 0.018;

/** Spread of strokes around the beat, in seconds, and of a change's time, as a part of it. */
const STROKE_SPREAD = 0.008;
const CHANGE_SPREAD = 0.25;

/** The hand leaves a chord as late as it can, and at most so much of a beat before the next. */
const MOST_LEAD = 0.8;

/** How often it stays on the old chord. */
const FORGETS = 0.06;

/** Numbers from 0 to 1, the same for the same seed (mulberry32, public domain). */
function randoms(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** The sound of a hand that plays a loop, and what it really did. The same seed sounds the same. */
export function simulatedHand({ from, to, tempo }: Loop, manner: Manner): Played {
  const { bars, sampleRate } = manner;
  const random = randoms(manner.seed);
  const gauss = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const beat = 60 / tempo;
  const samples = new Float32Array(Math.ceil((LEAD_IN + (bars * BEATS_A_BAR + 2) * beat) * sampleRate));
  const strings = new Map<number, Float32Array>();
  const changes: PlayedChange[] = [];
  let held = from;
  let sounding: { string: Sounding; start: number }[] = [];
  const render = (string: Sounding, start: number, until: number, damped: boolean) => {
    const sound =
      strings.get(string.midi) ?? pluck({ hertz: hertzOf(string.midi), sampleRate, timbre: 'loud' });
    strings.set(string.midi, sound);
    const first = Math.round(start * sampleRate);
    const release = Math.round(until * sampleRate);
    for (let i = 0; i < sound.length && first + i < samples.length; i++) {
      const past = (first + i - release) / sampleRate;
      const level = past <= 0 ? 1 : damped ? Math.exp(-past / DAMP_SECONDS) : Math.exp(-past / 0.004);
      if (past > 0.15) {
        break;
      }
      samples[first + i] = (samples[first + i] ?? 0) + level * (sound[i] ?? 0);
    }
  };
  /** The strings that go on sounding end: struck anew, or, where a finger stopped them, damped as it leaves. */
  const end = (at: number, which: (string: Sounding) => boolean, damped: boolean) => {
    sounding = sounding.filter(({ string, start }) => {
      const ends = which(string);
      if (ends) {
        render(string, start, at, damped);
      }
      return !ends;
    });
  };
  const strum = (chord: Sounding[], at: number) => {
    end(at, () => true, false);
    sounding = chord.map((string, i) => ({ string, start: at + i * STRUM_SECONDS }));
  };
  let last = 0;
  for (let bar = 0; bar < bars; bar++) {
    const chord = bar % 2 === 0 ? from : to;
    for (let stroke = 0; stroke < BEATS_A_BAR; stroke++) {
      const at = LEAD_IN + (bar * BEATS_A_BAR + stroke) * beat;
      if (held !== chord) {
        const takes = manner.seconds * Math.exp(CHANGE_SPREAD * gauss());
        const left = Math.max(last + 0.15 * beat, at - Math.min(MOST_LEAD * beat, takes));
        const forgets = random() < FORGETS;
        const sounded = forgets ? at : Math.max(at, left + takes) + Math.abs(STROKE_SPREAD * gauss());
        if (!forgets) {
          end(left, (string) => !string.isOpen, true);
          held = chord;
        }
        strum(held, sounded);
        if (stroke === 0) {
          changes.push({ left, sounded, verdict: forgets ? 'missed' : judged(sounded - at, beat) });
        }
        last = sounded;
      } else if (at > last + 0.5 * beat) {
        const struck = at + STROKE_SPREAD * gauss();
        strum(chord, struck);
        last = struck;
      }
    }
  }
  end(LEAD_IN + (bars * BEATS_A_BAR + 1) * beat, () => true, true);
  finish(samples, manner.noise, random);
  return { samples, changes };
}

/** Brings it to a level and adds the noise of a room. */
function finish(samples: Float32Array, noise: number, random: () => number) {
  let peak = 0;
  for (const sample of samples) {
    peak = Math.max(peak, Math.abs(sample));
  }
  const gain = peak > 0 ? 0.6 / peak : 1;
  for (let i = 0; i < samples.length; i++) {
    samples[i] = gain * (samples[i] ?? 0) + 0.1 * noise * (2 * random() - 1);
  }
}
