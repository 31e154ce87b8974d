import { memo } from 'react';
import type { Decisions } from '../../../api/client';
import { Pick } from './Pick';

const OPTIONS = [
  ['', 'somebody else'],
  ['auto', 'on top, best octave'],
  ['0', 'on top, as written'],
  ['-1', 'on top, octave down'],
  ['1', 'on top, octave up'],
  ['drones', 'over open strings'],
] as const;

/** Who has the tune: somebody else, or this guitar on top of its chords and in which octave, or over strings that go on. */
type Solo = Decisions['solo'];

function chosen(solo: Solo): string {
  return solo === null ? '' : (solo.under ?? String(solo.octave ?? 'auto'));
}

function asked(picked: string, before: Solo): Solo {
  const strings = before?.strings ?? null;
  return picked === 'drones'
    ? { under: 'drones', octave: null, strings }
    : { under: null, octave: picked === 'auto' ? null : picked, strings };
}

export const TuneDial = memo(function TuneDial({
  solo,
  onDecide,
}: {
  solo: Solo;
  onDecide: (change: Partial<Decisions>) => void;
}) {
  return (
    <Pick
      label="Tune"
      most={122}
      value={chosen(solo)}
      options={OPTIONS}
      onPick={(picked) => onDecide({ solo: picked === '' ? null : asked(String(picked), solo) })}
    />
  );
});
