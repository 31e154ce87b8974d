import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { api, previewBody, type Decisions, type PreviewBody } from './client';
import { playerKeys } from './queryKeys';

export function usePlayers() {
  return useQuery({ queryKey: playerKeys.players, queryFn: api.players });
}

export function useGuitars() {
  return useQuery({ queryKey: playerKeys.guitars, queryFn: api.guitars });
}

/** The body that asks for a song's arrangement; undefined until its player and guitar are known. */
export function useSongBody(source: string, decisions: Decisions): PreviewBody | undefined {
  const players = usePlayers();
  const guitars = useGuitars();
  const known =
    (decisions.playerId === null || players.data !== undefined) &&
    (decisions.guitarId === null || guitars.data !== undefined);
  const player = players.data?.find((p) => p.id === decisions.playerId)?.limits;
  const guitar = guitars.data?.find((g) => g.id === decisions.guitarId)?.build;
  return useMemo(
    () => (known ? previewBody(source, decisions, player, guitar) : undefined),
    [known, source, decisions, player, guitar],
  );
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
