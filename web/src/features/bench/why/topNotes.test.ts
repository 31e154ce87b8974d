import { expect, test } from 'vitest';
import type { Arrangement, Moment } from '../../../api/client';
import { noteOnString, struckIn, withString } from './topNotes';

const top = { note: 'E4', string: 1, fret: 0, words: 'the third of C' };

function moment(beat: number, withTop: boolean): Moment {
  return { place: 0, bar: 1, beat, beats: 1, frets: [], fingers: [], top: withTop ? top : null };
}

test('a held note is not listed twice', () => {
  const arrangement = {
    moments: [moment(1, true), moment(3, true), moment(4, false)],
    notes: [
      { bar: 1, beat: 1, beats: 3, string: 1, fret: 0, note: 'E4', tune: true },
      { bar: 1, beat: 3, beats: 1, string: 5, fret: 3, note: 'C3', tune: false },
    ],
  } as unknown as Arrangement;
  expect(struckIn(arrangement, 0).map((m) => m.beat)).toEqual([1]);
  expect(struckIn(arrangement, 1)).toEqual([]);
});

test('a note is kept on one string at a time, and left open again', () => {
  const at = { bar: 2, beat: 1.5 };
  const on2 = withString({ octave: null, strings: null }, at, 2);
  const on3 = withString(on2, at, 3);
  expect(noteOnString(on2, at)).toBe(2);
  expect(noteOnString(on3, at)).toBe(3);
  expect(on3.strings).toHaveLength(1);
  expect(noteOnString(withString(on3, at, null), at)).toBeNull();
  expect(noteOnString(on3, { bar: 2, beat: 2 })).toBeNull();
  expect(noteOnString(null, at)).toBeNull();
});
