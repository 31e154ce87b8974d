import type { CapoCandidate, Neck } from '../../../api/client';

/** Drawing of the neck from the nut to the last capo position, in units of its own view box. */
export const RULER = { width: 820, left: 34, right: 12, base: 66, neck: 20, tallest: 30 } as const;

export interface Slot {
  capo: number;
  /** Left edge, middle and right edge of the fret's space; capo 0 stands before the nut. */
  from: number;
  middle: number;
  to: number;
  /** Height of the effort's column. */
  height: number;
  ticks: number;
  late: boolean;
}

const MOST_TICKS = 5;

/** Where every fret of the ruler lies, to true scale. */
export function fretX(neck: Neck, fret: number, last: number): number {
  const length = RULER.width - RULER.left - RULER.right;
  return RULER.left + ((neck.frets[fret] ?? 0) / (neck.frets[last] ?? 1)) * length;
}

/** The same place on a neck drawn the other way round, for a left-handed player. */
export function mirroredSlot(slot: Slot): Slot {
  return {
    ...slot,
    from: RULER.width - slot.to,
    middle: RULER.width - slot.middle,
    to: RULER.width - slot.from,
  };
}

export function slots(neck: Neck, candidates: CapoCandidate[]): Slot[] {
  const last = Math.max(1, ...candidates.map((c) => c.capo));
  const most = Math.max(1e-9, ...candidates.map((c) => c.total));
  return candidates.map((candidate) => {
    const to = fretX(neck, candidate.capo, last);
    const from = candidate.capo === 0 ? RULER.left - 28 : fretX(neck, candidate.capo - 1, last);
    const worst = candidate.worstChange;
    return {
      capo: candidate.capo,
      from,
      middle: candidate.capo === 0 ? RULER.left - 16 : (from + to) / 2,
      to: candidate.capo === 0 ? RULER.left - 4 : to,
      height: (RULER.tallest * candidate.total) / most,
      ticks: Math.min(MOST_TICKS, candidate.barres),
      late: worst !== null && worst.neededSeconds > worst.availableSeconds,
    };
  });
}
