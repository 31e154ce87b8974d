/** How a run went, as the API has it. */
export type Result = 'clean' | 'rough' | 'missed' | 'discomfort';

/** What is measured of something on a day. */
export interface Point {
  day: string;
  value: number;
}

const DAY_MS = 86_400_000;

/** A curve as a path in a box: time to the right up to a day, values up from the least to the most. */
export function path(points: Point[], until: number, width: number, height: number): string {
  const daysAgo = points.map((p) => (until - Date.parse(p.day)) / DAY_MS);
  const oldest = Math.max(...daysAgo, 1);
  const values = points.map((p) => p.value);
  const low = Math.min(...values);
  const span = Math.max(1e-9, Math.max(...values) - low);
  return points
    .map((point, i) => {
      const x = width * (1 - Math.max(0, daysAgo[i] ?? 0) / oldest);
      const y = height * (1 - (point.value - low) / span);
      return `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`;
    })
    .join(' ');
}

const HALF_A_MINUTE_S = 30;

/** Changes that fit into half a minute when one takes so many seconds. */
export function changesInHalfAMinute(seconds: number): number {
  return Math.floor(HALF_A_MINUTE_S / seconds);
}

/** `1:05` for 65 seconds. */
export function clock(seconds: number): string {
  const whole = Math.max(0, Math.ceil(seconds));
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}
