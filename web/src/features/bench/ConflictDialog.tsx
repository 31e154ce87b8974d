import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import Typography from '@mui/material/Typography';
import type { Decisions, Song } from '../../api/client';
import type { Work } from '../../api/songSaver';

/** Two versions of a song that was changed in two places: which one shall stay. */
export function ConflictDialog({
  mine,
  theirs,
  onMine,
  onTheirs,
}: {
  mine: Work;
  theirs: Song;
  onMine: () => void;
  onTheirs: () => void;
}) {
  return (
    <Dialog open maxWidth="sm" fullWidth aria-labelledby="conflict-title">
      <Box sx={{ p: 2.5, display: 'flex', flexDirection: 'column', gap: 2 }}>
        <Typography id="conflict-title" variant="h2">
          This song was changed somewhere else
        </Typography>
        <Typography>Nothing was overwritten. Choose which version to keep.</Typography>
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 2 }}>
          <Version title="Yours, here" decisions={mine.decisions} sameText={mine.source === theirs.source} />
          <Version
            title="In the book"
            decisions={theirs.decisions}
            sameText={mine.source === theirs.source}
          />
        </Box>
        <Box sx={{ display: 'flex', gap: 1 }}>
          <Button variant="contained" onClick={onMine}>
            Keep yours
          </Button>
          <Button variant="outlined" onClick={onTheirs}>
            Take the one in the book
          </Button>
        </Box>
      </Box>
    </Dialog>
  );
}

function Version({ title, decisions, sameText }: { title: string; decisions: Decisions; sameText: boolean }) {
  return (
    <Box>
      <Typography variant="h3">{title}</Typography>
      <Typography>Rung {decisions.rung}</Typography>
      <Typography>{decisions.capo === null ? 'Capo where it is best' : `Capo ${decisions.capo}`}</Typography>
      <Typography>
        {decisions.tempo === null ? 'Tempo of the chart' : `${decisions.tempo} beats a minute`}
      </Typography>
      <Typography>
        {decisions.locks.length} locked {decisions.locks.length === 1 ? 'grip' : 'grips'}
      </Typography>
      <Typography>{sameText ? 'Same chart' : 'Another chart'}</Typography>
    </Box>
  );
}
