import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { api, previewBody, type Decisions, type PreviewBody, type SecondPart } from './client';
import { useGuitars, usePlayers } from './useArrangement';

/** What asks for a second guitar's part; undefined when nobody plays it. */
export function useSecondBody({
  source,
  decisions,
}: {
  source: string;
  decisions: Decisions;
}): PreviewBody | undefined {
  const players = usePlayers();
  const guitars = useGuitars();
  const { second } = decisions;
  const player = players.data?.find((p) => p.id === second?.playerId)?.limits;
  const guitar = guitars.data?.find((g) => g.id === second?.guitarId)?.build;
  return useMemo(
    () =>
      second
        ? previewBody(
            source,
            {
              ...decisions,
              ...second,
              patterns: second.patterns ?? decisions.patterns,
              setting: 'second',
              locks: [],
              fills: [],
              houseRules: {},
            },
            player,
            guitar,
          )
        : undefined,
    [source, decisions, second, player, guitar],
  );
}

/** The part of a second guitar beside a first; undefined when nobody plays it. */
export function useSecond(
  first: PreviewBody | undefined,
  body: PreviewBody | undefined,
): SecondPart | undefined {
  const part = useQuery({
    queryKey: ['second', first, body],
    queryFn: ({ signal }) => api.second(first ?? {}, body ?? {}, signal),
    enabled: first !== undefined && body !== undefined,
    placeholderData: keepPreviousData,
  });
  return body ? part.data : undefined;
}
