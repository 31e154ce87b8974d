import * as Tone from 'tone';
import type { HeardNote } from '../../api/client';
import { hertzOf, pluck, type Timbre } from './strings';
import { timbreOf } from './schedule';

/** What brings a guitar that is strummed to about -24 LUFS at the volume it has at first. */
const LEVEL = 3.2;

/** A damped string is let go in so many seconds. */
const RELEASE_SECONDS = 0.09;

const CUT_SECONDS = 0.11;
const SLIDE_SECONDS = 0.09;
const HAMMER_SECONDS = 0.012;

/** The strings that were made so far: each one costs a few milliseconds, once. */
const made = new Map<string, Tone.ToneAudioBuffer>();

/** The sound of a string, made here. */
export function stringOf(midi: number, timbre: Timbre): Tone.ToneAudioBuffer {
  const key = `${midi} ${timbre}`;
  const known = made.get(key);
  if (known) {
    return known;
  }
  const { sampleRate } = Tone.getContext();
  const buffer = Tone.ToneAudioBuffer.fromArray(pluck({ hertz: hertzOf(midi), sampleRate, timbre }));
  made.set(key, buffer);
  return buffer;
}

/** One guitar of what is played: its place in the room, its level, its strings. */
export class Guitar {
  private readonly level: Tone.Gain;
  private readonly pan: Tone.Panner;

  /**
   * @param pan -1 left to 1 right
   * @param level 0 to 1
   */
  constructor(out: Tone.ToneAudioNode, pan: number, level: number) {
    this.pan = new Tone.Panner(pan).connect(out);
    this.level = new Tone.Gain(level).connect(this.pan);
  }

  setLevel(level: number) {
    this.level.gain.rampTo(level, 0.05);
  }

  /**
   * Sounds a note.
   *
   * @param time when its stroke begins, in seconds of the sound card
   * @param secondsABeat as it is played
   */
  sound(note: HeardNote, time: number, secondsABeat: number) {
    const rings = note.manner === 'cut' ? CUT_SECONDS : note.beats * secondsABeat - note.seconds;
    const source = new Tone.ToneBufferSource({
      url: stringOf(note.midi, timbreOf(note)),
      fadeIn: note.manner === 'left-hand' || note.manner === 'slid' ? HAMMER_SECONDS : 0,
      fadeOut: RELEASE_SECONDS,
      onended: (ended) => ended.dispose(),
    }).connect(this.level);
    const at = time + note.seconds;
    if (note.from !== null) {
      source.playbackRate.setValueAtTime(Math.pow(2, (note.from - note.midi) / 12), at);
      source.playbackRate.linearRampToValueAtTime(1, at + SLIDE_SECONDS);
    }
    source.start(at, 0, Math.max(0.06, rings) + RELEASE_SECONDS, LEVEL * note.loudness);
  }

  dispose() {
    this.level.dispose();
    this.pan.dispose();
  }
}
