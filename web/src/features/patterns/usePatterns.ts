import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type OwnPattern, type PreviewBody, type StoredPattern } from '../../api/client';

const OWN = ['own-patterns'] as const;

/** The player's own patterns, and how they are kept. */
export function useOwnPatterns() {
  const queries = useQueryClient();
  const own = useQuery({ queryKey: OWN, queryFn: api.ownPatterns });
  const settled = { onSettled: () => queries.invalidateQueries({ queryKey: OWN }) };
  const keep = useMutation({
    mutationFn: ({ stored, pattern }: { stored: StoredPattern | null; pattern: OwnPattern }) =>
      stored ? api.changeOwnPattern(stored.id, stored.version, pattern) : api.addOwnPattern(pattern),
    ...settled,
  });
  const remove = useMutation({ mutationFn: (id: number) => api.removeOwnPattern(id), ...settled });
  return { own: own.data ?? [], keep, remove };
}

/** The patterns that fit a section, the best first; for the second guitar where there is one in question. */
export function useRanking(
  of: { song: PreviewBody; second?: PreviewBody },
  section: string,
  own: OwnPattern[],
) {
  return useQuery({
    queryKey: ['patterns', of, section, own],
    queryFn: ({ signal }) => api.rankPatterns(of, section, own, signal),
    placeholderData: keepPreviousData,
  });
}
