import { expect, test } from 'vitest';
import { voiceWords } from './voices';

test.each([
  [0, 'F3', 'string 4 keeps F3'],
  [-1, 'E3', 'string 4: F3 to E3, a half step down'],
  [2, 'G3', 'string 4: F3 to G3, a whole step up'],
  [3, 'G#3', 'string 4: F3 to G♯3, 3 half steps up'],
  [-7, 'Bb2', 'string 4: F3 to B♭2, 7 half steps down'],
  [-5, 'C3', 'string 4: F3 to C3, 5 half steps down'],
])('a voice that moves %i half steps', (semitones, to, words) => {
  expect(voiceWords({ string: 4, from: 'F3', to, semitones })).toBe(words);
});
