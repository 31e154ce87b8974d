import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link as To } from 'react-router';
import { api } from '../../api/client';
import { drillKeys, songKeys } from '../../api/queryKeys';
import { Problem } from '../../shared/Problem';
import { ENOUGH, holdsWords, isReadyForMore, whenWords } from '../../shared/forecast';

/** What each song holds of its tempo by the log, and when it will hold all of it. */
export function Forecasts({ playerId, zone }: { playerId: number | null; zone: string }) {
  const forecasts = useQuery({
    queryKey: drillKeys.forecast(playerId),
    queryFn: ({ signal }) => api.drillForecast(playerId, zone, signal),
  });
  const queries = useQueryClient();
  const playedOn = useMutation({
    mutationFn: ({ song, date }: { song: number; date: string | null }) => api.setPlayedOn(song, date),
    onSettled: () =>
      Promise.all([
        queries.invalidateQueries({ queryKey: drillKeys.all }),
        queries.invalidateQueries({ queryKey: songKeys.all }),
      ]),
  });
  const songs = forecasts.data ?? [];
  return songs.length === 0 ? null : (
    <Box component="section" aria-label="Songs" sx={{ mt: 3, flex: '1 1 420px' }}>
      <Typography variant="h2">Songs</Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }} data-testid="forecasts">
        {songs.map((song) => (
          <Box
            component="li"
            key={song.song}
            sx={{ display: 'grid', gridTemplateColumns: '1fr 170px', gap: 2, alignItems: 'center' }}
          >
            <span>
              <Link component={To} to={`/songs/${song.song}`}>
                {song.title}
              </Link>{' '}
              <strong>{holdsWords(song)}</strong>
              {whenWords(song) !== '' && <span>; {whenWords(song)}</span>}
            </span>
            <TextField
              type="date"
              size="small"
              label="Played on"
              value={song.playedOn ?? ''}
              onChange={(event) => playedOn.mutate({ song: song.song, date: event.target.value || null })}
              slotProps={{
                inputLabel: { shrink: true },
                htmlInput: { 'aria-label': `${song.title} is played on` },
              }}
              sx={{ my: 1 }}
            />
          </Box>
        ))}
      </Box>
      {playedOn.isError && <Problem error={playedOn.error} />}
      {isReadyForMore(songs) && (
        <Typography sx={{ mt: 0.5, fontWeight: 700 }}>
          {ENOUGH} songs hold their tempo. Look at what the next rung adds on a song’s page of rungs; which
          one you play on stays your choice.
        </Typography>
      )}
    </Box>
  );
}
