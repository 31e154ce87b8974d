import { useQuery } from '@tanstack/react-query';
import { api } from '../../api/client';
import { drillKeys } from '../../api/queryKeys';
import { holdsWords } from '../../shared/forecast';
import { useRemembered } from '../../shared/useRemembered';

const FRESH_MS = 60_000;

/**
 * What each song holds of its tempo by the log of the player whose drills were looked at last; nothing where too little was run.
 *
 * @param ready whether all else of the book is there: songs are planned for it, and what the reader opens next comes first
 */
export function useHolds(ready: boolean): Map<number, string> {
  const [player] = useRemembered<string>('drills.player', '');
  const playerId = Number(player) || null;
  const forecasts = useQuery({
    queryKey: drillKeys.forecast(playerId),
    queryFn: ({ signal }) =>
      api.drillForecast(playerId, Intl.DateTimeFormat().resolvedOptions().timeZone, signal),
    staleTime: FRESH_MS,
    enabled: ready,
  });
  const told = (forecasts.data ?? []).filter((song) => song.state !== 'too_few');
  return new Map(told.map((song) => [song.song, holdsWords(song)]));
}
