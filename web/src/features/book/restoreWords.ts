import type { RestorePlan } from '../../api/client';

const NAMES_SHOWN = 4;

/** What a restore changes, a line for each kind of thing that it changes; none where all stays as it is. */
export function restoreLines(plan: RestorePlan): string[] {
  return plan.shelves.flatMap(({ kind, added, changed, removed }) =>
    [
      part(kind, added, 'come', 'comes'),
      part(kind, changed, 'become as in the backup', 'becomes as in the backup'),
      part(kind, removed, 'go', 'goes'),
    ].filter((line) => line !== null),
  );
}

function part(kind: string, names: string[], many: string, one: string): string | null {
  if (names.length === 0) {
    return null;
  }
  const shown = names.slice(0, NAMES_SHOWN).join(', ');
  const more = names.length > NAMES_SHOWN ? ` and ${names.length - NAMES_SHOWN} more` : '';
  const what = names.length === 1 ? `1 ${kind.replace(/s$/, '')} ${one}` : `${names.length} ${kind} ${many}`;
  return `${what}: ${shown}${more}.`;
}

/** Bytes in the unit people read. */
export function sizeWords(bytes: number): string {
  return bytes < 1_000_000
    ? `${Math.max(1, Math.round(bytes / 1000))} kB`
    : `${(bytes / 1_000_000).toFixed(1)} MB`;
}
