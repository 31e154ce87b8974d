import * as Tone from 'tone';

/** Quiet at first; louder than the last of these nothing is ever made. */
const decibels = (volume: number) => (volume <= 0 ? -Infinity : -30 + 36 * Math.min(1, volume));

/** Seconds a small room goes on sounding. */
const ROOM_SECONDS = 0.22;

/** What all sound goes through on its way out: the body of the guitar, a small room, and a ceiling it never passes. */
export class Room {
  readonly in = new Tone.Gain(1);
  private readonly loudness = new Tone.Volume(decibels(0.4));
  private readonly door = new Tone.Gain(1);
  private readonly chain: Tone.ToneAudioNode[];

  constructor() {
    const rumble = new Tone.Filter({ type: 'highpass', frequency: 60, rolloff: -12 });
    const air = new Tone.Filter({ type: 'peaking', frequency: 105, Q: 1.4, gain: 3 });
    const top = new Tone.Filter({ type: 'peaking', frequency: 215, Q: 1.8, gain: 2 });
    const wet = new Tone.Gain(0.16);
    const room = new Tone.Convolver(echoes());
    const limiter = new Tone.Limiter(-4);
    const ceiling = new Tone.WaveShaper((x) => ceilingOf(x), 4096);
    this.in.chain(rumble, air, top, this.loudness, limiter, ceiling, this.door, Tone.getDestination());
    top.chain(room, wet, this.loudness);
    this.chain = [this.in, rumble, air, top, wet, room, this.loudness, limiter, ceiling, this.door];
  }

  /** @param volume 0 to 1 */
  volume(volume: number) {
    this.loudness.volume.rampTo(decibels(volume), 0.05);
  }

  /** Lets sound out again. */
  open() {
    const now = Tone.immediate();
    this.door.gain.cancelScheduledValues(now);
    this.door.gain.setValueAtTime(1, now);
  }

  /** Lets nothing out any more, its own echoes neither. */
  shut(seconds: number) {
    const now = Tone.immediate();
    this.door.gain.cancelScheduledValues(now);
    this.door.gain.setValueAtTime(1, now);
    this.door.gain.linearRampToValueAtTime(0, now + seconds);
  }

  dispose() {
    this.chain.forEach((node) => node.dispose());
  }
}

/** As it comes in up to four fifths; what is louder comes ever closer to the full scale. */
function ceilingOf(x: number): number {
  const over = Math.abs(x) - 0.8;
  return over <= 0 ? x : Math.sign(x) * (0.8 + 0.18 * Math.tanh(over / 0.18));
}

/** The echoes of a small room: noise that dies away, darker as it does. The same at every call. */
function echoes(): Tone.ToneAudioBuffer {
  const { sampleRate } = Tone.getContext();
  const samples = new Float32Array(Math.round(ROOM_SECONDS * sampleRate));
  let state = 20_041;
  let low = 0;
  for (let i = 0; i < samples.length; i++) {
    state = (state * 16_807) % 2_147_483_647;
    const dark = 0.3 + (0.6 * i) / samples.length;
    low = dark * low + (1 - dark) * (state / 1_073_741_823.5 - 1);
    samples[i] = low * Math.exp((-5 * i) / samples.length);
  }
  return Tone.ToneAudioBuffer.fromArray(samples);
}
