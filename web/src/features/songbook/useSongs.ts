import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api } from '../../api/client';
import { songKeys } from '../../api/queryKeys';

export function useSongs() {
  return useQuery({ queryKey: songKeys.all, queryFn: api.songs });
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
