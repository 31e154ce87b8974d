import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useLocation } from 'react-router';
import { api } from '../../api/client';
import { usePlayers } from '../../api/useArrangement';

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

/** The song's player was removed from the book: somebody else plays, and that is said. */
export function PlayerGone({ playerId }: { playerId: number | null }) {
  const players = usePlayers();
  const queries = useQueryClient();
  const back = useMutation({
    mutationFn: api.putBackPlayer,
    onSuccess: () => queries.invalidateQueries(),
  });
  const gone =
    playerId !== null && players.data !== undefined && players.data.every((p) => p.id !== playerId);
  return gone ? (
    <Alert
      severity="warning"
      variant="outlined"
      data-testid="player-gone"
      action={
        <Button color="inherit" onClick={() => back.mutate(playerId)} disabled={back.isPending}>
          Put back
        </Button>
      }
    >
      {back.isError
        ? 'The player of this song cannot be put back any more. Choose another one.'
        : 'The player of this song was removed from the book. An adult hand plays it until you choose somebody.'}
    </Alert>
  ) : null;
}

export function FaultLine({ count, first, onOpen }: { count: number; first: string; onOpen: () => void }) {
  return (
    <Alert
      severity="warning"
      variant="outlined"
      // One line: the music below is what the page is for.
      sx={{ py: 0, alignItems: 'center', '& .MuiAlert-message': { minWidth: 0, flex: 1 } }}
      action={
        <Button color="inherit" onClick={onOpen} sx={{ whiteSpace: 'nowrap' }}>
          Edit the chart
        </Button>
      }
    >
      <Typography variant="body2" noWrap title={first}>
        {count > 1 && `${count} places to look at. `}
        {first} Everything else was kept.
      </Typography>
    </Alert>
  );
}

/** A tune came without chords: nothing can be played under it until it has some. */
export function NoChords({ onPropose }: { onPropose: () => void }) {
  return (
    <Alert
      severity="info"
      variant="outlined"
      data-testid="no-chords"
      action={
        <Button color="inherit" onClick={onPropose} sx={{ whiteSpace: 'nowrap' }}>
          Propose chords
        </Button>
      }
    >
      This tune has no chords yet.
    </Alert>
  );
}
