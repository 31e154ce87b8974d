const TUNING = /^([ \t]*tuning[ \t]*:)[^\n]*/im;
const TITLE = /^[ \t]*title[ \t]*:[^\n]*\n/i;

/** A chart's text with another tuning at its head; everything else stays as it was typed. */
export function withTuning(source: string, strings: string): string {
  if (TUNING.test(source)) {
    return source.replace(TUNING, `$1 ${strings}`);
  }
  const title = TITLE.exec(source)?.[0] ?? '';
  return `${title}tuning: ${strings}\n${source.slice(title.length)}`;
}
