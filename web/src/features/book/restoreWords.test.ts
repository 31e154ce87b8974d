import { expect, test } from 'vitest';
import type { RestorePlan } from '../../api/client';
import { restoreLines, sizeWords } from './restoreWords';

const plan = (shelf: Partial<RestorePlan['shelves'][number]>): RestorePlan => ({
  mode: 'replace',
  stored: false,
  undo: false,
  shelves: [{ kind: 'songs', added: [], changed: [], removed: [], same: 3, ...shelf }],
});

test('says nothing where nothing changes', () => {
  expect(restoreLines(plan({}))).toEqual([]);
});

test('counts and names what comes, changes and goes', () => {
  expect(restoreLines(plan({ added: ['A'], changed: ['B', 'C'], removed: ['D'] }))).toEqual([
    '1 song comes: A.',
    '2 songs become as in the backup: B, C.',
    '1 song goes: D.',
  ]);
});

test('names a few of many', () => {
  expect(restoreLines(plan({ added: ['A', 'B', 'C', 'D', 'E', 'F'] }))).toEqual([
    '6 songs come: A, B, C, D and 2 more.',
  ]);
});

test.each([
  [10, '1 kB'],
  [45_300, '45 kB'],
  [2_340_000, '2.3 MB'],
])('%i bytes are %s', (bytes, words) => {
  expect(sizeWords(bytes)).toBe(words);
});
