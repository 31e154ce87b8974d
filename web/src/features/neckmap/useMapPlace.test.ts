import { expect, it } from 'vitest';
import { mapPlace } from './useMapPlace';

const place = (query: string) => mapPlace(new URLSearchParams(query));

it('shows a chord until a scale is asked for', () => {
  expect(place('')).toMatchObject({ kind: 'chord', chord: 'C', fret: null, capo: 0, labels: 'degrees' });
  expect(place('scale=dorian&root=D')).toMatchObject({ kind: 'scale', root: 'D', scale: 'dorian' });
});

it('shows the first chord of a song until another is chosen', () => {
  expect(place('chords=G+D7+Em&key=G')).toMatchObject({ chord: 'G', chords: ['G', 'D7', 'Em'], key: 'G' });
  expect(place('chords=G+D7+Em&chord=Em')).toMatchObject({ chord: 'Em' });
});

it.each([
  ['capo=99', { capo: 11 }],
  ['capo=-3', { capo: 0 }],
  ['fret=5', { fret: 5 }],
  ['fret=x', { fret: null }],
  ['fret=999', { fret: 24 }],
  ['player=abc', { playerId: null }],
  ['labels=notes', { labels: 'notes' }],
])('makes the best of %s', (query, expected) => {
  expect(place(query)).toMatchObject(expected);
});
