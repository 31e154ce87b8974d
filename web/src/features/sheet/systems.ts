import type { PartBar, PartEvent } from '../../api/client';
import { rowBreaks } from './rowBreaks';

/** Bars that stand beside one another. */
export interface System {
  /** Name of the section that begins here; null where none does. */
  section: string | null;
  bars: { bar: PartBar; width: number; sign: boolean }[];
}

/** Whether every note is written, or strums are slashes and a bar like the one before is a sign. */
export type Writing = 'out' | 'short';

/** Height of a row of staff and tab of six strings, and of the words under it, in pixels. */
const ROW_HEIGHT = 293;
const WORDS_HEIGHT = 20;

const LEAST_BAR = 110;
const SIGN_BAR = 62;
const SIDES = 34;
const PER_EVENT = 27;
const PER_LETTER = 9.5;
const PER_LETTER_OF_WORDS = 7;
const BETWEEN_NAMES = 8;
const HEAD = 92;

/** Width a bar asks for: room for its events, for every chord's name and all words over or under those they go with. */
export function barWidth(bar: PartBar): number {
  const chords = bar.events.map((event) => PER_LETTER * (event.chord ?? '').length);
  const words = bar.events.map((event) => PER_LETTER_OF_WORDS * event.words.length);
  const perEvent = Math.max(PER_EVENT, perEventFor(chords), perEventFor(words));
  return Math.max(LEAST_BAR, SIDES + perEvent * bar.events.length);
}

/** Width every event needs so that a text of each of these widths, 0 for none, ends before the next begins. */
function perEventFor(widths: number[]): number {
  const begins = widths.flatMap((wide, i) => (wide > 0 ? [i] : []));
  return Math.max(
    0,
    ...begins.map((from, i) => {
      const until = begins[i + 1] ?? widths.length;
      return ((widths[from] ?? 0) + BETWEEN_NAMES) / (until - from);
    }),
  );
}

/** All words of a bar. */
export function wordsOf(bar: PartBar): string {
  return bar.events
    .map((event) => event.words)
    .filter((words) => words !== '')
    .join(' ');
}

/** Width of a sign for a bar, and of the words under it. */
function signWidth(bar: PartBar): number {
  return Math.max(SIGN_BAR, PER_LETTER_OF_WORDS * wordsOf(bar).length + 2 * BETWEEN_NAMES);
}

/** Pixels a row takes, six strings in its tab. */
export function rowHeight(system: System): number {
  const sung = system.bars.some(({ bar }) => wordsOf(bar) !== '');
  return ROW_HEIGHT + headroom(system) + (sung ? WORDS_HEIGHT : 0);
}

/** Lays bars out in rows of a width; a section begins a row, and what is left over is shared out. */
export function systems(bars: PartBar[], width: number, writing: Writing): System[] {
  const starts = bars.flatMap((bar, i) => (i === 0 || bar.section !== null ? [i] : []));
  return starts.flatMap((start, i) => sectionRows(bars.slice(start, starts[i + 1]), width, writing));
}

function sectionRows(bars: PartBar[], width: number, writing: Writing): System[] {
  const choices = bars.map((bar) => {
    const like = writing === 'short' && bar.again;
    const asFirst = barWidth(bar);
    return { bar, like, asFirst, width: like ? signWidth(bar) : asFirst };
  });
  const firsts = rowBreaks(choices, width - HEAD);
  return firsts.map((first, row) => {
    // A row does not begin with a sign for what stands in the row before.
    const placed = choices.slice(first, firsts[row + 1]).map(({ bar, like, asFirst, width: wide }, i) => ({
      bar,
      width: i === 0 ? asFirst : wide,
      sign: like && i > 0,
    }));
    return { section: row === 0 ? (bars[0]?.section ?? null) : null, bars: spread(placed, width) };
  });
}

/** What stands over a row that begins a section: its name, and whether its off-beats come late. */
export function heading(row: System): string {
  if (row.section === null) {
    return '';
  }
  return [row.section, row.bars[0]?.bar.swing ? 'swing' : ''].filter((words) => words !== '').join(' · ');
}

/** Shares a row's width out; a short last row is not torn apart. */
function spread(row: System['bars'], width: number): System['bars'] {
  const asked = row.reduce((sum, bar) => sum + bar.width, 0);
  const factor = Math.min(1.7, (width - HEAD) / asked);
  return row.map((bar, i) => ({ ...bar, width: bar.width * factor + (i === 0 ? HEAD : 0) }));
}

const TYPES: Record<number, string> = { 1: 'w', 2: 'h', 4: 'q', 8: '8', 16: '16', 32: '32' };

/** A note as the engraver wants it: one for each written length of an event. */
export interface Engraved {
  event: PartEvent;
  /** Its notes as they stand on the staff, lowest first. */
  heads: PartEvent['notes'];
  /** Whether it is held over from the one before. */
  tied: boolean;
  duration: string;
  dotted: boolean;
  triplet: boolean;
}

/** The notes of a voice in order, each of one written length. */
export function engraved(events: PartEvent[]): Engraved[] {
  return events.flatMap((event) =>
    event.values.map((value, i) => ({
      event,
      heads: [...event.notes].sort((a, b) => a.midi - b.midi),
      tied: i > 0 || event.fromBefore,
      duration: (TYPES[value.type] ?? 'q') + (event.notes.length === 0 ? 'r' : ''),
      dotted: value.dotted,
      triplet: value.triplet,
    })),
  );
}

const LETTERS = 'CDEFGAB';
/** Lines and spaces from C0 up to the staff's highest line, which is F4 as it sounds. */
const HIGHEST_LINE = 4 * 7 + LETTERS.indexOf('F');
/** So far above it a stem that points up stays clear of the chords' names. */
const CLEAR = 3;
const HALF_SPACE = 5;

/** Points more a row needs over its staff, so that stems of high notes stay clear of the chords' names. */
export function headroom(system: System): number {
  const written = system.bars.flatMap(({ bar }) =>
    bar.voices.flatMap((voice) => voice.flatMap((event) => event.notes.map((n) => n.written))),
  );
  const highest = Math.max(0, ...written.map(linesUp));
  return HALF_SPACE * Math.max(0, highest - HIGHEST_LINE - CLEAR);
}

function linesUp(written: string): number {
  const match = /^([A-G])[#b]*(-?\d+)$/.exec(written);
  return match ? 7 * Number(match[2]) + LETTERS.indexOf(match[1] ?? 'C') : 0;
}

/** `F#4` as the engraver writes it, an octave above what sounds: `f#/5`. */
export function staffKey(written: string): string {
  const match = /^([A-G])([#b]*)(-?\d+)$/.exec(written);
  return match ? `${match[1]?.toLowerCase() ?? ''}${match[2] ?? ''}/${Number(match[3]) + 1}` : 'b/4';
}

const SHARP_KEYS = ['C', 'G', 'D', 'A', 'E', 'B', 'F#', 'C#'];
const FLAT_KEYS = ['C', 'F', 'Bb', 'Eb', 'Ab', 'Db', 'Gb', 'Cb'];

/** Major key of a number of sharps, or of flats where it is negative. */
export function keyOf(fifths: number): string {
  return (fifths < 0 ? FLAT_KEYS[-fifths] : SHARP_KEYS[fifths]) ?? 'C';
}

/** The middle line as the engraver names it in a key, where slashes stand: without a sign. */
export function middleLine(fifths: number): string {
  return fifths <= -1 ? 'bb/4' : fifths >= 7 ? 'b#/4' : 'b/4';
}

/** What the right hand does, under the tab: arrows for strums, letters for fingers. */
export function handMark(event: PartEvent): string {
  if (event.strum) {
    return event.strum === 'down' ? '↓' : '↑';
  }
  return event.notes.map((n) => n.right ?? '').join('');
}
