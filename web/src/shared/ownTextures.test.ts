import { expect, it } from 'vitest';
import { ownTextureWords } from './ownTextures';

const PLAIN = {
  name: 'Quartets',
  families: ['drop-2'],
  otherwise: null,
  open: 'allowed',
  strings: null,
  voices: null,
  led: null,
};

it('says no more than was chosen', () => {
  expect(ownTextureWords(PLAIN)).toBe('drop 2');
});

it('says all that was chosen', () => {
  const all = {
    ...PLAIN,
    families: ['drop-2', 'drop-3'],
    otherwise: ['form'],
    open: 'none',
    strings: ['5432', '4321'],
    voices: 4,
    led: true,
  };
  expect(ownTextureWords(all)).toBe(
    'drop 2, drop 3, else form; strings 5432 or 4321; no open strings; 4 voices; each voice moves as little as it can',
  );
  expect(ownTextureWords({ ...PLAIN, open: 'bass' })).toBe('drop 2; open strings in the bass alone');
});
