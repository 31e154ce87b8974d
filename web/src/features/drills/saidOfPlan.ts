import { useRemembered } from '../../shared/useRemembered';

/** What a player says of today's plan: ids of drills. */
export interface SaidOfPlan {
  swapped: string[];
  skipped: string[];
  shortened: string[];
}

const NOTHING: SaidOfPlan = { swapped: [], skipped: [], shortened: [] };

/** A day of this place, `2026-05-20`. */
export function dayOf(date: Date): string {
  const two = (n: number) => String(n).padStart(2, '0');
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
}

/** What was said on a day, as it is kept; nothing of another day or another player. */
export function readSaid(kept: string, day: string, player: string): SaidOfPlan {
  try {
    const said = JSON.parse(kept) as SaidOfPlan & { day: string; player: string };
    return said.day === day && said.player === player ? said : NOTHING;
  } catch {
    return NOTHING;
  }
}

/** What the player says of today's plan; tomorrow's is a new one. */
export function useSaidOfPlan(player: string) {
  const [kept, keep] = useRemembered<string>('drills.said', '');
  const day = dayOf(new Date());
  const said = readSaid(kept, day, player);
  const say = (how: keyof SaidOfPlan, drill: string) =>
    keep(JSON.stringify({ ...said, [how]: [...said[how], drill], day, player }));
  return {
    said,
    say,
    forget: () => keep(''),
    isSaid: Object.values(said).some((of) => Array.isArray(of) && of.length > 0),
  };
}
