import type { Tune } from '../../api/client';
import { midiOf, type TuneNote } from '../../shared/tune';

/** So much of a tune is heard at a time. */
const LOUD_BEATS = 32;

export type Heard = 'tune' | 'chords' | 'both';

/** Lets a tune, the chords under it or both be heard from a beat on, for some bars. */
export function hearTune(
  what: Heard,
  bars: Tune['bars'],
  notes: TuneNote[],
  from: number,
  secondsABeat: number,
): void {
  const until = from + LOUD_BEATS;
  const tune = notes
    .filter((n) => n.from >= from - 1e-3 && n.from < until)
    .map((n) => ({
      midi: midiOf(n.pitch),
      at: (n.from - from) * secondsABeat,
      lasts: n.beats * secondsABeat,
    }));
  const chords = bars.flatMap((bar) =>
    bar.chords.flatMap((chord, i) => {
      const begins = bar.from + chord.from;
      const ends = bar.from + (bar.chords[i + 1]?.from ?? bar.beats);
      return begins >= from - 1e-3 && begins < until
        ? chord.midi.map((midi) => ({
            midi,
            at: (begins - from) * secondsABeat,
            lasts: (ends - begins) * secondsABeat,
          }))
        : [];
    }),
  );
  hear(what === 'tune' ? tune : what === 'chords' ? chords : [...tune, ...chords]);
}

/** Lets notes be heard. Where no sound can be had, or its code cannot be fetched, the tune is seen all the same. */
export function hear(all: { midi: number; at: number; lasts: number }[]): void {
  import('./touch').then(({ touchAll }) => touchAll(all)).catch(() => undefined);
}
