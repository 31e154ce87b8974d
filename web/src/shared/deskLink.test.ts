import { expect, test } from 'vitest';
import type { Arrangement, Placement } from '../api/client';
import { deskLink } from './deskLink';

test('a grip goes to the desk with its neck, its key and the way back', () => {
  const arrangement = {
    tuning: 'D2 A2 D3 G3 B3 E4',
    capo: { chosen: 3 },
    key: 'C♯ minor',
  } as unknown as Arrangement;
  const placement = {
    grip: { shape: '8-x-7-9-10-x' },
    placement: 4,
    part: 1,
    chord: 'B♭7',
  } as unknown as Placement;
  const params = new URL(deskLink(arrangement, placement, 8), 'http://x').searchParams;
  expect(Object.fromEntries(params)).toEqual({
    frets: '8-x-7-9-10-x',
    tuning: 'D2 A2 D3 G3 B3 E4',
    capo: '3',
    key: 'C#m',
    song: '8',
    placement: '4',
    part: '1',
    chord: 'B♭7',
  });
});
