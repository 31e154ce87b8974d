import { expect, test } from 'vitest';
import { practisedWords } from './practised';

const now = new Date(2026, 2, 30, 1, 15);

test.each([
  [null, ''],
  [new Date(2026, 2, 30, 0, 5), 'practised today'],
  [new Date(2026, 2, 29, 23, 55), 'practised yesterday'],
  // Clocks go forward in between in many places: still whole nights.
  [new Date(2026, 2, 27, 12, 0), 'practised 3 days ago'],
  [new Date(2026, 2, 31, 12, 0), 'practised today'],
])('%s: %s', (at, words) => {
  expect(practisedWords(at && at.toISOString(), now)).toBe(words);
});
