/** What a bar asks for in a row, and where it begins one. */
export interface Wide {
  width: number;
  /** No less than its width. */
  asFirst: number;
}

/** What it counts that the last bar has a row of its own, against 1 for a row left empty. */
const LEFTOVER = 100;
const SAME = 1e-9;

/**
 * The first bar of every row: as few rows as there can be, filled alike, and no last bar alone as long as there is another
 * way. A bar wider than the page has a row of its own.
 */
export function rowBreaks(bars: Wide[], room: number): number[] {
  const rows = fewest(bars, room);
  let cost = [0, ...bars.map(() => Infinity)];
  const from: number[][] = [];
  for (let row = 0; row < rows; row++) {
    const next = cost.map(() => Infinity);
    const begins = cost.map(() => 0);
    for (let first = 0; first < bars.length; first++) {
      const before = cost[first] ?? Infinity;
      let wide = bars[first]?.asFirst ?? 0;
      for (let end = first + 1; before < Infinity && end <= bars.length; end++) {
        if (end > first + 1) {
          wide += bars[end - 1]?.width ?? 0;
          if (wide > room) {
            break;
          }
        }
        const alone = end === bars.length && first > 0 && end === first + 1;
        const empty = Math.max(0, 1 - wide / room);
        const now = before + empty * empty + (alone ? LEFTOVER : 0);
        // Of two ways as good the first rows are the fuller ones.
        if (now < (next[end] ?? 0) + SAME) {
          next[end] = now;
          begins[end] = first;
        }
      }
    }
    cost = next;
    from.push(begins);
  }
  const firsts: number[] = [];
  for (let row = rows - 1, end = bars.length; row >= 0; row--) {
    end = from[row]?.[end] ?? 0;
    firsts.unshift(end);
  }
  return firsts;
}

function fewest(bars: Wide[], room: number): number {
  let rows = 0;
  let used = Infinity;
  for (const bar of bars) {
    used += bar.width;
    if (used > room) {
      rows++;
      used = bar.asFirst;
    }
  }
  return rows;
}
