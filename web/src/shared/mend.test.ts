import { expect, test } from 'vitest';
import { mended, placeOf, type Mend } from './mend';

const mend = (places: [number, number, number, number], text: string): Mend => {
  const [fromLine, fromColumn, toLine, toColumn] = places;
  return { label: '', fromLine, fromColumn, toLine, toColumn, text };
};

test.each<[string, Mend, string]>([
  ['| C | Zz7 |', mend([1, 7, 1, 10], 'C7'), '| C | C7 |'],
  ['G\nH7', mend([1, 1, 1, 1], 'spelling: english\n'), 'spelling: english\nG\nH7'],
  ['[Verse]\nG\n[Verse 2]', mend([3, 1, 3, 10], '[Verse 2]\nG'), '[Verse]\nG\n[Verse 2]\nG'],
  ['a\nb\nc', mend([1, 1, 2, 2], 'x'), 'x\nc'],
  ['short', mend([9, 9, 9, 9], '!'), 'short!'],
])('%j is mended', (text, edit, after) => {
  expect(mended(text, edit)).toBe(after);
});

test('a fault is found where it stands', () => {
  const text = 'G D\n| C | Zz7 |';
  const [from, to] = placeOf(text, { line: 2, column: 7, input: 'Zz7' });
  expect(text.slice(from, to)).toBe('Zz7');
});
