import { expect, test } from 'vitest';
import { NO_DECISIONS } from '../../api/decisions';
import { withLock } from './withLock';

test('a shape takes the place of what was kept at its chord, and only there', () => {
  const kept = withLock(
    withLock(
      withLock(NO_DECISIONS, { placement: 1, part: 0 }, 'x32010', 0),
      { placement: 2, part: 0 },
      '320003',
      0,
    ),
    { placement: 1, part: 0 },
    'x35553',
    2,
  );
  expect(kept.locks.map((l) => [l.placement, l.frets, l.capo])).toEqual([
    [2, '320003', 0],
    [1, 'x35553', 2],
  ]);
});
