import { describe, expect, test } from 'vitest';
import type { PartBar, PartEvent } from '../../api/client';
import {
  barWidth,
  engraved,
  handMark,
  heading,
  headroom,
  keyOf,
  middleLine,
  rowHeight,
  staffKey,
  systems,
  wordsOf,
  type System,
} from './systems';

const event = (place: number, types: number[], notes = 1): PartEvent =>
  ({
    place,
    chord: null,
    words: '',
    fromBefore: false,
    beat: 0,
    strum: null,
    weight: 'normal',
    values: types.map((type) => ({ type, dotted: false, triplet: false })),
    notes: Array.from({ length: notes }, () => ({ right: 'p' })),
  }) as unknown as PartEvent;
const bar = (number: number, section: string | null, events: number): PartBar =>
  ({
    number,
    section,
    voices: [],
    events: Array.from({ length: events }, () => event(0, [4])),
  }) as unknown as PartBar;

describe('rows of bars', () => {
  const bars = [bar(1, 'Verse', 4), bar(2, null, 8), bar(3, null, 4), bar(4, 'Chorus', 16), bar(5, null, 4)];

  test("high notes of a tune get room under the chords' names", () => {
    const row = (...written: string[]) =>
      ({
        section: null,
        bars: [{ bar: { voices: [[{ notes: written.map((w) => ({ written: w })) }]] }, width: 1 }],
      }) as unknown as System;
    expect(headroom(row('F4', 'B4'))).toBe(0);
    expect(headroom(row('C5'))).toBe(5);
    expect(headroom(row('F#5', 'E4'))).toBe(20);
    expect(headroom(row())).toBe(0);
  });

  test('are as wide as the page, and begin with every section', () => {
    const rows = systems(bars, 700, 'out');
    expect(rows.map((r) => r.bars.map((b) => b.bar.number))).toEqual([
      [1, 2, 3],
      [4, 5],
    ]);
    expect(rows.map((r) => r.section)).toEqual(['Verse', 'Chorus']);
    for (const row of rows) {
      expect(row.bars.reduce((sum, b) => sum + b.width, 0)).toBeLessThanOrEqual(700.01);
    }
  });

  test('say over a section what it is called and whether it swings', () => {
    const swung = bars.map((b) => ({ ...b, swing: true }));
    expect(systems(bars, 700, 'out').map(heading)).toEqual(['Verse', 'Chorus']);
    expect(systems(swung, 500, 'out').map(heading)).toEqual(['Verse · swing', '', 'Chorus · swing', '']);
    expect(systems([bar(1, '', 4)], 700, 'out').map(heading)).toEqual(['']);
  });

  test('leave room for the names of chords', () => {
    const named = (...chords: (string | null)[]) =>
      barWidth({ ...bar(1, null, 0), events: chords.map((chord) => ({ ...event(0, [4]), chord })) });
    expect(named('G', null, 'D', null)).toBe(named('G', null, null, null));
    expect(named('C♯m7♭5 BIV', null, 'F♯7♭9 BII', null)).toBeGreaterThan(2 * 10 * 9);
    expect(named('C♯m7♭5 BIV', null, null, null)).toBe(named('G', null, null, null));
  });

  test('leave room for the words, under a sign too, and a line for them', () => {
    const words = 'down the long canal in rain';
    const sung = (...all: string[]) => ({
      ...bar(2, null, 0),
      again: true,
      events: all.map((one) => ({ ...event(0, [4]), words: one })),
    });
    expect(barWidth(sung(words, '', '', ''))).toBeGreaterThan(6 * words.length);
    expect(barWidth(sung(words, '', words, ''))).toBeGreaterThan(12 * words.length);
    expect(barWidth(sung('oh', '', '', ''))).toBe(barWidth(sung('', '', '', '')));
    const [row] = systems([bar(1, null, 4), sung(words, ''), bar(3, null, 4)], 900, 'short');
    const [first, sign, last] = row?.bars ?? [];
    expect(sign?.sign).toBe(true);
    expect(sign?.width).toBeGreaterThan(6 * words.length);
    expect(wordsOf(sung(words, 'oh'))).toBe(`${words} oh`);
    expect(rowHeight({ section: null, bars: [sign, first].flatMap((b) => b ?? []) })).toBe(
      rowHeight({ section: null, bars: [last].flatMap((b) => b ?? []) }) + 20,
    );
  });

  test('a bar like the one before is a sign, unless it begins a row or all is written out', () => {
    const song = [1, 2, 3, 4, 5, 6, 7].map((n) => ({ ...bar(n, null, 4), again: n > 1 }));
    const signs = (width: number, writing: 'out' | 'short') =>
      systems(song, width, writing).map((row) =>
        row.bars.map((b) => (b.sign ? '%' : b.bar.number)).join(' '),
      );
    expect(signs(500, 'short')).toEqual(['1 % % %', '5 % %']);
    expect(signs(800, 'out')).toEqual(['1 2 3 4', '5 6 7']);
    const [row] = systems(song, 500, 'short');
    expect(row?.bars.reduce((sum, b) => sum + b.width, 0)).toBeCloseTo(500);
  });

  test('slashes stand on the middle line without a sign', () => {
    expect([0, 3, -1, -4, 7].map(middleLine)).toEqual(['b/4', 'b/4', 'bb/4', 'bb/4', 'b#/4']);
  });

  test('a bar wider than the page stands alone', () => {
    expect(systems([bar(1, null, 40), bar(2, null, 2)], 500, 'out')).toHaveLength(2);
  });
});

test('an event is written once for each of its lengths', () => {
  const notes = engraved([event(3, [2, 8]), event(3, [4], 0)] as unknown as PartEvent[]);
  expect(notes.map((n) => [n.duration, n.tied])).toEqual([
    ['h', false],
    ['8', true],
    ['qr', false],
  ]);
});

test('heads stand lowest first, whatever their strings', () => {
  const notes = [{ midi: 54 }, { midi: 50 }, { midi: 55 }];
  const [note] = engraved([{ ...event(0, [4]), notes }] as unknown as PartEvent[]);
  expect(note?.heads.map((n) => n.midi)).toEqual([50, 54, 55]);
});

test('pitches, keys and marks', () => {
  expect(staffKey('F#3')).toBe('f#/4');
  expect(staffKey('Bb2')).toBe('bb/3');
  expect(keyOf(-2)).toBe('Bb');
  expect(keyOf(3)).toBe('A');
  expect(handMark({ ...event(0, [4], 2) })).toBe('pp');
  expect(handMark({ ...event(0, [4]), strum: 'up' })).toBe('↑');
});
