/** How a string is made to sound. */
export interface Pluck {
  hertz: number;
  seconds: number;
  sampleRate: number;
  /** 0 for a string left to ring, up to 1 for one that is stopped at once. */
  damped: number;
}

/**
 * A plucked string by K. Karplus and A. Strong (Computer Music Journal 7:2, 1983): noise that goes round in a delay line as
 * long as a period, and loses its high partials on the way. The noise is the same at every call.
 */
export function pluck({ hertz, seconds, sampleRate, damped }: Pluck): Float32Array {
  const samples = new Float32Array(Math.round(seconds * sampleRate));
  const exact = sampleRate / hertz + 0.5;
  const length = Math.max(2, Math.floor(exact - 0.1));
  const tuning = exact - length;
  const line = new Float32Array(length);
  let seed = 20_041;
  let low = 0;
  for (let i = 0; i < length; i++) {
    seed = (seed * 16_807) % 2_147_483_647;
    // A soft fingertip takes the edge off the noise.
    low = 0.55 * low + 0.45 * (seed / 1_073_741_823.5 - 1);
    line[i] = low;
  }
  const loss = Math.pow(0.001, 1 / (hertz * (damped > 0 ? 0.25 / (0.3 + damped) : 3.2)));
  let at = 0;
  let allpassIn = 0;
  let allpassOut = 0;
  const gain = (1 - tuning) / (1 + tuning);
  for (let i = 0; i < samples.length; i++) {
    const next = at + 1 === length ? 0 : at + 1;
    const mean = loss * 0.5 * ((line[at] ?? 0) + (line[next] ?? 0));
    // A fraction of a sample more of delay, so that the string is in tune.
    const out = gain * (mean - allpassOut) + allpassIn;
    allpassIn = mean;
    allpassOut = out;
    samples[i] = line[at] ?? 0;
    line[at] = out;
    at = next;
  }
  const fade = Math.min(samples.length, Math.round(0.03 * sampleRate));
  for (let i = 0; i < fade; i++) {
    const place = samples.length - fade + i;
    samples[place] = (samples[place] ?? 0) * (1 - i / fade);
  }
  return samples;
}

/** Frequency of a MIDI note in hertz, at A4 = 440 Hz. */
export function hertzOf(midi: number): number {
  return 440 * Math.pow(2, (midi - 69) / 12);
}
