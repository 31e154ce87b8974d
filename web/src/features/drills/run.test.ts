import { expect, test } from 'vitest';
import { changesInHalfAMinute, clock, path } from './run';
import { dayOf, readSaid } from './saidOfPlan';

const NOW = Date.parse('2026-11-28');

test('a curve goes from its first day to now, from its least to its most', () => {
  const points = [
    { day: '2026-11-18', value: 60 },
    { day: '2026-11-27', value: 66 },
  ];
  expect(path(points, NOW, 100, 40)).toBe('M0.0 40.0 L90.0 0.0');
  expect(
    path(
      [
        { day: '2026-11-18', value: 60 },
        { day: '2026-11-28', value: 60 },
      ],
      NOW,
      100,
      40,
    ),
  ).toBe('M0.0 40.0 L100.0 40.0');
});

test('seconds of a change say how many there are in half a minute', () => {
  expect([1, 0.8, 2.1].map(changesInHalfAMinute)).toEqual([30, 37, 14]);
});

test('the clock counts down in minutes', () => {
  expect([65, 0.2, 0, -3].map(clock)).toEqual(['1:05', '0:01', '0:00', '0:00']);
});

test('what is said of a plan holds for its day and its player', () => {
  const day = dayOf(new Date(2026, 4, 3, 23, 59));
  expect(day).toBe('2026-05-03');
  const kept = JSON.stringify({ day, player: '7', swapped: ['loop:a'], skipped: [], shortened: [] });
  expect(readSaid(kept, day, '7').swapped).toEqual(['loop:a']);
  expect(readSaid(kept, '2026-05-04', '7').swapped).toEqual([]);
  expect(readSaid(kept, day, '').swapped).toEqual([]);
  expect(readSaid('spoilt', day, '7').skipped).toEqual([]);
});
