import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type RestoreMode } from '../../api/client';
import { bookKeys } from '../../api/queryKeys';

export const useRemovedSongs = () => useQuery({ queryKey: bookKeys.removed, queryFn: api.removedSongs });

export const useKeptBackups = () => useQuery({ queryKey: bookKeys.backups, queryFn: api.backups });

export const useAbout = () => useQuery({ queryKey: bookKeys.about, queryFn: api.about });

/** A mutation after which nothing that was read of the book need hold any more. */
function useChangeOfBook<Asked, Answer>(change: (asked: Asked) => Promise<Answer>) {
  const queries = useQueryClient();
  return useMutation({ mutationFn: change, onSuccess: () => queries.invalidateQueries() });
}

export interface RestoreOrder {
  /** A file, or the name of a backup that was made by itself. */
  from: Blob | string;
  mode: RestoreMode;
}

export const useRestorePreview = () =>
  useMutation({ mutationFn: ({ from, mode }: RestoreOrder) => api.restore(from, mode, true) });

export const useRestore = () =>
  useChangeOfBook(({ from, mode }: RestoreOrder) => api.restore(from, mode, false));

export const useUndoRestore = () => useChangeOfBook(() => api.undoRestore());

export const usePutSongBack = () => useChangeOfBook((id: number) => api.putBack(id));
