import { describe, expect, test } from 'vitest';
import { placeOf } from './useGoKeys';

describe('going to a view by two keys', () => {
  test('a letter is a place, of the book or of the open song', () => {
    expect(placeOf('s', null)).toBe('/');
    expect(placeOf('b', '/songs/3')).toBe('/songs/3');
    expect(placeOf('v', '/songs/3')).toBe('/songs/3/versions');
    expect(placeOf('v', null)).toBeNull();
    expect(placeOf('x', '/songs/3')).toBeNull();
  });
});
