/** A fret for each string from the lowest: null for silent, 0 for open. */
export type Frets = (number | null)[];

/** Frets that are drawn. */
export const SHOWN = 15;

export interface Neck {
  strings: number;
  /** Left edge of the strings, at the nut or the capo. */
  nut: number;
  width: number;
  top: number;
  gap: number;
  leftHanded: boolean;
}

/** Where a fret lies along the neck, as parts of what is drawn: frets get narrower as on a guitar (equal temperament). */
function along(fret: number): number {
  return (1 - 2 ** (-fret / 12)) / (1 - 2 ** (-SHOWN / 12));
}

/** Where a fret's wire is drawn. */
export function fretX(neck: Neck, fret: number): number {
  const x = neck.nut + along(fret) * neck.width;
  return neck.leftHanded ? 2 * neck.nut + neck.width - x : x;
}

/** Where a finger on a fret is drawn: behind its wire. Open strings lie before the nut. */
export function stopX(neck: Neck, fret: number): number {
  if (fret === 0) {
    return neck.leftHanded ? 2 * neck.nut + neck.width - (neck.nut - 22) : neck.nut - 22;
  }
  return (fretX(neck, fret - 1) + fretX(neck, fret)) / 2;
}

/** The lowest string is nearest the player: at the foot. */
export function stringY(neck: Neck, string: number): number {
  return neck.top + neck.gap * (neck.strings - 1 - string);
}

/** Height of a neck with the figures under it. */
export function boardHeight(neck: Neck): number {
  return neck.top + neck.gap * (neck.strings - 1) + 42;
}

/** `x32010`, or `8-x-7-9-10-x` once a fret has two digits. */
export function shapeText(frets: Frets): string {
  const wide = frets.some((fret) => fret !== null && fret > 9);
  return frets.map((fret) => fret ?? 'x').join(wide ? '-' : '');
}

/** Reads what {@link shapeText} writes; null for anything else. */
export function readShape(text: string, strings: number): Frets | null {
  const trimmed = text.trim().toLowerCase();
  const places = /[-\s]/.test(trimmed) ? trimmed.split(/[-\s]+/) : [...trimmed];
  if (places.length !== strings || !places.every((p) => /^(x|\d{1,2})$/.test(p))) {
    return null;
  }
  return places.map((p) => (p === 'x' ? null : Number(p)));
}

/** The same with one string stopped at a fret; a touch where a finger is lifts it. */
export function touched(frets: Frets, string: number, fret: number): Frets {
  return frets.map((f, s) => (s !== string ? f : f === fret ? (fret === 0 ? null : 0) : fret));
}

/** A fret after a digit was typed: a second digit goes behind a 1 that was typed just before. */
export function typed(fret: number | null, digit: number, again: boolean): number {
  return again && fret === 1 ? 10 + digit : digit;
}

/** What moved between two shapes, in words: `string 3: 2 to 0`. */
export function movedWords(moved: { string: number; from: number | null; to: number | null }[]): string {
  const place = (fret: number | null) => (fret === null ? 'silent' : fret === 0 ? 'open' : `fret ${fret}`);
  return moved.map((m) => `string ${m.string}: ${place(m.from)} to ${place(m.to)}`).join(', ');
}
