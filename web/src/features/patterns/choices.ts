import type { PatternChoice } from '../../api/client';

/** The choice that holds for a section, or for the whole song where none is its own. */
export function choiceFor(choices: PatternChoice[], section: string | null): PatternChoice | undefined {
  const last = (wanted: string | null) => choices.filter((c) => (c.section ?? null) === wanted).at(-1);
  return (section === null ? undefined : last(section)) ?? last(null);
}

/** The choices after one for a section, or for the whole song, was taken or given up. */
export function withChoice(
  choices: PatternChoice[],
  section: string | null,
  choice: PatternChoice | null,
): PatternChoice[] {
  const others = choices.filter((c) => (c.section ?? null) !== section);
  return choice ? [...others, { ...choice, section }] : others;
}
