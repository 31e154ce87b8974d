import { useMutation, useQueries, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type RungEffort, type SongSummary } from '../../api/client';
import { bookKeys, songKeys } from '../../api/queryKeys';
import { useRemoval } from '../../shared/useRemoval';

export function useSongs() {
  return useQuery({ queryKey: songKeys.all, queryFn: api.songs });
}

/** What each song asks on every rung, one after the other from the top, so that nothing else has to wait; none once the book is left. */
export function useEfforts(songs: SongSummary[]): Map<number, RungEffort[]> {
  const queries = useQueryClient();
  const ids = songs.filter((song) => song.efforts === null).map((song) => song.id);
  const next = ids.find((id) => queries.getQueryData(songKeys.efforts(id)) === undefined);
  const results = useQueries({
    queries: ids.map((id) => ({
      queryKey: songKeys.efforts(id),
      queryFn: ({ signal }) => api.efforts(id, signal),
      enabled: id === next,
      staleTime: Infinity,
    })),
  });
  return new Map([
    ...songs.flatMap((song) => (song.efforts ? [[song.id, song.efforts] as const] : [])),
    ...ids.flatMap((id, i) => (results[i]?.data ? [[id, results[i].data] as const] : [])),
  ]);
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

/** Takes songs out of the book and puts the last one back. */
export function useSongRemoval() {
  return useRemoval<SongSummary>({
    remove: ({ id }) => api.removeSong(id),
    putBack: ({ id }) => api.putBack(id),
    said: ({ title }) => `“${title}” was removed. It can be put back for 30 days, on the page Book.`,
    reread: [{ queryKey: songKeys.all, exact: true }, { queryKey: bookKeys.removed }],
  });
}
