import { expect, test } from 'vitest';
import { voiceWords } from './voices';

test.each([
  [0, 'F3', 'string 4 keeps F3'],
  [-1, 'E3', 'string 4: F3 to E3, a half step down'],
  [2, 'G3', 'string 4: F3 to G3, a whole step up'],
  [-5, 'C3', 'string 4: F3 to C3, 5 half steps down'],
])('a voice that moves %i half steps', (semitones, to, words) => {
  expect(voiceWords({ string: 4, from: 'F3', to, semitones })).toBe(words);
});
