import { useMutation, useQueries, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type RungEffort } from '../../api/client';
import { songKeys } from '../../api/queryKeys';

export function useSongs() {
  return useQuery({ queryKey: songKeys.all, queryFn: api.songs });
}

/** What each song asks on every rung, one after the other from the top, so that nothing else has to wait. */
export function useEfforts(ids: number[]): Map<number, RungEffort[]> {
  const queries = useQueryClient();
  const next = ids.find((id) => queries.getQueryData(songKeys.efforts(id)) === undefined);
  const results = useQueries({
    queries: ids.map((id) => ({
      queryKey: songKeys.efforts(id),
      queryFn: () => api.efforts(id),
      enabled: id === next,
      staleTime: Infinity,
    })),
  });
  return new Map(ids.flatMap((id, i) => (results[i]?.data ? [[id, results[i].data] as const] : [])));
}

export function useAddSong() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: api.addSong,
    onSuccess: (song) => {
      queries.setQueryData(songKeys.one(song.id), song);
      return queries.invalidateQueries({ queryKey: songKeys.all, exact: true });
    },
  });
}

export function useRemoveSong() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: api.removeSong,
    onSuccess: () => queries.invalidateQueries({ queryKey: songKeys.all, exact: true }),
  });
}
