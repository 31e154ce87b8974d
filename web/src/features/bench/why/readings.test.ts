import { describe, expect, test } from 'vitest';
import type { ReadingChoice, ReadingOffer, Readings } from '../../../api/client';
import { decide, merged, notOffered, reach, standOf } from './readings';

const told = {
  reach: { alike: [1, 4], section: [1], still: [0, 1, 2] },
  readings: [
    { id: 'flat-nine', overStill: false },
    { id: 'falling-line:inside:4', overStill: true },
  ],
} as unknown as Readings;

test('a decision reaches as far as it was told, and over a still chord as far as that stands', () => {
  expect(reach(told, 1, 'flat-nine', 'here')).toEqual([1]);
  expect(reach(told, 1, 'flat-nine', 'alike')).toEqual([1, 4]);
  expect(reach(told, 1, 'flat-nine', 'section')).toEqual([1]);
  expect(reach(told, 1, 'falling-line:inside:4', 'here')).toEqual([0, 1, 2]);
});

describe('a decision about a reading', () => {
  test('replaces what was said to it, and a pin every other pin', () => {
    const known: ReadingChoice[] = [
      { placement: 1, reading: 'power', stand: 'pinned' },
      { placement: 1, reading: 'flat-nine', stand: 'refused' },
      { placement: 2, reading: 'power', stand: 'pinned' },
    ];
    const pinned = decide(known, [1], 'flat-nine', 'pinned');
    expect(pinned.choices).toEqual([{ placement: 1, reading: 'flat-nine', stand: 'pinned' }]);
    expect(pinned.forget).toHaveLength(2);
    expect(decide(known, [1], 'flat-nine', null)).toEqual({
      choices: [],
      forget: [{ placement: 1, reading: 'flat-nine' }],
    });
    expect(standOf(known, 2, 'power')).toBe('pinned');
    expect(standOf(known, 3, 'power')).toBeNull();
  });
});

describe('the same chords by several rules', () => {
  const offer = (id: string, chord: string, price: number) =>
    ({ id, name: id, price, chords: [{ chord, beats: 4 }] }) as unknown as ReadingOffer;
  const offers = [offer('ninths', 'G6/9', -2), offer('tonic-swap', 'G6/9', -2), offer('power', 'G5', -2)];

  test('are one offer under both names', () => {
    expect(merged(offers, () => false).map((o) => [o.id, o.name])).toEqual([
      ['ninths', 'ninths; tonic-swap'],
      ['power', 'power'],
    ]);
  });

  test('stay apart at another price, or when one was decided on', () => {
    expect(merged([offer('a', 'G6', 1), offer('b', 'G6', 2)], () => false)).toHaveLength(2);
    expect(merged(offers, (o) => o.id === 'tonic-swap')).toHaveLength(3);
  });
});

test('what was taken on a higher rung is named, so that it can be given up', () => {
  const readings = {
    readings: [{ id: 'flat-nine' }],
    refusals: [{ clashing: [{ id: 'sharp-nine' }] }],
  } as unknown as Readings;
  const choices: ReadingChoice[] = [
    { placement: 1, reading: 'flat-nine', stand: 'pinned' },
    { placement: 1, reading: 'sharp-nine', stand: 'pinned' },
    { placement: 1, reading: 'add-ninth', stand: 'accepted' },
    { placement: 1, reading: 'power', stand: 'refused' },
    { placement: 2, reading: 'add-ninth', stand: 'accepted' },
  ];
  expect(notOffered(choices, readings, 1)).toEqual(['add-ninth']);
});
