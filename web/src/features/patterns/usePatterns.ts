import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type OwnPattern, type PreviewBody, type StoredPattern } from '../../api/client';
import { keyOf } from '../../api/songBody';
import { useRemoval } from '../../shared/useRemoval';

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
  const removal = useRemoval<StoredPattern>({
    remove: ({ id }) => api.removeOwnPattern(id),
    putBack: ({ id }) => api.putBackOwnPattern(id),
    said: ({ pattern }) => `The pattern “${pattern.name}” was removed.`,
    reread: [{ queryKey: OWN }],
  });
  return { own: own.data ?? [], keep, removal };
}

/** The patterns that fit a section, the best first; for the first guitar's hand or the second's. */
export function useRanking(song: PreviewBody, second: boolean, section: string, own: OwnPattern[]) {
  return useQuery({
    queryKey: ['patterns', keyOf(song), second, section, own],
    queryFn: ({ signal }) => api.rankPatterns(song, second, section, own, signal),
    placeholderData: keepPreviousData,
  });
}
