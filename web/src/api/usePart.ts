import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, type Part, type PreviewBody } from './client';

/** A song note by note; the part before stays while the next is made. */
export function usePart(song: PreviewBody | undefined, enabled = true): Part | undefined {
  return useQuery({
    queryKey: ['part', song],
    queryFn: ({ signal }) => api.part(song ?? {}, null, signal),
    enabled: song !== undefined && enabled,
    placeholderData: keepPreviousData,
  }).data;
}

/** The second guitar's part; undefined when nobody plays it. */
export function useSecondPart(
  song: PreviewBody | undefined,
  second: PreviewBody | undefined,
): Part | undefined {
  const asked = useQuery({
    queryKey: ['part', song, second],
    queryFn: ({ signal }) => api.part(song ?? {}, second, signal),
    enabled: song !== undefined && second !== undefined,
    placeholderData: keepPreviousData,
  });
  return second ? asked.data : undefined;
}
