import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import { api, type Decisions, type PreviewBody } from './client';
import { playerKeys } from './queryKeys';
import { keyOf, songBody } from './songBody';

export function usePlayers() {
  return useQuery({ queryKey: playerKeys.players, queryFn: api.players });
}

export function useGuitars() {
  return useQuery({ queryKey: playerKeys.guitars, queryFn: api.guitars });
}

/** Makes the body that asks for a song's arrangement; undefined until it is known who may play it. */
export function useBodyOf(): (source: string, decisions: Decisions) => PreviewBody | undefined {
  const players = usePlayers().data;
  const guitars = useGuitars().data;
  return useCallback(
    (source, decisions) => {
      if (!players || !guitars) {
        return undefined;
      }
      const there = (stored: { id: number; version: number }[], id: number | null | undefined) =>
        stored.find((s) => s.id === id);
      const seat = (who: Pick<Decisions, 'playerId' | 'guitarId'>) => {
        const player = there(players, who.playerId);
        const guitar = there(guitars, who.guitarId);
        return {
          // Who was removed plays no more.
          ids: { playerId: player?.id ?? null, guitarId: guitar?.id ?? null },
          version: `${player?.version ?? '-'}/${guitar?.version ?? '-'}`,
        };
      };
      const first = seat(decisions);
      const second = decisions.second && seat(decisions.second as Pick<Decisions, 'playerId' | 'guitarId'>);
      return songBody(
        source,
        {
          ...decisions,
          ...first.ids,
          second: decisions.second && second && { ...decisions.second, ...second.ids },
        },
        `${first.version} ${second?.version ?? ''}`,
      );
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
    queryKey: ['arrangement', keyOf(body)],
    queryFn: ({ signal }) => api.arrange(body ?? {}, signal),
    enabled: enabled && body !== undefined,
    placeholderData: keepPreviousData,
  });
}
