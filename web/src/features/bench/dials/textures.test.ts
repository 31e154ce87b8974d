import { expect, test } from 'vitest';
import type { Arrangement, Placement } from '../../../api/client';
import { sectionOf, textureThere, withTexture } from './textures';

const second = {
  rung: 3,
  capo: null,
  playerId: null,
  guitarId: null,
  patterns: null,
  texture: null,
  solo: null,
};

const decisions = {
  texture: null,
  textures: [
    { section: 1, placement: null, texture: 'led' },
    { section: null, placement: 3, texture: 'tenths' },
  ],
  second,
};

test('a texture is found where it was chosen', () => {
  expect(textureThere({ ...decisions, texture: 'comping' }, { kind: 'song' })).toBe('comping');
  expect(textureThere(decisions, { kind: 'section', section: 1 })).toBe('led');
  expect(textureThere(decisions, { kind: 'section', section: 0 })).toBeNull();
  expect(textureThere(decisions, { kind: 'chord', placement: 3 })).toBe('tenths');
  expect(textureThere(decisions, { kind: 'second' })).toBeNull();
  expect(textureThere({ ...decisions, second: { ...second, texture: 'triads' } }, { kind: 'second' })).toBe(
    'triads',
  );
});

test('another one takes its place, and the others stay', () => {
  expect(withTexture(decisions, { kind: 'section', section: 1 }, 'closed')).toEqual({
    textures: [decisions.textures[1], { section: 1, placement: null, texture: 'closed' }],
  });
  expect(withTexture(decisions, { kind: 'chord', placement: 3 }, null)).toEqual({
    textures: [decisions.textures[0]],
  });
  expect(withTexture(decisions, { kind: 'song' }, 'led')).toEqual({ texture: 'led' });
});

test('the second guitar has its own, and none where nobody plays it', () => {
  expect(withTexture(decisions, { kind: 'second' }, 'triads')).toEqual({
    second: { ...second, texture: 'triads' },
  });
  expect(withTexture({ ...decisions, second: null }, { kind: 'second' }, 'triads')).toEqual({ second: null });
});

test('a chord is in the last section that has begun', () => {
  const arrangement = { sections: [{ bar: 1 }, { bar: 5 }, { bar: 9 }] } as Arrangement;
  expect(sectionOf(arrangement, { bar: 4 } as Placement)).toBe(0);
  expect(sectionOf(arrangement, { bar: 5 } as Placement)).toBe(1);
  expect(sectionOf(arrangement, { bar: 20 } as Placement)).toBe(2);
});
