import { expect, test } from 'vitest';
import type { Arrangement, Placement } from '../../../api/client';
import { sectionOf, textureThere, withTexture } from './textures';

const chosen = [
  { section: 1, placement: null, texture: 'led' },
  { section: null, placement: 3, texture: 'tenths' },
];

test('a texture is found where it was chosen', () => {
  expect(textureThere('comping', chosen, { kind: 'song' })).toBe('comping');
  expect(textureThere(null, chosen, { kind: 'section', section: 1 })).toBe('led');
  expect(textureThere(null, chosen, { kind: 'section', section: 0 })).toBeNull();
  expect(textureThere(null, chosen, { kind: 'chord', placement: 3 })).toBe('tenths');
});

test('another one takes its place, and the others stay', () => {
  expect(withTexture(chosen, { kind: 'section', section: 1 }, 'closed')).toEqual([
    chosen[1],
    { section: 1, placement: null, texture: 'closed' },
  ]);
  expect(withTexture(chosen, { kind: 'chord', placement: 3 }, null)).toEqual([chosen[0]]);
});

test('a chord is in the last section that has begun', () => {
  const arrangement = { sections: [{ bar: 1 }, { bar: 5 }, { bar: 9 }] } as Arrangement;
  expect(sectionOf(arrangement, { bar: 4 } as Placement)).toBe(0);
  expect(sectionOf(arrangement, { bar: 5 } as Placement)).toBe(1);
  expect(sectionOf(arrangement, { bar: 20 } as Placement)).toBe(2);
});
