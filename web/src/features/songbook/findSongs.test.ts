import { expect, test } from 'vitest';
import type { SongSummary } from '../../api/client';
import { findSongs } from './findSongs';

const song = (title: string, key: string, metre: string): SongSummary => ({
  id: 1,
  title,
  key,
  metre,
  tempo: 92,
  bars: 8,
  chords: 4,
  faults: 0,
  practisedAt: null,
  playedOn: null,
  efforts: null,
});
const BOOK = [song('Écluse', 'B♭ major', '3/4'), song('Towpath Morning', 'A major', '4/4')];

test.each([
  ['', 2],
  ['tow', 1],
  ['ecluse', 1],
  ['Bb 3/4', 1],
  ['major', 2],
  ['tow 3/4', 0],
])('%j finds %i', (words, count) => {
  expect(findSongs(BOOK, words)).toHaveLength(count);
});
