import { expect, test } from 'vitest';
import { NO_DECISIONS } from './decisions';
import { keyOf, songBody } from './songBody';

const CHART = '| G | C |';

test('what asks for the same has the same key, however often it is made', () => {
  const once = keyOf(songBody(CHART, { ...NO_DECISIONS }, ''));
  expect(keyOf(songBody(`${CHART}`, { ...NO_DECISIONS }, ''))).toBe(once);
});

test.each([
  ['another chart', songBody('| G | D |', NO_DECISIONS, '')],
  ['another rung', songBody(CHART, { ...NO_DECISIONS, rung: 3 }, '')],
  ['a player who changed', songBody(CHART, NO_DECISIONS, 'player 1 at 2')],
])('%s has another key', (_, other) => {
  expect(keyOf(other)).not.toBe(keyOf(songBody(CHART, NO_DECISIONS, '')));
});

test('a key does not hold the text of the chart, and is told apart after many others', () => {
  const long = songBody('| G '.repeat(1000), NO_DECISIONS, '');
  for (let i = 0; i < 200; i++) {
    songBody(`| C | ${i}`, NO_DECISIONS, '');
  }
  expect(keyOf(long).length).toBeLessThan(600);
  expect(keyOf(songBody('| C | 7', NO_DECISIONS, ''))).not.toBe(keyOf(long));
});
