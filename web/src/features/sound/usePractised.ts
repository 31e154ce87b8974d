import { useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api } from '../../api/client';
import { songKeys } from '../../api/queryKeys';

/** Played for so long, a song counts as practised, not only as tried. */
export const PRACTISED_AFTER_MS = 10_000;

/** Notes in the book that a song was played along to. */
export function usePractised(song: number, playing: boolean) {
  const queries = useQueryClient();
  useEffect(() => {
    if (!playing) {
      return;
    }
    const timer = setTimeout(() => {
      // The book is no poorer without the note: nobody is told when it could not be made.
      api
        .practised(song)
        .then(() => queries.invalidateQueries({ queryKey: songKeys.all, exact: true }))
        .catch(() => undefined);
    }, PRACTISED_AFTER_MS);
    return () => clearTimeout(timer);
  }, [song, playing, queries]);
}
