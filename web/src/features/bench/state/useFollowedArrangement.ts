import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Arrangement, PreviewBody } from '../../../api/client';
import { keyOf } from '../../../api/songBody';
import { arrangeInSteps } from './arrangeInSteps';

/**
 * The arrangement on the bench; the one before stays while the next is made.
 *
 * `arranged` is the last body whose arrangement is complete. What is asked besides waits for it, so that the road follows
 * a dial first. `ask` asks for the arrangement of a body that is about to come: the server is at work while the page is
 * still drawing the dial that was turned.
 */
export function useFollowedArrangement(body: PreviewBody | undefined) {
  const queries = useQueryClient();
  const shown = useRef<Arrangement>(undefined);
  const [arranged, setArranged] = useState<PreviewBody>();
  const query = useCallback(
    (wanted: PreviewBody) => {
      const queryKey = ['arrangement', keyOf(wanted)];
      const onFirst = (first: Arrangement) => queries.setQueryData(queryKey, first);
      return {
        queryKey,
        queryFn: ({ signal }: { signal: AbortSignal }) =>
          arrangeInSteps(wanted, shown.current, signal, onFirst),
      };
    },
    [queries],
  );
  const ask = useCallback(
    (wanted: PreviewBody) => void queries.prefetchQuery(query(wanted)),
    [queries, query],
  );
  const arrangement = useQuery({
    ...query(body ?? {}),
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
  return { arrangement, arranged, ask };
}
