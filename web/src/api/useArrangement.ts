import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, previewBody, type Decisions } from './client';
import { playerKeys } from './queryKeys';

export function usePlayers() {
  return useQuery({ queryKey: playerKeys.players, queryFn: api.players });
}

export function useGuitars() {
  return useQuery({ queryKey: playerKeys.guitars, queryFn: api.guitars });
}

/** The arrangement of a chart for what has been decided; the one before stays while the next is made. */
export function useArrangement(source: string, decisions: Decisions, enabled: boolean) {
  const players = usePlayers();
  const guitars = useGuitars();
  const player = players.data?.find((p) => p.id === decisions.playerId)?.limits;
  const guitar = guitars.data?.find((g) => g.id === decisions.guitarId)?.build;
  const known =
    (decisions.playerId === null || players.data !== undefined) &&
    (decisions.guitarId === null || guitars.data !== undefined);
  const body = previewBody(source, decisions, player, guitar);
  return useQuery({
    queryKey: ['arrangement', body],
    queryFn: ({ signal }) => api.arrange(body, signal),
    enabled: enabled && known,
    placeholderData: keepPreviousData,
  });
}
