import { expect, test } from 'vitest';
import type { Placement, RepeatedBar } from '../../api/client';
import { folded } from './folding';

const song = (...bars: number[]) => bars.map((bar, index) => ({ bar, index }) as Placement);
const repeat = (bar: number, plays: number[]) => ({ bar, plays }) as RepeatedBar;

test('a song without repeats stands as it is', () => {
  const placements = song(1, 1, 2);
  const { shown, shownAs } = folded(placements, []);
  expect(shown).toEqual(placements);
  expect([...shownAs]).toEqual([
    [0, 0],
    [1, 1],
    [2, 2],
  ]);
});

test('a repeat stands once, and what sounds later in it is shown where it stands', () => {
  const { shown, signs, shownAs } = folded(song(1, 1, 2, 3, 3, 4, 5), [repeat(1, [1, 3]), repeat(2, [2, 4])]);
  expect(shown.map((placement) => placement.index)).toEqual([0, 1, 2, 6]);
  expect([3, 4, 5, 6].map((place) => shownAs.get(place))).toEqual([0, 1, 2, 6]);
  expect([...signs.keys()]).toEqual([1, 2]);
});

test('an ending stands for itself', () => {
  const { shown } = folded(song(1, 2, 3, 4), [repeat(1, [1, 3]), repeat(2, [2]), repeat(4, [4])]);
  expect(shown.map((placement) => placement.bar)).toEqual([1, 2, 4]);
});
