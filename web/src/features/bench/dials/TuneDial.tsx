import { memo } from 'react';
import type { Decisions } from '../../../api/client';
import { Pick } from './Pick';

const OPTIONS = [
  ['', 'somebody else'],
  ['auto', 'on top, best octave'],
  ['0', 'on top, as written'],
  ['-1', 'on top, octave down'],
  ['1', 'on top, octave up'],
] as const;

/** Who has the tune: somebody else, or this guitar on top of its chords, and in which octave. */
export const TuneDial = memo(function TuneDial({
  solo,
  onDecide,
}: {
  solo: Decisions['solo'];
  onDecide: (change: Partial<Decisions>) => void;
}) {
  return (
    <Pick
      label="Tune"
      most={122}
      value={solo === null ? '' : String(solo.octave ?? 'auto')}
      options={OPTIONS}
      onPick={(octave) =>
        onDecide({
          solo:
            octave === ''
              ? null
              : { octave: octave === 'auto' ? null : octave, strings: solo?.strings ?? null },
        })
      }
    />
  );
});
