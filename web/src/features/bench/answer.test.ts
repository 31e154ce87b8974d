import { expect, test } from 'vitest';
import type { Arrangement } from '../../api/client';
import { answer } from './answer';

const song = (change: Partial<Arrangement> = {}) =>
  ({
    capo: {
      chosen: 2,
      candidates: [
        { capo: 2, worstChange: { from: 0, to: 1, neededSeconds: 0.8, availableSeconds: 1.3 } },
        { capo: 0, worstChange: null },
      ],
    },
    rightHand: { sections: [{ name: 'Down strokes' }, { name: 'Down strokes' }] },
    newShapes: [0, 1],
    placements: [
      { played: 'G', bar: 1 },
      { played: 'D', bar: 2 },
    ],
    fastestTempo: 120,
    playedKey: 'G major',
    octave: null,
    ...change,
  }) as unknown as Arrangement;

test('capo, shapes, right hand, tempo and the hard change stand in one line', () => {
  expect(answer(song())).toBe(
    'shapes in G major, capo 2 · 2 shapes · Down strokes · holds up to 120 · hardest G to D in bar 2',
  );
});

test('without a capo or a change nothing is made up', () => {
  const plain = song({ capo: { ...song().capo, chosen: 0 }, newShapes: [0] });
  expect(answer(plain)).toBe('no capo · 1 shape · Down strokes · holds up to 120');
});

test('a change without time says so', () => {
  const worstChange = { from: 0, to: 1, neededSeconds: 0.8, availableSeconds: 0.5 };
  const late = song({ capo: { chosen: 2, candidates: [{ capo: 2, worstChange }] } as Arrangement['capo'] });
  expect(answer(late)).toMatch(/in bar 2, late$/);
});

test('with the tune on top no pattern is named', () => {
  expect(answer(song({ octave: -1 }))).toMatch(/ · 2 shapes · tune on top · holds/);
});
