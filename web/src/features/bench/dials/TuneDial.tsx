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

type Solo = Decisions['solo'];

const SECOND = 'second';
const ALONE = { under: 'nothing', octave: null, strings: null };

function chosen(solo: Solo, second: Decisions['second']): string {
  if (second?.solo) {
    return SECOND;
  }
  return solo === null ? '' : (solo.under ?? String(solo.octave ?? 'auto'));
}

function asked(picked: string, before: Solo): Solo {
  const strings = before?.strings ?? null;
  return picked === 'drones'
    ? { under: 'drones', octave: null, strings }
    : { under: null, octave: picked === 'auto' ? null : picked, strings };
}

/** What is decided when somebody is given the tune: one guitar has it, or somebody else. */
function given(picked: string, { solo, second }: Pick<Decisions, 'solo' | 'second'>): Partial<Decisions> {
  const tune = picked === SECOND;
  return {
    solo: tune || picked === '' ? null : asked(picked, solo),
    ...(second && { second: { ...second, solo: tune ? ALONE : null } }),
  };
}

/**
 * Who has the tune: somebody else, this guitar on top of its chords and in which octave, or over strings that go on, or the
 * second guitar, while this one plays the chords.
 */
export const TuneDial = memo(function TuneDial({
  solo,
  second,
  onDecide,
}: {
  solo: Solo;
  second: Decisions['second'];
  onDecide: (change: Partial<Decisions>) => void;
}) {
  return (
    <Pick
      label="Tune"
      most={122}
      value={chosen(solo, second)}
      options={second ? [...OPTIONS, [SECOND, 'the second guitar']] : OPTIONS}
      onPick={(picked) => onDecide(given(picked, { solo, second }))}
    />
  );
});
