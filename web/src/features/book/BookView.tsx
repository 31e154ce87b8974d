import { usePageTitle } from '../../shared/usePageTitle';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { About } from './About';
import { Backups } from './Backups';
import { RemovedSongs } from './RemovedSongs';

/** The book as a whole: taken away, put back, what was removed of it, and what keeps it. */
export function BookView() {
  usePageTitle('Book');
  return (
    <Box component="main" sx={{ p: { xs: 2, md: 3 }, maxWidth: 1120 }}>
      <Typography variant="h1">Book</Typography>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1.2fr) minmax(0, 1fr)' },
          columnGap: 6,
          rowGap: 4,
          mt: 2,
        }}
      >
        <Backups />
        <RemovedSongs />
        <About />
      </Box>
    </Box>
  );
}
