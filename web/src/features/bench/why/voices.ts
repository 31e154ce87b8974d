import type { Voice } from '../../../api/client';

const STEPS = ['', 'a half step', 'a whole step'];

/** A voice's way in words: {@code string 3: C4 to B3, a half step down}. */
export function voiceWords({ string, from, to, semitones }: Voice): string {
  if (semitones === 0) {
    return `string ${string} keeps ${to}`;
  }
  const far = Math.abs(semitones);
  return `string ${string}: ${from} to ${to}, ${STEPS[far] ?? `${far} half steps`} ${semitones > 0 ? 'up' : 'down'}`;
}
