import { describe, expect, test } from 'vitest';
import type { Arrangement, ReadingChoice, RungStep } from '../../api/client';
import { onSection, sectionsOf } from './ladder';

const song = {
  sections: [
    { section: 'Verse', bar: 1 },
    { section: '', bar: 3 },
  ],
  placements: [0, 1, 2, 3].map((placement) => ({ placement, bar: placement + 1 })),
} as unknown as Arrangement;
const step = { readings: [{ placement: 1, reading: 'sevenths', stand: 'pinned' }] } as RungStep;
const known: ReadingChoice[] = [
  { placement: 0, reading: 'power', stand: 'pinned' },
  { placement: 3, reading: 'power', stand: 'pinned' },
];

describe('a rung', () => {
  test('is tried on one section, and the others keep their readings', () => {
    expect(onSection(known, step, song, 0)).toEqual([known[1], step.readings[0]]);
    expect(onSection(known, step, song, null)).toEqual(step.readings);
  });

  test('sections are named with their bar', () => {
    expect(sectionsOf(song)).toEqual(['Verse, from bar 1', 'Song, from bar 3']);
  });
});
