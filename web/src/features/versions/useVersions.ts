import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, type Decisions, type Song } from '../../api/client';
import { songKeys } from '../../api/queryKeys';
import { useSongSaver } from '../../api/songSaver';
import { useSong } from '../../api/useSong';
import { useRemoval } from '../../shared/useRemoval';

/** Something that can be compared: the song as it is, or one of its versions. */
export interface Kept {
  id: number | null;
  name: string;
  source: string;
  decisions: Decisions;
}

/** A song with its versions: keeping, taking and removing them. */
export function useVersions(songId: number) {
  const queries = useQueryClient();
  const saver = useSongSaver();
  const song = useSong(songId);
  const versions = useQuery({
    queryKey: songKeys.versions(songId),
    queryFn: () => api.versions(songId),
  });
  const reread = () => queries.invalidateQueries({ queryKey: songKeys.versions(songId) });
  const keep = useMutation({
    mutationFn: ({ name, of }: { name: string; of: Song }) =>
      api.keepVersion(songId, name, of.source, of.decisions),
    onSuccess: reread,
  });
  const removal = useRemoval<Kept & { id: number }>({
    remove: ({ id }) => api.removeVersion(songId, id),
    putBack: ({ id }) => api.putBackVersion(songId, id),
    said: (kept) => `The version “${kept.name}” was removed.`,
    reread: [{ queryKey: songKeys.versions(songId) }],
  });
  const take = (kept: Kept, over: Song) =>
    saver.change(over, { source: kept.source, decisions: kept.decisions });
  return { song, versions, keep, removal, take };
}
