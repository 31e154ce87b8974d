import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, type Placement, type PreviewBody, type Readings } from '../../../api/client';
import { keyOf } from '../../../api/songBody';

/** What may stand in the place of a chord, priced for the song as it is now. */
export function useReadings(
  body: PreviewBody | undefined,
  placement: Placement | undefined,
): Readings | undefined {
  const asked = useQuery({
    queryKey: ['readings', placement?.placement, keyOf(body)],
    queryFn: ({ signal }) => api.readings(body ?? {}, placement?.placement ?? 0, signal),
    enabled: body !== undefined && placement?.chord != null,
    placeholderData: (before, query) =>
      query?.queryKey[1] === placement?.placement ? keepPreviousData(before) : undefined,
  });
  return placement?.chord == null ? undefined : asked.data;
}
