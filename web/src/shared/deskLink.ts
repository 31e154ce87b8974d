import type { Arrangement, Placement } from '../api/client';
import { typedKey } from './mapLink';

/** Where the grip of a placement lies on the shape desk, with the way back. */
export function deskLink(arrangement: Arrangement, placement: Placement, song: number): string {
  const params = new URLSearchParams({
    frets: placement.grip?.shape ?? '',
    tuning: arrangement.tuning,
    capo: String(arrangement.capo.chosen),
    key: typedKey(arrangement.key),
    song: String(song),
    placement: String(placement.placement),
    part: String(placement.part),
    chord: placement.chord ?? '',
  });
  return `/shapes?${params.toString()}`;
}
