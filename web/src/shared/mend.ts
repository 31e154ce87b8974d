import type { Fault } from '../api/client';

export type Mend = Fault['mends'][number];

/** Index in a text of a line and column, both from 1. */
function indexOf(text: string, line: number, column: number): number {
  let start = 0;
  for (let at = 1; at < line; at++) {
    const end = text.indexOf('\n', start);
    if (end < 0) {
      return text.length;
    }
    start = end + 1;
  }
  return Math.min(text.length, start + column - 1);
}

/** Where in a text an edit takes something out: from, up to. */
export function rangeOf(
  text: string,
  { fromLine, fromColumn, toLine, toColumn }: Omit<Mend, 'label' | 'text'>,
): [number, number] {
  const from = indexOf(text, fromLine, fromColumn);
  return [from, Math.max(from, indexOf(text, toLine, toColumn))];
}

/** Where in a text the piece stands that a fault is about. */
export function placeOf(text: string, fault: Pick<Fault, 'line' | 'column' | 'input'>): [number, number] {
  return rangeOf(text, {
    fromLine: fault.line,
    fromColumn: fault.column,
    toLine: fault.line,
    toColumn: fault.column + Math.max(1, fault.input.length),
  });
}

/** A text after an edit. */
export function mended(text: string, mend: Mend): string {
  const [from, to] = rangeOf(text, mend);
  return text.slice(0, from) + mend.text + text.slice(to);
}
