import * as Tone from 'tone';
import type { Part } from '../../api/client';
import { hertzOf, pluck } from './pluck';
import { clicks, panOf, soundings, stretchOf, type Sounding, type Stretch } from './schedule';

/** What is played, and how. */
export interface Playing {
  parts: Part[];
  loop: { from: number; to: number } | null;
  /** Beats a minute as they sound. */
  tempo: number;
  click: boolean;
  countIn: boolean;
  /** 0 to 1. */
  volume: number;
}

const PER_BEAT = 480;
const SAMPLED = Array.from({ length: 18 }, (_, i) => 36 + 3 * i);
const STRUM_SECONDS = 0.011;
const COUNT_BEATS = 4;

/** Quiet at first; 0 dB is never passed. */
const decibels = (volume: number) => -38 + 34 * Math.max(0, Math.min(1, volume));

const ticks = (beat: number) => `${Math.round(beat * PER_BEAT)}i`;

interface Voice {
  ring: Tone.Sampler;
  muted: Tone.Sampler;
  pan: Tone.Panner;
}

/**
 * Plays parts through the browser's sound. Notes are handed to the sound card ahead of time, so that a busy page does not
 * make them late.
 */
export class Player {
  private readonly out = new Tone.Volume(decibels(0.4)).toDestination();
  private readonly voices: Voice[];
  private readonly ghost: Tone.NoiseSynth;
  private readonly tick: Tone.Synth;
  private scheduled: Tone.Part[] = [];
  private stretch: Stretch = { from: 0, to: 0 };
  private looping = false;

  constructor() {
    const buffers = (damped: number, seconds: number) =>
      Object.fromEntries(
        SAMPLED.map((midi) => [Tone.Frequency(midi, 'midi').toNote(), stringOf(midi, damped, seconds)]),
      );
    const ringing = buffers(0, 4);
    const stopped = buffers(0.9, 0.6);
    this.voices = [0, 1].map(() => {
      const pan = new Tone.Panner(0).connect(this.out);
      const ring = new Tone.Sampler({ urls: ringing, release: 0.12 }).connect(pan);
      const muted = new Tone.Sampler({ urls: stopped, release: 0.05 }).connect(pan);
      return { ring, muted, pan };
    });
    this.ghost = new Tone.NoiseSynth({
      noise: { type: 'brown' },
      envelope: { attack: 0.001, decay: 0.035, sustain: 0, release: 0.01 },
      volume: -16,
    }).connect(this.out);
    this.tick = new Tone.Synth({
      oscillator: { type: 'triangle' },
      envelope: { attack: 0.001, decay: 0.04, sustain: 0, release: 0.01 },
      volume: -6,
    }).connect(this.out);
  }

  async play(playing: Playing): Promise<void> {
    await Tone.start();
    this.stop();
    const first = playing.parts[0];
    if (!first) {
      return;
    }
    const transport = Tone.getTransport();
    transport.PPQ = PER_BEAT;
    transport.bpm.value = playing.tempo;
    this.stretch = stretchOf(first, playing.loop);
    this.looping = playing.loop !== null;
    this.volume(playing.volume);
    playing.parts.slice(0, 2).forEach((part, guitar) => {
      const voice = this.voices[guitar];
      if (voice) {
        voice.pan.pan.value = panOf(guitar, playing.parts.length);
        this.schedule(soundings(part), (time, note) => this.sound(voice, note, time, playing.tempo));
      }
    });
    if (playing.click) {
      this.schedule(clicks(first), (time, click) => this.click(click.first, time));
    }
    transport.loop = this.looping;
    transport.setLoopPoints(ticks(this.stretch.from), ticks(this.stretch.to));
    const start = Tone.now() + 0.12;
    const beat = 60 / playing.tempo;
    const count = playing.countIn ? COUNT_BEATS : 0;
    for (let i = 0; i < count; i++) {
      this.click(i === 0, start + i * beat);
    }
    transport.start(start + count * beat, ticks(this.stretch.from));
  }

  private schedule<T extends { beat: number }>(events: T[], sound: (time: number, event: T) => void) {
    const inside = events.filter(
      (e) => e.beat >= this.stretch.from - 1e-6 && e.beat < this.stretch.to - 1e-6,
    );
    const part = new Tone.Part<T & { time: string }>(
      (time, event) => sound(time, event as T),
      inside.map((event) => ({ ...event, time: ticks(event.beat) })),
    );
    part.start(0);
    this.scheduled.push(part);
  }

  private sound(voice: Voice, note: Sounding, time: number, tempo: number) {
    const at = time + note.after * STRUM_SECONDS;
    if (note.kind === 'ghost') {
      if (note.after === 0) {
        this.ghost.triggerAttackRelease(0.04, at, note.loudness);
      }
      return;
    }
    const instrument = note.kind === 'muted' ? voice.muted : voice.ring;
    const seconds = Math.max(0.08, (note.ring * 60) / tempo - note.after * STRUM_SECONDS);
    instrument.triggerAttackRelease(
      Tone.Frequency(note.midi, 'midi').toFrequency(),
      seconds,
      at,
      note.loudness,
    );
  }

  private click(first: boolean, time: number) {
    this.tick.triggerAttackRelease(first ? 1568 : 1175, 0.03, time);
  }

  /** Beats from the start of the song; null when nothing is played. */
  beat(): number | null {
    const transport = Tone.getTransport();
    if (transport.state !== 'started') {
      return null;
    }
    const beat = transport.getTicksAtTime(Tone.immediate()) / PER_BEAT;
    if (!this.looping && beat >= this.stretch.to) {
      this.stop();
      return null;
    }
    return Math.max(this.stretch.from, beat);
  }

  tempo(beatsAMinute: number) {
    Tone.getTransport().bpm.value = beatsAMinute;
  }

  volume(volume: number) {
    this.out.volume.rampTo(decibels(volume), 0.05);
  }

  stop() {
    const transport = Tone.getTransport();
    transport.stop();
    transport.cancel();
    this.scheduled.forEach((part) => part.dispose());
    this.scheduled = [];
    this.voices.forEach((voice) => {
      voice.ring.releaseAll();
      voice.muted.releaseAll();
    });
  }

  dispose() {
    this.stop();
    this.voices.forEach((voice) => {
      voice.ring.dispose();
      voice.muted.dispose();
      voice.pan.dispose();
    });
    this.ghost.dispose();
    this.tick.dispose();
    this.out.dispose();
  }
}

/** A buffer with a string of a guitar, made here. */
function stringOf(midi: number, damped: number, seconds: number): Tone.ToneAudioBuffer {
  const { sampleRate } = Tone.getContext();
  const samples = pluck({ hertz: hertzOf(midi), seconds, sampleRate, damped });
  return Tone.ToneAudioBuffer.fromArray(samples);
}
