import { expect, it } from 'vitest';
import { withTuning } from './chartTuning';

it.each([
  ['title: A\nkey: D\n| D |\n', 'title: A\ntuning: drop d\nkey: D\n| D |\n'],
  ['| D | G |', 'tuning: drop d\n| D | G |'],
  ['title: A\nTuning: E2 A2\n| D |\n', 'title: A\nTuning: drop d\n| D |\n'],
])('writes the tuning at the head of %j', (source, expected) => {
  expect(withTuning(source, 'drop d')).toBe(expected);
});
