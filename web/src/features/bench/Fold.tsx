import ExpandMoreIcon from '@mui/icons-material/ExpandMore';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useId, useState, type ReactNode } from 'react';

/** Controls that fold to one line on a narrow screen, so that the music has room; elsewhere they stand as they are. */
export function Fold({ line, children }: { line: string; children: ReactNode }) {
  const [open, setOpen] = useState(false);
  const id = useId();
  return (
    <Box>
      <Button
        fullWidth
        color="inherit"
        variant="outlined"
        aria-expanded={open}
        aria-controls={id}
        endIcon={<ExpandMoreIcon sx={{ transform: open ? 'rotate(180deg)' : 'none' }} />}
        onClick={() => setOpen(!open)}
        sx={{ display: { md: 'none' }, justifyContent: 'space-between', textAlign: 'left' }}
      >
        {line}
      </Button>
      <Box
        id={id}
        sx={{
          display: { xs: open ? 'flex' : 'none', md: 'flex' },
          flexDirection: 'column',
          gap: 1.25,
          pt: { xs: 1, md: 0 },
        }}
      >
        {children}
      </Box>
    </Box>
  );
}
