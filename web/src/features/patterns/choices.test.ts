import { expect, test } from 'vitest';
import { choiceFor, withChoice } from './choices';

test('a section plays its own pattern, else that of the song', () => {
  const song = withChoice([], null, { pattern: 'folk-strum' });
  const both = withChoice(song, 'Chorus', { pattern: 'arpeggio-up', vary: true });
  expect(choiceFor(both, 'Chorus')).toEqual({ pattern: 'arpeggio-up', vary: true, section: 'Chorus' });
  expect(choiceFor(both, 'Verse')?.pattern).toBe('folk-strum');
  expect(choiceFor(withChoice(both, 'Chorus', null), 'Chorus')?.pattern).toBe('folk-strum');
  expect(choiceFor(withChoice(both, null, null), null)).toBeUndefined();
  expect(withChoice(both, null, { pattern: 'half-strum' })).toHaveLength(2);
});
