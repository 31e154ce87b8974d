import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, type Part, type PreviewBody, type SecondPart } from './client';
import { keyOf } from './songBody';

/** A song note by note; the part before stays while the next is made. */
export function usePart(song: PreviewBody | undefined, enabled = true): Part | undefined {
  return useQuery({
    queryKey: ['part', keyOf(song)],
    queryFn: ({ signal }) => api.part(song ?? {}, false, signal),
    enabled: song !== undefined && enabled,
    placeholderData: keepPreviousData,
  }).data;
}

/** The second guitar's part; undefined when nobody plays it. */
export function useSecondPart(song: PreviewBody | undefined): Part | undefined {
  const asked = useQuery({
    queryKey: ['second part', keyOf(song)],
    queryFn: ({ signal }) => api.part(song ?? {}, true, signal),
    enabled: song?.second != null,
    placeholderData: keepPreviousData,
  });
  return song?.second ? asked.data : undefined;
}

/** A part as rows of staff and tab so many points wide; the rows before stay while others are made. */
export function useEngraving(song: PreviewBody, second: boolean, writtenOut: boolean, width: number | null) {
  const asked = useQuery({
    queryKey: ['engraving', second, writtenOut, width, keyOf(song)],
    queryFn: async ({ signal }) => ({
      width: width ?? 0,
      ...(await api.engraving({ song, second, writtenOut, width: width ?? 0 }, signal)),
    }),
    enabled: width !== null,
    placeholderData: keepPreviousData,
  });
  return { engraved: asked.data, busy: asked.isPending || asked.isPlaceholderData, error: asked.error };
}

/** The grips of a second guitar beside the first; undefined when nobody plays it. */
export function useSecond(song: PreviewBody | undefined): SecondPart | undefined {
  const asked = useQuery({
    queryKey: ['second', keyOf(song)],
    queryFn: ({ signal }) => api.second(song ?? {}, signal),
    enabled: song?.second != null,
    placeholderData: keepPreviousData,
  });
  return song?.second ? asked.data : undefined;
}
