import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, type Fills, type Placement, type PreviewBody } from '../../../api/client';
import { keyOf } from '../../../api/songBody';

/** What a place of the part may be filled with; undefined while it is asked for. */
export function useFills(body: PreviewBody | undefined, placement: Placement | undefined): Fills | undefined {
  const asked = useQuery({
    queryKey: ['fills', placement?.index, keyOf(body)],
    queryFn: ({ signal }) => api.fills(body ?? {}, placement?.index ?? 0, signal),
    enabled: body !== undefined && placement?.grip != null,
    placeholderData: (before, query) =>
      query?.queryKey[1] === placement?.index ? keepPreviousData(before) : undefined,
  });
  return placement?.grip == null ? undefined : asked.data;
}
