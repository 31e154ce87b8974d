import { useQuery } from '@tanstack/react-query';
import { api } from '../../api/client';
import { NO_DECISIONS } from '../../api/decisions';
import { songKeys } from '../../api/queryKeys';
import { useArrangement } from '../../api/useArrangement';
import { comparable, type Comparable } from './compare';
import type { Kept } from './useVersions';

export interface KeptPart {
  part: Comparable | undefined;
  error: unknown;
  /** What is to be said of where it comes from; blank where it is simply what would be planned now. */
  note: string;
  /** Whether it can be planned anew, and come out otherwise. */
  aged: boolean;
}

/**
 * What was kept of a version as it was planned; the song as it is, and what is asked to be planned anew, are planned now.
 *
 * @param anew whether today's planner is to plan it
 */
export function useKeptPart(songId: number, kept: Kept | undefined, anew: boolean): KeptPart {
  const id = kept?.id ?? null;
  const planned = useQuery({
    queryKey: songKeys.planned(songId, id ?? 0),
    queryFn: () => api.planned(songId, id ?? 0),
    enabled: id !== null,
  });
  const unknown = planned.data?.part === null;
  const now = useArrangement(
    kept?.source ?? '',
    kept?.decisions ?? NO_DECISIONS,
    kept !== undefined && (id === null || anew || unknown),
  );
  const fresh = now.data && !now.isPlaceholderData ? comparable(now.data) : undefined;
  if (id === null) {
    return { part: fresh, error: now.error, note: '', aged: false };
  }
  const error = planned.error ?? now.error;
  if (unknown) {
    return { part: fresh, error, note: 'Kept before parts were kept with it; planned now.', aged: false };
  }
  const aged = planned.data !== undefined && !planned.data.current;
  if (anew) {
    return { part: fresh, error, note: 'Planned anew.', aged };
  }
  return {
    part: planned.data?.part ?? undefined,
    error,
    note: aged ? 'As it was kept; the planner has changed since.' : '',
    aged,
  };
}
