import type { Arrangement, ReadingChoice, RungStep } from '../../api/client';

/** Names of a song's sections in order; two of one name are told apart by their bar. */
export function sectionsOf(arrangement: Arrangement): string[] {
  return arrangement.sections.map(({ section, bar }) => `${section || 'Song'}, from bar ${bar}`);
}

/** The song's choices of readings with those of a rung in one section, or in the whole song when none is named. */
export function onSection(
  known: ReadingChoice[],
  step: RungStep,
  arrangement: Arrangement | undefined,
  section: number | null,
): ReadingChoice[] {
  if (section === null || !arrangement) {
    return step.readings;
  }
  const from = arrangement.sections[section]?.bar ?? 1;
  const to = arrangement.sections[section + 1]?.bar ?? Infinity;
  const inside = new Set(
    arrangement.placements.filter((p) => p.bar >= from && p.bar < to).map((p) => p.placement),
  );
  return [...known.filter((c) => !inside.has(c.placement ?? -1)), ...step.readings];
}
