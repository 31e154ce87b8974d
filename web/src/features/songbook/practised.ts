const DAY = 24 * 60 * 60 * 1000;

/** Says how many nights ago a song was practised; empty when it never was. */
export function practisedWords(at: string | null, now: Date): string {
  if (at === null) {
    return '';
  }
  const midnight = (date: Date) => new Date(date.getFullYear(), date.getMonth(), date.getDate()).getTime();
  const nights = Math.round((midnight(now) - midnight(new Date(at))) / DAY);
  if (nights <= 0) {
    return 'practised today';
  }
  return nights === 1 ? 'practised yesterday' : `practised ${nights} days ago`;
}

/** `12 December` for `2026-12-12`. */
export function dayWords(day: string): string {
  return new Date(`${day}T12:00:00`).toLocaleDateString('en-GB', { day: 'numeric', month: 'long' });
}
