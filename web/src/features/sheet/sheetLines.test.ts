import { expect, test } from 'vitest';
import type { Grip, Placement } from '../../api/client';
import { lines, wordsAfter } from './sheetLines';

const placement = (index: number, bar: number, section: string, shape: string, newLine = false) =>
  ({ index, bar, section, newLine, played: shape, grip: { shape } as Grip }) as Placement;

test('lines are those of the chart, a section opens a new one, a bar holds all its chords', () => {
  const song = [1, 2, 3, 4, 5, 6, 7].map((bar, i) => placement(i, bar, 'Verse', 'a', bar === 6));
  const all = lines([...song, placement(7, 8, 'Chorus', 'b'), placement(8, 8, 'Chorus', 'c')]);
  expect(all.map((line) => [line.section, line.bars.map((bar) => bar.length)])).toEqual([
    ['Verse', [1, 1, 1, 1, 1]],
    ['', [1, 1]],
    ['Chorus', [2]],
  ]);
});

test('words without chords stand before the line of their bar, and after the last', () => {
  const song = [1, 2, 3].map((bar, i) => placement(i, bar, 'Verse', 'a'));
  const spoken = (bar: number, heading: string) => ({ bar, heading, lines: ['Row on'] });
  const words = [spoken(2, ''), spoken(3, 'Verse 2')];
  expect(lines(song, words).map((line) => [line.before.length, line.bars.length])).toEqual([
    [0, 2],
    [1, 1],
  ]);
  expect(wordsAfter(song, words).map((w) => w.heading)).toEqual(['Verse 2']);
});
