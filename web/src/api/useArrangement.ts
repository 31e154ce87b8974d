import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import { api, previewBody, type Decisions, type PreviewBody } from './client';
import { playerKeys } from './queryKeys';

export function usePlayers() {
  return useQuery({ queryKey: playerKeys.players, queryFn: api.players });
}

export function useGuitars() {
  return useQuery({ queryKey: playerKeys.guitars, queryFn: api.guitars });
}

/** Makes the body that asks for a song's arrangement; undefined until its player and guitar are known. */
export function useBodyOf(): (source: string, decisions: Decisions) => PreviewBody | undefined {
  const players = usePlayers().data;
  const guitars = useGuitars().data;
  return useCallback(
    (source, decisions) => {
      const known =
        (decisions.playerId === null || players !== undefined) &&
        (decisions.guitarId === null || guitars !== undefined);
      const player = players?.find((p) => p.id === decisions.playerId)?.limits;
      const guitar = guitars?.find((g) => g.id === decisions.guitarId)?.build;
      return known ? previewBody(source, decisions, player, guitar) : undefined;
    },
    [players, guitars],
  );
}

/** The body for what has been decided. */
export function useSongBody(source: string, decisions: Decisions): PreviewBody | undefined {
  const bodyOf = useBodyOf();
  return useMemo(() => bodyOf(source, decisions), [bodyOf, source, decisions]);
}

/** The arrangement of a chart for what has been decided; the one before stays while the next is made. */
export function useArrangement(source: string, decisions: Decisions, enabled: boolean) {
  const body = useSongBody(source, decisions);
  return useQuery({
    queryKey: ['arrangement', body],
    queryFn: ({ signal }) => api.arrange(body ?? {}, signal),
    enabled: enabled && body !== undefined,
    placeholderData: keepPreviousData,
  });
}
