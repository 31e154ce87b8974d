import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';

/** In place of a view that failed; what was decided is stored before it is shown, so loading again loses nothing. */
export function Broken() {
  return (
    <Box component="main" sx={{ p: 4 }}>
      <Typography variant="h1">This view cannot be shown</Typography>
      <Typography sx={{ mt: 1, mb: 2 }}>
        A fault of Underhand&apos;s own stopped it. What you decided is kept. Load the page again; if it stops
        once more, open the <Link to="/">songbook</Link> and go on with another song.
      </Typography>
      <Button variant="contained" onClick={() => window.location.reload()}>
        Load the page again
      </Button>
    </Box>
  );
}
