import { expect, test } from 'vitest';
import { rowBreaks } from './rowBreaks';

const bars = (...widths: number[]) => widths.map((width) => ({ width, asFirst: width }));
const alike = (count: number) => bars(...Array.from({ length: count }, () => 10));

test.each([
  // Not five bars and one, but three and three.
  [6, 50, [0, 3]],
  [12, 50, [0, 4, 8]],
  [4, 50, [0]],
  [0, 50, []],
  // One that is left over has the last row where there is no other way.
  [2, 10, [0, 1]],
])('%i bars in rows of %i points', (count, room, firsts) => {
  expect(rowBreaks(alike(count), room)).toEqual(firsts);
});

test('a bar wider than the page has a row of its own', () => {
  expect(rowBreaks(bars(10, 90, 10, 10), 50)).toEqual([0, 1, 2]);
});

test('a bar that is wider where it begins a row has room for that', () => {
  const song = Array.from({ length: 12 }, (_, i) => ({ width: i % 2 === 0 ? 20 : 5, asFirst: 20 }));
  expect(rowBreaks(song, 80)).toEqual([0, 6]);
  expect(rowBreaks(song, 60)).toEqual([0, 4, 8]);
});

test('every row fits, in a song of many bars', () => {
  const song = bars(...Array.from({ length: 300 }, (_, i) => 60 + ((i * 37) % 90)));
  const firsts = rowBreaks(song, 700);
  expect(firsts[0]).toBe(0);
  firsts.forEach((first, i) => {
    const row = song.slice(first, firsts[i + 1] ?? song.length);
    expect(row.length).toBeGreaterThan(1);
    expect(row.reduce((sum, bar) => sum + bar.width, 0)).toBeLessThanOrEqual(700);
  });
});
