/** How a run went, as the API has it. */
export type Result = 'clean' | 'rough' | 'missed' | 'discomfort';

/** A clean run of a change in the log, for its curve. */
export interface Logged {
  drill: string;
  result: string;
  tempo: number;
  at: string;
}

const DAY_MS = 86_400_000;

/** The change a drill is about, whatever is done with it: drills of one change share a curve. */
export function changeOf(drill: string): string {
  return drill.slice(drill.indexOf(':') + 1);
}

/** Shapes of a change, `x32010 to x02210`; the pattern's id for the right hand. */
export function changeWords(drill: string): string {
  const change = changeOf(drill);
  const [from, to] = change.split('@')[0]?.split('>') ?? [];
  return to === undefined ? (from ?? '') : `${from?.split('/')[0] ?? ''} to ${to.split('/')[0] ?? ''}`;
}

export interface Curve {
  change: string;
  words: string;
  /** Days ago and tempo of clean runs, the oldest first. */
  points: { daysAgo: number; tempo: number }[];
  /** The fastest clean run. */
  best: number;
}

/** One curve for each change that was run cleanly more than once, the most practised first. */
export function curves(runs: Logged[], now: number): Curve[] {
  const all = new Map<string, Curve>();
  for (const run of [...runs].sort((a, b) => a.at.localeCompare(b.at))) {
    if (run.result !== 'clean' || run.tempo <= 0) {
      continue;
    }
    const change = changeOf(run.drill);
    const curve = all.get(change) ?? { change, words: changeWords(run.drill), points: [], best: 0 };
    curve.points.push({ daysAgo: (now - Date.parse(run.at)) / DAY_MS, tempo: run.tempo });
    curve.best = Math.max(curve.best, run.tempo);
    all.set(change, curve);
  }
  return [...all.values()]
    .filter((curve) => curve.points.length > 1)
    .sort((a, b) => b.points.length - a.points.length);
}

/** A curve as a path in a box: time to the right up to now, tempo up from the slowest to the fastest. */
export function path(curve: Curve, width: number, height: number): string {
  const oldest = Math.max(...curve.points.map((p) => p.daysAgo), 1);
  const tempos = curve.points.map((p) => p.tempo);
  const low = Math.min(...tempos);
  const span = Math.max(1, Math.max(...tempos) - low);
  return curve.points
    .map((point, i) => {
      const x = width * (1 - point.daysAgo / oldest);
      const y = height * (1 - (point.tempo - low) / span);
      return `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`;
    })
    .join(' ');
}

/** `1:05` for 65 seconds. */
export function clock(seconds: number): string {
  const whole = Math.max(0, Math.ceil(seconds));
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}
