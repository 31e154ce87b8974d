import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, previewBody, type Decisions, type PreviewBody, type SecondPart } from './client';
import { useGuitars, usePlayers } from './useArrangement';

/** The part of a second guitar beside a first; undefined when nobody plays it. */
export function useSecond(
  first: PreviewBody | undefined,
  work: { source: string; decisions: Decisions },
): SecondPart | undefined {
  const players = usePlayers();
  const guitars = useGuitars();
  const { second } = work.decisions;
  const body =
    first && second
      ? previewBody(
          work.source,
          { ...work.decisions, ...second, setting: 'second', locks: [], houseRules: {} },
          players.data?.find((p) => p.id === second.playerId)?.limits,
          guitars.data?.find((g) => g.id === second.guitarId)?.build,
        )
      : undefined;
  const part = useQuery({
    queryKey: ['second', first, body],
    queryFn: ({ signal }) => api.second(first ?? {}, body ?? {}, signal),
    enabled: body !== undefined,
    placeholderData: keepPreviousData,
  });
  return body ? part.data : undefined;
}
