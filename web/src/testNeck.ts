import type { Neck } from './api/client';

const share = (fret: number) => 1 - 2 ** (-fret / 12);

/** A neck of twenty frets in equal temperament, with fingertips three tenths of a fret's space behind it. */
export const NECK: Neck = {
  frets: Array.from({ length: 21 }, (_, fret) => share(fret)),
  presses: Array.from({ length: 21 }, (_, fret) =>
    fret === 0 ? 0 : share(fret) - 0.3 * (share(fret) - share(fret - 1)),
  ),
};
