import { replaceEqualDeep, useQuery } from '@tanstack/react-query';
import { api, type Song } from './client';
import { songKeys } from './queryKeys';

/** A song of the book, asked for anew by every view. */
export function useSong(id: number) {
  return useQuery({
    queryKey: songKeys.one(id),
    queryFn: () => api.song(id),
    refetchOnMount: 'always',
    structuralSharing: (before, now) => newer(before as Song | undefined, now as Song),
  });
}

/** What was asked for before a change was written may arrive after it: of two versions the newer one stays. */
function newer(before: Song | undefined, now: Song): Song {
  return before && before.version > now.version ? before : replaceEqualDeep(before, now);
}
