import * as Tone from 'tone';
import type { Part } from '../../api/client';
import { Guitar, stringOf } from './guitar';
import { Room } from './room';
import {
  barAt,
  clicks,
  countIn,
  panOf,
  strokes,
  stretchOf,
  timbreOf,
  type Click,
  type Stretch,
} from './schedule';

/** What is played, and how. All of it may change while it sounds. */
export interface Playing {
  parts: Part[];
  loop: { from: number; to: number } | null;
  /** Whether a silent bar is counted between two times round. */
  rest: boolean;
  /** Beats a minute as they sound. */
  tempo: number;
  click: boolean;
  /** 0 to 1. */
  volume: number;
  levels: Levels;
}

/** How loud each is beside the others, 0 to 1. */
export interface Levels {
  first: number;
  second: number;
  click: number;
}

const PER_BEAT = 480;

/** Beats of the transport before the song begins: room to count in. */
const LEAD = 32;

/** A moment between the press and the first sound, beside what the sound card is handed ahead. */
const START_SECONDS = 0.05;

/** A moment of the transport before the first stroke, so that it is not missed. */
const RUN_UP_BEATS = 0.02;

/** Seconds in which what sounds dies away when it is stopped. */
const STOP_SECONDS = 0.02;

const SWELL_SECONDS = 1;
const SWELL_FROM = 0.4;
const RING_OUT_SECONDS = 2.5;

const ticks = (beat: number) => Math.round((beat + LEAD) * PER_BEAT);
const ticksAt = (beat: number) => `${ticks(beat)}i`;

/** What is laid out on the transport at once, and in each further turn of the page. */
const EVENTS_AT_ONCE = 200;
const EVENTS_AT_A_TIME = 400;

/** Something that sounds at a beat of the song. */
interface Sounding {
  beat: number;
  sound: (time: number) => void;
}

/** From a beat to the end, then from the beginning. */
function inPlayingOrder(events: Sounding[], from: number): Sounding[] {
  const isBefore = ({ beat }: Sounding) => beat < from - 1e-6;
  return events.sort((a, b) => Number(isBefore(a)) - Number(isBefore(b)) || a.beat - b.beat);
}

/** What sounds from one press of Play to Stop: nothing of it can be heard in the next. */
interface Session {
  gate: Tone.Gain;
  guitars: Guitar[];
}

/**
 * Plays parts through the browser's sound. Notes are handed to the sound card ahead of time, so that a busy page does not
 * make them late.
 */
export class Player {
  private readonly room = new Room();
  private readonly clickLevel = new Tone.Gain(0.5).connect(this.room.in);
  private readonly clicking = [clickOf(2093, 2), clickOf(1397, 1)] as const;
  private session: Session | null = null;
  private playing: Playing | null = null;
  private stretch: Stretch = { from: 0, to: 0 };
  private scheduled: number[] = [];
  private counting: Click[] = [];
  private onRound: () => void = () => undefined;
  /** When the song ends, in seconds of the sound card; null while that is not near. */
  private endsAt: number | null = null;

  /**
   * Plays from a beat of the song.
   *
   * @param counted whether a bar is counted first
   * @param onRound is told each time a loop begins anew
   */
  async play(playing: Playing, from: number, counted: boolean, onRound: () => void): Promise<void> {
    await Tone.start();
    this.stop();
    const first = playing.parts[0];
    if (!first) {
      return;
    }
    this.onRound = onRound;
    this.room.open();
    const transport = Tone.getTransport();
    transport.PPQ = PER_BEAT;
    const gate = new Tone.Gain(SWELL_FROM).connect(this.room.in);
    this.session = {
      gate,
      guitars: [0, 1].map((i) => new Guitar(gate, panOf(i, playing.parts.length), 1)),
    };
    this.update(playing, from);
    const begin = Math.max(this.stretch.from, from < this.stretch.to ? from : this.stretch.from);
    this.counting = counted ? countIn(first, begin) : [];
    for (const click of this.counting) {
      transport.scheduleOnce((time) => this.sayClick(click, time), ticksAt(click.beat));
    }
    this.warm(begin);
    const start = Tone.now() + START_SECONDS;
    gate.gain.setValueAtTime(SWELL_FROM, start);
    gate.gain.linearRampToValueAtTime(1, start + SWELL_SECONDS);
    transport.start(start, ticksAt((this.counting[0]?.beat ?? begin) - RUN_UP_BEATS));
  }

  /**
   * Goes on with other parts, another loop or tempo from where it is: what sounds rings on.
   *
   * @param from beat it begins at, where nothing sounds yet
   */
  update(playing: Playing, from = 0) {
    const before = this.playing;
    this.playing = playing;
    const { parts, levels } = playing;
    const first = parts[0];
    if (!this.session || !first) {
      return;
    }
    const transport = Tone.getTransport();
    transport.bpm.value = playing.tempo;
    this.room.volume(playing.volume);
    this.clickLevel.gain.rampTo(levels.click, 0.05);
    this.session.guitars.forEach((guitar, i) => guitar.setLevel(i === 0 ? levels.first : levels.second));
    if (before?.parts !== parts || transport.state !== 'started') {
      this.schedule(parts, Math.max(from, this.beat() ?? from));
    }
    const isOther = before?.loop?.from !== playing.loop?.from || before?.loop?.to !== playing.loop?.to;
    if (
      isOther ||
      before?.parts !== parts ||
      before?.rest !== playing.rest ||
      transport.state !== 'started'
    ) {
      this.goRound(first, playing);
    }
  }

  /**
   * Lays what is played out on the transport: at once what comes next, the rest some at a time, so that the page stays awake.
   *
   * @param from beat the song goes on from
   */
  private schedule(parts: Part[], from: number) {
    const transport = Tone.getTransport();
    this.scheduled.forEach((id) => transport.clear(id));
    const scheduled: number[] = (this.scheduled = []);
    const all = inPlayingOrder(
      parts.slice(0, 2).flatMap((part, i) => this.events(part, i)),
      from,
    );
    const next = (at: number, count: number) => {
      // Another part has taken its place, or it was stopped.
      if (this.scheduled !== scheduled) {
        return;
      }
      for (const event of all.slice(at, at + count)) {
        scheduled.push(transport.schedule(event.sound, ticksAt(event.beat)));
      }
      if (at + count < all.length) {
        setTimeout(() => next(at + count, EVENTS_AT_A_TIME));
      }
    };
    next(0, EVENTS_AT_ONCE);
  }

  /** What a part sounds, and for the first part the clicks and the end. */
  private events(part: Part, guitarIndex: number): Sounding[] {
    const transport = Tone.getTransport();
    const played = strokes(part).map(({ beat, notes }) => ({
      beat,
      sound: (time: number) => {
        const guitar = this.session?.guitars[guitarIndex];
        if (guitar && this.isInside(beat)) {
          const secondsABeat = 60 / transport.bpm.value;
          notes.forEach((note) => guitar.sound(note, time, secondsABeat));
        }
      },
    }));
    if (guitarIndex > 0) {
      return played;
    }
    const last = part.bars.at(-1);
    const after = last ? countIn({ ...part, bars: [last] }, part.beats + last.beats) : [];
    const clicked = [...clicks(part), ...after].map((click) => ({
      beat: click.beat,
      sound: (time: number) => {
        // The silent bar between two times round is counted, whether there is a click or not.
        const isRest = click.beat >= this.stretch.to - 1e-6;
        if (isRest ? this.playing?.rest && this.playing.loop : this.playing?.click) {
          this.sayClick(click, time);
        }
      },
    }));
    const ends = {
      beat: part.beats,
      sound: (time: number) => {
        if (!this.playing?.loop) {
          this.endsAt = time;
        }
      },
    };
    return [...played, ...clicked, ends];
  }

  private isInside(beat: number) {
    return beat > this.stretch.from - 1e-6 && beat < this.stretch.to - 1e-6;
  }

  /** Sets the loop. Where it does not hold what sounds now, it begins at the next bar. */
  private goRound(first: Part, { loop, rest }: Playing) {
    const transport = Tone.getTransport();
    transport.off('loopStart');
    this.stretch = stretchOf(first, loop);
    const { from, to } = this.stretch;
    const lastBar = barAt(first, to - 1e-3);
    const end = to + (rest && lastBar ? lastBar.beats : 0);
    const setPoints = () => transport.setLoopPoints(ticksAt(from), ticksAt(end));
    transport.loop = loop !== null;
    if (!loop) {
      return;
    }
    const now = transport.state === 'started' ? transport.ticks / PER_BEAT - LEAD : from;
    const bar = barAt(first, now);
    const isCounting = now < (this.counting.at(-1)?.beat ?? -Infinity) + 1;
    if (isCounting || (now >= from - 1e-6 && now < end)) {
      setPoints();
      transport.on('loopStart', this.onRound);
    } else {
      transport.setLoopPoints(ticksAt(from), ticksAt((bar?.from ?? 0) + (bar?.beats ?? 0)));
      this.stretch = {
        from: Math.min(from, bar?.from ?? 0),
        to: Math.max(to, (bar?.from ?? 0) + (bar?.beats ?? 0)),
      };
      transport.once('loopStart', () => {
        this.stretch = { from, to };
        setPoints();
        transport.on('loopStart', this.onRound);
      });
    }
  }

  /** Makes the strings of the strokes to come, a few at a time, so that the page stays awake. */
  private warm(from: number) {
    const notes = (this.playing?.parts ?? []).flatMap((part) => part.heard.filter((n) => n.beat >= from));
    const wanted = [...new Map(notes.map((n) => [`${n.midi} ${timbreOf(n)}`, n])).values()];
    const next = () => {
      const some = wanted.splice(0, 4);
      some.forEach((note) => stringOf(note.midi, timbreOf(note)));
      if (some.length > 0) {
        setTimeout(next);
      }
    };
    next();
  }

  private sayClick(click: Click, time: number) {
    new Tone.ToneBufferSource({
      url: this.clicking[click.first ? 0 : 1],
      onended: (ended) => ended.dispose(),
    })
      .connect(this.clickLevel)
      .start(time);
  }

  /** Beats from the start of the song, less before it while it is counted in; null when nothing is played. */
  beat(): number | null {
    const transport = Tone.getTransport();
    if (!this.session || transport.state !== 'started') {
      return null;
    }
    return transport.getTicksAtTime(Tone.immediate()) / PER_BEAT - LEAD;
  }

  /** How many clicks of the bar that is counted in have sounded at a beat; null once the song has begun. */
  counted(beat: number): number | null {
    const last = this.counting.at(-1);
    const step =
      last && this.counting[0] ? (last.beat - this.counting[0].beat) / (this.counting.length - 1 || 1) : 0;
    return last && beat < last.beat + (step || 1) - 1e-3
      ? this.counting.filter((click) => click.beat <= beat + 1e-3).length
      : null;
  }

  /** Whether the song has come to its end. */
  hasEnded(): boolean {
    return this.endsAt !== null && Tone.immediate() >= this.endsAt;
  }

  /** Stops at once, or at the end of the song lets the last strokes ring. */
  stop() {
    const { session } = this;
    // A transport that is stopped twice takes the time between for played, and would catch up on it.
    if (!session) {
      return;
    }
    const isOver = this.hasEnded();
    const transport = Tone.getTransport();
    transport.stop();
    transport.cancel();
    transport.off('loopStart');
    this.scheduled = [];
    this.counting = [];
    this.session = null;
    this.playing = null;
    this.endsAt = null;
    if (!isOver) {
      this.room.shut(STOP_SECONDS);
    }
    const seconds = isOver ? RING_OUT_SECONDS : STOP_SECONDS;
    session.gate.gain.cancelScheduledValues(0);
    session.gate.gain.rampTo(0, seconds);
    setTimeout(
      () => {
        session.guitars.forEach((guitar) => guitar.dispose());
        session.gate.dispose();
      },
      1000 * (seconds + 0.3),
    );
  }

  dispose() {
    this.stop();
    this.clickLevel.dispose();
    this.room.dispose();
  }
}

/** A short tone that stands out of two guitars. */
function clickOf(hertz: number, loudness: number): Tone.ToneAudioBuffer {
  const { sampleRate } = Tone.getContext();
  const samples = Float32Array.from(
    { length: Math.round(0.05 * sampleRate) },
    (_, i) => loudness * Math.sin((2 * Math.PI * hertz * i) / sampleRate) * Math.exp((-110 * i) / sampleRate),
  );
  return Tone.ToneAudioBuffer.fromArray(samples);
}
