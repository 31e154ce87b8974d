import { expect, test } from 'vitest';
import { holdsWords, isReadyForMore, whenWords } from './forecast';

const song = {
  song: 1,
  title: 'Slow Water',
  holds: 84,
  playedOn: null,
  tempo: 92,
  day: null,
  early: null,
  late: null,
};

test.each([
  [{ ...song, state: 'holds', holds: 92 }, 'holds its 92', ''],
  [
    { ...song, state: 'soon', day: '2026-05-12', early: '2026-05-08', late: '2026-06-01' },
    'holds 84 of 92',
    '92 about 12 May, between 8 May and 1 June',
  ],
  [
    { ...song, state: 'soon', day: '2026-05-12', early: '2026-05-08' },
    'holds 84 of 92',
    '92 about 12 May, 8 May at the earliest',
  ],
  [{ ...song, state: 'too_few' }, 'holds 84 of 92', 'too few clean runs to say when it holds more'],
  [{ ...song, state: 'not_faster' }, 'holds 84 of 92', 'not all of its changes have become faster yet'],
])('a forecast says what is known: %o', (forecast, holds, when) => {
  expect(holdsWords(forecast)).toBe(holds);
  expect(whenWords(forecast)).toBe(when);
});

test('another rung is proposed when four songs hold their tempo', () => {
  const hold = { state: 'holds' };
  expect(isReadyForMore([hold, hold, hold, { state: 'soon' }])).toBe(false);
  expect(isReadyForMore([hold, hold, hold, hold])).toBe(true);
});
