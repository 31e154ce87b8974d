import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { useLocation } from 'react-router';

/** What was left out of the file this song came from. */
export function FromFile() {
  const state = useLocation().state as { said?: string } | null;
  const [seen, setSeen] = useState(false);
  return state?.said && !seen ? (
    <Alert severity="info" variant="outlined" onClose={() => setSeen(true)}>
      {state.said} Everything else was kept.
    </Alert>
  ) : null;
}

/** What was decided about chords an edit of the chart took away. */
export function Fallen({
  what,
  onUndo,
  onClose,
}: {
  what: string[];
  /** Missing when something else was decided since. */
  onUndo: (() => void) | undefined;
  onClose: () => void;
}) {
  return (
    <Alert
      severity="info"
      variant="outlined"
      data-testid="fallen"
      action={
        <Box sx={{ display: 'flex', flexWrap: 'wrap', '& button': { whiteSpace: 'nowrap' } }}>
          {onUndo && (
            <Button
              color="inherit"
              onClick={() => {
                onUndo();
                onClose();
              }}
            >
              Undo the edit
            </Button>
          )}
          <Button color="inherit" onClick={onClose}>
            All right
          </Button>
        </Box>
      }
    >
      Gone with the chords you took away: {what.join('; ')}. Everything else was kept.
    </Alert>
  );
}

export function FaultLine({ count, first, onOpen }: { count: number; first: string; onOpen: () => void }) {
  return (
    <Alert
      severity="warning"
      variant="outlined"
      action={
        <Button color="inherit" onClick={onOpen}>
          Edit the chart
        </Button>
      }
    >
      {first} {count > 1 && `And ${count - 1} more. `}Everything else was kept.
    </Alert>
  );
}
