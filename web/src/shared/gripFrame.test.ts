import { expect, test } from 'vitest';
import { frameOf } from './gripFrame';

test('an open shape is drawn from the nut', () => {
  const frame = frameOf({
    frets: [null, 3, 2, 0, 1, 0] as number[],
    fingers: [null, '3', '2', null, '1', null] as string[],
  });
  expect(frame.firstFret).toBe(1);
  expect(frame.rows).toBe(4);
  expect(frame.stops).toHaveLength(3);
});

test('a shape up the neck is drawn from its lowest fret', () => {
  const frame = frameOf({
    frets: [8, null, 7, 9, 10, null] as number[],
    fingers: ['2', null, '1', '3', '4', null] as string[],
  });
  expect(frame.firstFret).toBe(7);
  expect(frame.rows).toBe(4);
});
