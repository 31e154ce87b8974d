import { expect, it } from 'vitest';
import type { Arrangement } from '../api/client';
import { chordMap, mapLink, typedKey } from './mapLink';

it('goes to the map with each chord of the song once', () => {
  const placements = ['G', 'C♯m', 'G', null].map((chord) => ({ chord }));
  const arrangement = {
    placements,
    key: 'F♯ minor',
    tuning: 'D2 A2 D3 G3 B3 E4',
    capo: { chosen: 2 },
  } as unknown as Arrangement;
  const params = new URLSearchParams(mapLink(arrangement, 7).split('?')[1]);
  expect(params.get('chords')).toBe('G C♯m');
  expect(params.get('key')).toBe('F#m');
  expect(params.get('capo')).toBe('2');
  expect(params.get('song')).toBe('7');
});

it('writes keys as they are typed', () => {
  expect(typedKey('B♭ major')).toBe('Bb');
  expect(chordMap('F♯m7', 'open G', 0)).toBe('/map?chord=F%E2%99%AFm7&tuning=open+G&capo=0');
});
