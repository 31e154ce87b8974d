import { describe, expect, test } from 'vitest';
import type { Arrangement, Placement, ReadingChoice, ReadingOffer } from '../../../api/client';
import { decide, merged, reach, standOf } from './readings';

const song = (text: string) =>
  ({
    placements: text.split(' ').map((cell, placement) => {
      const [section, original] = cell.split(':');
      return { index: placement, placement, part: 0, section, beats: 4, reading: { original } };
    }),
  }) as unknown as Arrangement;

const blues = song('V:Am V:E7 V:Am C:Am C:E7 C:Am C:E7 C:Dm');
const at = (index: number) => blues.placements[index] as Placement;

describe('how far a reading reaches', () => {
  test('here, everywhere the same chord leads to the same next one, or in its section', () => {
    expect(reach(blues, at(1), 'flat-nine', 'here')).toEqual([1]);
    expect(reach(blues, at(1), 'flat-nine', 'alike')).toEqual([1, 4]);
    expect(reach(blues, at(4), 'flat-nine', 'section')).toEqual([4]);
  });

  test('a line is taken for as long as its chord stands still', () => {
    const still = song('V:Am V:Am V:Am C:Am');
    expect(reach(still, still.placements[1] as Placement, 'falling-line:inside:4', 'here')).toEqual([
      0, 1, 2,
    ]);
  });
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
