import { expect, test } from 'vitest';
import { ProblemError, worthRetrying } from './client';

test.each([
  [0, 404, false],
  [0, 422, false],
  [0, 500, true],
  [0, 0, true],
  [1, 500, false],
])('after %i failures an answer of %i is asked for again: %s', (failures, status, again) => {
  expect(worthRetrying(failures, new ProblemError(status, 'title', 'detail'))).toBe(again);
});

test('a page that could not be fetched at all is asked for again', () => {
  expect(worthRetrying(0, new TypeError('Failed to fetch'))).toBe(true);
});
