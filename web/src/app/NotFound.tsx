import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';

export function NotFound() {
  return (
    <Box component="main" sx={{ p: 4 }}>
      <Typography variant="h1">Nothing is kept at this address</Typography>
      <Typography sx={{ mt: 1 }}>
        Go to the <Link to="/">songbook</Link> and open a song from there.
      </Typography>
    </Box>
  );
}
