import { useQuery } from '@tanstack/react-query';
import { api } from '../api/client';

export const STANDARD = 'E2 A2 D3 G3 B3 E4';

/** Number of strings a tuning names; a tuning by a name has six. */
export function stringsOf(tuning: string): number {
  const words = tuning.trim().split(/\s+/);
  return words.length >= 4 && words.length <= 9 && /\d$/.test(tuning.trim()) ? words.length : 6;
}

export const OWN_TUNINGS = ['own-tunings'] as const;

/** The player's own tunings, as they are kept. */
export function useOwnTunings() {
  return useQuery({ queryKey: OWN_TUNINGS, queryFn: api.ownTunings }).data ?? [];
}

/** The tunings that have names, the player's own last; none while they are fetched. */
export function useTunings(): { name: string; strings: string }[] {
  const known = useQuery({ queryKey: ['tunings'], queryFn: api.tunings, staleTime: Infinity }).data ?? [];
  return [...known, ...useOwnTunings().map((own) => own.tuning)];
}
