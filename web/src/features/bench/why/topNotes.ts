import type { Arrangement, Decisions, Moment } from '../../../api/client';

type Solo = NonNullable<Decisions['solo']>;

interface At {
  bar: number;
  beat: number;
}

/** The moments of a place at which a note of the tune begins. */
export function struckIn(arrangement: Arrangement, place: number): Moment[] {
  const struck = new Set(arrangement.notes.filter((n) => n.tune).map((n) => key(n)));
  return arrangement.moments.filter((m) => m.place === place && m.top !== null && struck.has(key(m)));
}

/** The string a note of the tune is kept on; null where it is left open. */
export function noteOnString(solo: Decisions['solo'], at: At): number | null {
  return solo?.strings?.find((s) => isAt(s, at))?.string ?? null;
}

/** The same wishes with one note kept on a string, or left open again. */
export function withString(solo: Solo, at: At, string: number | null): Solo {
  const others = (solo.strings ?? []).filter((s) => !isAt(s, at));
  return { ...solo, strings: string === null ? others : [...others, { ...at, string }] };
}

function isAt(one: Partial<At>, at: At): boolean {
  return one.bar === at.bar && Math.abs((one.beat ?? 0) - at.beat) < 1e-3;
}

function key({ bar, beat }: At): string {
  return `${bar} ${beat.toFixed(3)}`;
}
