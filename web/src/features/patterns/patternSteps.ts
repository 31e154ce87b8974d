/** What may be plucked: roles by their letters, strings by their numbers. */
const ROLES = 'rblmh';
const MOST_TOGETHER = 4;

/** Keys of the editor and what they put into a step. */
export const STEP_KEYS = [
  ['r b', 'root, other bass'],
  ['l m h', 'low, middle, high treble'],
  ['1 to 9', 'a string by its number'],
  ['d u', 'strum down, up'],
  ['> x', 'accent, ghost stroke'],
  ['_ ^', 'palm mute, cut short'],
  ['. or delete', 'nothing'],
  ['← →', 'the step before or after'],
] as const;

/** A step after a key was pressed; null for a key that means nothing here. */
export function stepAfter(step: string, key: string): string | null {
  const lower = key.toLowerCase();
  if (key === '.' || key === 'Delete' || key === 'Backspace') {
    return '.';
  }
  if (lower === 'd' || lower === 'u') {
    return lower.toUpperCase();
  }
  if ('>x_^'.includes(lower)) {
    return step === '.' ? null : toggled(step, lower);
  }
  if (ROLES.includes(lower) || /^[1-9]$/.test(key)) {
    return plucked(/^[DU]/.test(step) || step === '.' ? '' : step, lower);
  }
  return null;
}

/** A sign behind the stroke, on or off; accents and ghosts, and mutes and cuts, take each other's place. */
function toggled(step: string, sign: string): string {
  const stroke = step.replace(/[>x_^]/g, '');
  let weight = /[>x]/.exec(step)?.[0] ?? '';
  let sound = /[_^]/.exec(step)?.[0] ?? '';
  if (sign === '>' || sign === 'x') {
    weight = weight === sign ? '' : sign;
  } else {
    sound = sound === sign ? '' : sign;
  }
  return stroke + weight + sound;
}

function plucked(step: string, what: string): string {
  const signs = step.replace(/[^>x_^]/g, '');
  const chosen = step.replace(/[>x_^]/g, '');
  const next = chosen.includes(what) ? chosen.replace(what, '') : chosen + what;
  if (next.length > MOST_TOGETHER) {
    return step;
  }
  const roles = [...ROLES].filter((r) => next.includes(r)).join('');
  const strings = [...next.replace(/[a-z]/g, '')].sort().reverse().join('');
  return roles + strings === '' ? '.' : roles + strings + signs;
}

/** Steps for a bar of so many beats divided so often; what was written stays where its beat is. */
export function divided(steps: string[], beats: number, division: number): string[] {
  const before = Math.max(1, Math.round(steps.length / beats));
  return Array.from({ length: beats * division }, (_, i) => {
    const beat = Math.floor(i / division);
    const share = (i % division) / division;
    const old = beat * before + share * before;
    return Number.isInteger(old) ? (steps[old] ?? '.') : '.';
  });
}

/** A pattern in signs that are read at a glance: arrows for strums, letters and numbers for plucked strings. */
export function glance(steps: string): string {
  return steps
    .split(' ')
    .map((step) => (step === '.' ? '·' : step.replace('D', '↓').replace('U', '↑')))
    .join(' ');
}

/** The fingers of a pattern's strokes under its steps, a dot where it rests. */
export function fingersAtAGlance(steps: string, fingers: string[]): string {
  let stroke = 0;
  return steps
    .split(' ')
    .map((step) => (step === '.' ? '·' : (fingers[stroke++] ?? '')).padEnd(step.length))
    .join(' ')
    .trimEnd();
}
