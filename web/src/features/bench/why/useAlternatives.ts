import { useQuery } from '@tanstack/react-query';
import { api, type Alternative, type Placement, type PreviewBody } from '../../../api/client';
import { keyOf } from '../../../api/songBody';

const NONE: Alternative[] = [];

/** Every other grip of a place in the part, cheapest for the song first. */
export function useAlternatives(
  body: PreviewBody | undefined,
  placement: Placement | undefined,
): Alternative[] {
  const all = useQuery({
    queryKey: ['alternatives', keyOf(body), placement?.index],
    queryFn: ({ signal }) => api.alternatives(body ?? {}, placement?.index ?? 0, signal),
    enabled: body !== undefined && placement !== undefined && placement.grip !== null,
  });
  return all.data ?? NONE;
}
