import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { Problem } from '../../shared/Problem';
import { usePutSongBack, useRemovedSongs } from './useBook';

const day = (time: string) =>
  new Date(time).toLocaleDateString(undefined, { day: 'numeric', month: 'long', year: 'numeric' });

/** Songs that were removed and can be put back. */
export function RemovedSongs() {
  const removed = useRemovedSongs();
  const putBack = usePutSongBack();
  return (
    <Box component="section" aria-label="Removed songs">
      <Typography variant="h2">Removed songs</Typography>
      {removed.isPending && <Skeleton variant="rounded" height={60} sx={{ mt: 1 }} />}
      {removed.isError && <Problem error={removed.error} onRetry={() => void removed.refetch()} />}
      {removed.data?.length === 0 && (
        <Typography sx={{ mt: 1 }}>None. A song that is removed waits here for 30 days.</Typography>
      )}
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {removed.data?.map((song) => (
          <Box
            component="li"
            key={song.id}
            sx={{ display: 'flex', alignItems: 'center', py: 0.75, borderBottom: 1, borderColor: 'divider' }}
          >
            <Box sx={{ flex: 1, minWidth: 0 }}>
              <Typography sx={{ fontWeight: 700 }}>{song.title}</Typography>
              <Typography variant="body2" color="text.secondary">
                Can be put back until {day(song.until)}
              </Typography>
            </Box>
            <Button onClick={() => putBack.mutate(song.id)} aria-label={`Put back ${song.title}`}>
              Put back
            </Button>
          </Box>
        ))}
      </Box>
      {putBack.isError && <Problem error={putBack.error} />}
    </Box>
  );
}
