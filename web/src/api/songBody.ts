import type { Decisions, PreviewBody } from './client';

const MOST_CHARTS = 50;

/** A number for each chart text that is in use: long texts are no keys. */
const charts = new Map<string, number>();
let lastChart = 0;

const keys = new WeakMap<PreviewBody, string>();

/**
 * What asks for a song: its chart and what has been decided.
 *
 * @param seats versions of the players and guitars named in the decisions: the same song is another one when they change
 */
export function songBody(source: string, decisions: Decisions, seats: string): PreviewBody {
  const body: PreviewBody = { chart: { format: 'text', source }, ...decisions };
  keys.set(body, `${chartNumber(source)} ${seats} ${JSON.stringify(decisions)}`);
  return body;
}

/** A short key for what a body asks for: two that ask for the same have the same. */
export function keyOf(body: PreviewBody | undefined): string {
  return (body && keys.get(body)) ?? JSON.stringify(body ?? null);
}

function chartNumber(source: string): number {
  const known = charts.get(source) ?? ++lastChart;
  charts.delete(source);
  charts.set(source, known);
  const [oldest] = charts.keys();
  if (charts.size > MOST_CHARTS && oldest !== undefined) {
    charts.delete(oldest);
  }
  return known;
}
