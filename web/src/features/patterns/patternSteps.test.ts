import { describe, expect, test } from 'vitest';
import { divided, fingersAtAGlance, glance, stepAfter } from './patternSteps';

describe('a step', () => {
  test.each([
    ['.', 'r', 'r'],
    ['r', 'h', 'rh'],
    ['h', 'r', 'rh'],
    ['rh', 'h', 'r'],
    ['r', 'r', '.'],
    ['.', '3', '3'],
    ['3', '5', '53'],
    ['D', 'l', 'l'],
    ['rlmh', 'b', 'rlmh'],
    ['.', 'd', 'D'],
    ['D', 'U', 'U'],
    ['D', '>', 'D>'],
    ['D>', 'x', 'Dx'],
    ['Dx', 'x', 'D'],
    ['r>', '_', 'r>_'],
    ['rh', '.', '.'],
  ])('%s and the key %s make %s', (step, key, next) => {
    expect(stepAfter(step, key)).toBe(next);
  });

  test('keeps to itself on other keys', () => {
    expect(stepAfter('.', '>')).toBeNull();
    expect(stepAfter('r', 'q')).toBeNull();
  });
});

test('another division keeps what stands on the beats', () => {
  expect(divided(['D', '.', 'D', 'U'], 2, 4)).toEqual(['D', '.', '.', '.', 'D', '.', 'U', '.']);
  expect(divided(['D', 'U', 'D', 'U'], 2, 1)).toEqual(['D', 'D']);
  expect(divided([], 3, 1)).toEqual(['.', '.', '.']);
});

test('a pattern at a glance', () => {
  expect(glance('D . D U> rlmh')).toBe('↓ · ↓ ↑> rlmh');
});

test.each([
  ['r l m h', ['p', 'i', 'm', 'a'], 'p i m a'],
  ['rlmh . lmh .', ['pima', 'ima'], 'pima · ima ·'],
  ['rh l m', ['p', 'i', 'm'], 'p  i m'],
])('the fingers of %s stand under its steps', (steps, fingers, expected) => {
  expect(fingersAtAGlance(steps, fingers)).toBe(expected);
});
