import { expect, test } from 'vitest';
import { base64, droppedWords, readFile } from './readFile';

test('bytes survive base64, also many of them', () => {
  const bytes = Uint8Array.from({ length: 100_000 }, (_, i) => i % 256);
  const back = Uint8Array.from(atob(base64(bytes)), (c) => c.charCodeAt(0));
  expect(back).toEqual(bytes);
});

test('what was left out is said', () => {
  expect(droppedWords([])).toBe('');
  expect(droppedWords(['a', 'b'])).toBe('Left out: a; b.');
});

test.each([
  ['%PDF-1.7', 'a PDF'],
  ['\u0089PNG', 'a picture'],
  ['ID3x', 'a sound recording'],
])('a file that begins with %s is refused as what it is', async (start, kind) => {
  const bytes = Uint8Array.from(start, (c) => c.charCodeAt(0));
  await expect(readFile(new File([bytes], 'song.bin'))).rejects.toThrow(`song.bin is ${kind}.`);
});
