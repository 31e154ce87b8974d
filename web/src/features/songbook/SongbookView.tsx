import Box from '@mui/material/Box';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import { Problem } from '../../shared/Problem';
import { PasteChart } from './PasteChart';
import { SongList } from './SongList';
import { useAddSong, useRemoveSong, useSongs } from './useSongs';

/** Every song of the book, and a place to paste the next one. */
export function SongbookView() {
  const songs = useSongs();
  const add = useAddSong();
  const remove = useRemoveSong();
  const navigate = useNavigate();
  const empty = songs.data?.length === 0;

  return (
    <Box component="main" sx={{ maxWidth: 1120, p: { xs: 2, md: 3 } }}>
      <Typography variant="h1">Songbook</Typography>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', md: empty ? '1fr' : 'minmax(0, 1.15fr) minmax(0, 1fr)' },
          gap: { xs: 3, md: 5 },
          mt: 2,
        }}
      >
        {songs.isPending && <Skeleton variant="rounded" height={220} />}
        {songs.isError && <Problem error={songs.error} onRetry={() => void songs.refetch()} />}
        {songs.data && !empty && <SongList songs={songs.data} onRemove={(id) => remove.mutate(id)} />}
        {empty && (
          <Typography sx={{ maxWidth: '60ch' }}>
            The book is empty. Paste a song below: you will see which capo makes it easiest, which grips to
            take, what every finger does on the way, and whether there is time.
          </Typography>
        )}
        <PasteChart
          busy={add.isPending}
          error={add.error}
          onAdd={(source) => add.mutate(source, { onSuccess: (song) => void navigate(`/songs/${song.id}`) })}
        />
      </Box>
      {remove.isError && <Problem error={remove.error} />}
    </Box>
  );
}
