import { expect, test } from 'vitest';
import { changeOf, changeWords, clock, curves, path, type Logged } from './run';

const C_TO_AM = 'x32010/-32-1->x02210/--231-@0 E2 A2 D3 G3 B3 E4';
const NOW = Date.parse('2026-11-28T12:00:00Z');

const run = (drill: string, result: string, tempo: number, at: string): Logged => ({
  drill,
  result,
  tempo,
  at,
});

test('drills of one change share a curve of their clean runs', () => {
  const all = curves(
    [
      run(`loop:${C_TO_AM}`, 'clean', 66, '2026-11-27T12:00:00Z'),
      run(`anchor:${C_TO_AM}`, 'clean', 60, '2026-11-18T12:00:00Z'),
      run(`anchor:${C_TO_AM}`, 'missed', 90, '2026-11-20T12:00:00Z'),
      run('pattern:waltz-bass', 'clean', 80, '2026-11-20T12:00:00Z'),
    ],
    NOW,
  );
  expect(all).toHaveLength(1);
  expect(all[0]?.points.map((p) => p.tempo)).toEqual([60, 66]);
  expect(all[0]?.best).toBe(66);
  expect(all[0]?.words).toBe('x32010 to x02210');
  expect(all[0] && path(all[0], 100, 40)).toBe('M0.0 40.0 L90.0 0.0');
});

test('a drill says what it is about', () => {
  expect(changeOf(`half:${C_TO_AM}`)).toBe(C_TO_AM);
  expect(changeWords('pattern:waltz-bass')).toBe('waltz-bass');
});

test('the clock counts down in minutes', () => {
  expect([65, 0.2, 0, -3].map(clock)).toEqual(['1:05', '0:01', '0:00', '0:00']);
});
