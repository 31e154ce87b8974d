import * as Tone from 'tone';
import { Guitar } from './guitar';
import { Room } from './room';

/** Seconds between the strings of a strum, and of a shape picked string by string. */
export const STRUM = 0.03;
export const PICK = 0.28;

const BEATS = 4;
const SECONDS_A_BEAT = 0.6;
const LOUDNESS = 0.75;

let desk: { room: Room; guitar: Guitar } | null = null;

/** Sounds pitches one after another as a guitar; the room is made when it is first wanted. */
export async function touch(pitches: number[], secondsApart: number): Promise<void> {
  await Tone.start();
  if (!desk) {
    const room = new Room();
    desk = { room, guitar: new Guitar(room.in, 0, 1) };
    room.volume(0.5);
  }
  desk.room.open();
  const now = Tone.now() + 0.02;
  for (const [i, midi] of pitches.entries()) {
    desk.guitar.sound(
      {
        place: 0,
        beat: 0,
        seconds: i * secondsApart,
        beats: BEATS,
        string: i,
        midi,
        from: null,
        loudness: LOUDNESS,
        manner: 'plucked',
      },
      now,
      SECONDS_A_BEAT,
    );
  }
}
