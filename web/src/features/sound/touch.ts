import * as Tone from 'tone';
import { Guitar } from './guitar';
import { Room } from './room';

/** Seconds between the strings of a strum, and of a shape picked string by string. */
export const STRUM = 0.03;
export const PICK = 0.28;

const BEATS = 4;
const SECONDS_A_BEAT = 0.6;
const LOUDNESS = 0.75;
const STRINGS = 6;

let desk: { room: Room; guitar: Guitar } | null = null;

/** A pitch, when it sounds, and for how long; in seconds. */
export interface Touched {
  midi: number;
  at: number;
  lasts: number;
}

/** Sounds pitches one after another as a guitar. */
export function touch(pitches: number[], secondsApart: number): Promise<void> {
  const lasts = BEATS * SECONDS_A_BEAT;
  return touchAll(pitches.map((midi, i) => ({ midi, at: i * secondsApart, lasts })));
}

/** Sounds pitches at their times; the room is made when it is first wanted. What sounded before is silent then. */
export async function touchAll(notes: Touched[]): Promise<void> {
  await Tone.start();
  if (!desk) {
    const room = new Room();
    desk = { room, guitar: new Guitar(room.in, 0, 1) };
    room.volume(0.5);
  }
  desk.room.open();
  const now = Tone.now() + 0.02;
  for (const [i, { midi, at, lasts }] of notes.entries()) {
    desk.guitar.sound(
      {
        place: 0,
        beat: 0,
        seconds: 0,
        beats: lasts / SECONDS_A_BEAT,
        string: i % STRINGS,
        midi,
        from: null,
        loudness: LOUDNESS,
        manner: 'plucked',
      },
      now + at,
      SECONDS_A_BEAT,
    );
  }
}
