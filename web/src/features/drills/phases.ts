/** A run is short, and a rest follows it, so that the hand stays fresh (common practice). */
export const RUN_S = 60;
export const REST_S = 15;

export interface Phase {
  kind: 'run' | 'rest' | 'over';
  /** Which run, from 1. */
  run: number;
  runs: number;
  /** Seconds of it that are left. */
  left: number;
}

/** Runs that fit into so many minutes, with rests between them; one at least. */
export function runsIn(minutes: number): number {
  return Math.max(1, Math.round((minutes * 60 + REST_S) / (RUN_S + REST_S)));
}

/** Where somebody is in a drill after some seconds: its time is shared by its runs, a rest between each two. */
export function phaseAt(elapsed: number, minutes: number): Phase {
  const runs = runsIn(minutes);
  const length = (minutes * 60 - (runs - 1) * REST_S) / runs;
  const cycle = length + REST_S;
  const run = Math.min(runs, Math.floor(elapsed / cycle) + 1);
  const within = elapsed - (run - 1) * cycle;
  if (within < length - 1e-9) {
    return { kind: 'run', run, runs, left: length - within };
  }
  return run === runs
    ? { kind: 'over', run, runs, left: 0 }
    : { kind: 'rest', run, runs, left: cycle - within };
}
