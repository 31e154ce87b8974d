import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import type { Arrangement, PreviewBody } from '../../api/client';
import { arrangeInSteps } from './arrangeInSteps';

/**
 * The arrangement on the bench; the one before stays while the next is made.
 *
 * `arranged` is the last body whose arrangement is complete. What is asked besides waits for it, so that the road follows
 * a dial first.
 */
export function useFollowedArrangement(body: PreviewBody | undefined) {
  const queries = useQueryClient();
  const shown = useRef<Arrangement>(undefined);
  const [arranged, setArranged] = useState<PreviewBody>();
  const queryKey = ['arrangement', body];
  const arrangement = useQuery({
    queryKey,
    queryFn: ({ signal }) =>
      arrangeInSteps(body ?? {}, shown.current, signal, (first) => queries.setQueryData(queryKey, first)),
    enabled: body !== undefined,
    placeholderData: keepPreviousData,
  });
  const { data, isFetching, isPlaceholderData } = arrangement;
  useEffect(() => {
    shown.current = data;
  }, [data]);
  if (data && !isFetching && !isPlaceholderData && arranged !== body) {
    setArranged(body);
  }
  return { arrangement, arranged };
}
