import { expect, test } from 'vitest';
import type { Grip, Placement } from '../../api/client';
import { lines } from './sheetLines';

const placement = (index: number, bar: number, section: string, shape: string) =>
  ({ index, bar, section, played: shape, grip: { shape } as Grip }) as Placement;

test('lines hold four bars and a section opens a new one', () => {
  const song = [1, 2, 3, 4, 5].map((bar, i) => placement(i, bar, 'Verse', 'a'));
  const all = lines([...song, placement(5, 6, 'Chorus', 'b'), placement(6, 6, 'Chorus', 'c')]);
  expect(all.map((line) => [line.section, line.placements.length])).toEqual([
    ['Verse', 4],
    ['', 1],
    ['Chorus', 2],
  ]);
});
