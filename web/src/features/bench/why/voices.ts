import type { Voice } from '../../../api/client';
import { noteGlyphs } from '../../../shared/noteGlyphs';

const STEPS = ['', 'a half step', 'a whole step'];

/** A voice's way in words: {@code string 3: C4 to B3, a half step down}. */
export function voiceWords({ string, from, to, semitones }: Voice): string {
  if (semitones === 0) {
    return `string ${string} keeps ${noteGlyphs(to)}`;
  }
  const far = Math.abs(semitones);
  const way = STEPS[far] ?? `${far} half steps`;
  return `string ${string}: ${noteGlyphs(from)} to ${noteGlyphs(to)}, ${way} ${semitones > 0 ? 'up' : 'down'}`;
}
