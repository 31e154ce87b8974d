import { describe, expect, it } from 'vitest';
import { phaseAt, REST_S, RUN_S, runsIn } from './phases';

describe('the runs of a drill', () => {
  it('are short, with rests between them, and take its minutes', () => {
    for (const minutes of [0.5, 1, 1.5, 2, 2.5, 3, 4, 5, 8, 10]) {
      const runs = runsIn(minutes);
      const seconds = Array.from({ length: minutes * 60 }, (_, at) => phaseAt(at, minutes));
      const resting = seconds.filter((phase) => phase.kind === 'rest').length;
      expect(resting).toBeLessThanOrEqual((runs - 1) * REST_S + runs);
      expect(resting).toBeGreaterThanOrEqual((runs - 1) * REST_S - runs);
      expect(seconds.every((phase) => phase.kind !== 'over')).toBe(true);
      expect(Math.max(...seconds.map((phase) => phase.left))).toBeLessThanOrEqual(1.5 * RUN_S);
      expect(phaseAt(minutes * 60, minutes).kind).toBe('over');
    }
  });

  it('go from run to rest to the next run', () => {
    expect(runsIn(2)).toBe(2);
    expect(phaseAt(0, 2)).toEqual({ kind: 'run', run: 1, runs: 2, left: 52.5 });
    expect(phaseAt(53, 2)).toMatchObject({ kind: 'rest', run: 1, left: 14.5 });
    expect(phaseAt(68, 2)).toMatchObject({ kind: 'run', run: 2, left: 52 });
    expect(phaseAt(500, 2)).toMatchObject({ kind: 'over', run: 2, left: 0 });
  });

  it('never count up', () => {
    for (let at = 0; at < 300; at++) {
      const here = phaseAt(at, 5);
      const next = phaseAt(at + 1, 5);
      expect(here.kind === next.kind && here.run === next.run ? next.left < here.left : true).toBe(true);
    }
  });
});
