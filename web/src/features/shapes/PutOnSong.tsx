import Button from '@mui/material/Button';
import Box from '@mui/material/Box';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { api } from '../../api/client';
import { songKeys } from '../../api/queryKeys';
import { Problem } from '../../shared/Problem';
import { withLock } from './withLock';
import type { DeskPlace } from './useDeskPlace';

/** Puts the shape on the chord of the song it came from, and goes back there. */
export function PutOnSong({
  from,
  shape,
  capo,
}: {
  from: NonNullable<DeskPlace['from']>;
  shape: string;
  capo: number;
}) {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const put = useMutation({
    mutationFn: async () => {
      const song = await api.song(from.song);
      const decisions = withLock(song.decisions, from, shape, capo);
      return api.changeSong(song.id, song.version, song.source, decisions);
    },
    onSuccess: async (song) => {
      queries.setQueryData(songKeys.one(song.id), song);
      await navigate(`/songs/${song.id}`);
    },
  });
  return (
    <Box sx={{ mt: 1, display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
      <Button variant="contained" disabled={put.isPending} onClick={() => put.mutate()}>
        Put it on {from.chord === '' ? 'the chord' : from.chord} of the song
      </Button>
      <Button onClick={() => void navigate(`/songs/${from.song}`)}>Back to the song</Button>
      {put.isError && <Problem error={put.error} />}
    </Box>
  );
}
