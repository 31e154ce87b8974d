import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { Link as To } from 'react-router';
import { api } from '../../api/client';
import { drillKeys } from '../../api/queryKeys';
import { ENOUGH, holdsWords, isReadyForMore, whenWords } from '../../shared/forecast';

/** What each song holds of its tempo by the log, and when it will hold all of it. */
export function Forecasts({ playerId, zone }: { playerId: number | null; zone: string }) {
  const forecasts = useQuery({
    queryKey: drillKeys.forecast(playerId),
    queryFn: ({ signal }) => api.drillForecast(playerId, zone, signal),
  });
  const songs = forecasts.data ?? [];
  return songs.length === 0 ? null : (
    <Box component="section" aria-label="Songs" sx={{ mt: 3 }}>
      <Typography variant="h2">Songs</Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }} data-testid="forecasts">
        {songs.map((song) => (
          <li key={song.song}>
            <Link component={To} to={`/songs/${song.song}`}>
              {song.title}
            </Link>{' '}
            <strong>{holdsWords(song)}</strong>
            {whenWords(song) !== '' && <span>; {whenWords(song)}</span>}
          </li>
        ))}
      </Box>
      {isReadyForMore(songs) && (
        <Typography sx={{ mt: 0.5, fontWeight: 700 }}>
          {ENOUGH} songs hold their tempo. Look at what the next rung adds on a song’s page of rungs; which
          one you play on stays your choice.
        </Typography>
      )}
    </Box>
  );
}
