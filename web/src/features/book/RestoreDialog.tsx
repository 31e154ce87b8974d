import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import type { RestoreMode } from '../../api/client';
import { Problem } from '../../shared/Problem';
import { restoreLines } from './restoreWords';
import { useRestorePreview } from './useBook';

/** Says what a backup would change before it is put back. */
export function RestoreDialog({
  name,
  from,
  onCancel,
  onRestore,
}: {
  name: string;
  from: Blob | string;
  onCancel: () => void;
  onRestore: (mode: RestoreMode) => void;
}) {
  const [mode, setMode] = useState<RestoreMode>('replace');
  const { mutate, data, error, isPending } = useRestorePreview();
  useEffect(() => mutate({ from, mode }), [mutate, from, mode]);
  const lines = data ? restoreLines(data) : [];
  return (
    <Dialog open onClose={onCancel} fullWidth maxWidth="sm" aria-labelledby="restore-title">
      <DialogTitle id="restore-title">Put back {name}</DialogTitle>
      <DialogContent>
        <RadioGroup
          aria-label="How"
          value={mode}
          onChange={(event) => setMode(event.target.value as RestoreMode)}
        >
          <FormControlLabel
            value="replace"
            control={<Radio />}
            label="The book becomes what the backup holds"
          />
          <FormControlLabel
            value="merge"
            control={<Radio />}
            label="Add what the book lacks; of what both have the later stays"
          />
        </RadioGroup>
        <Box aria-live="polite" sx={{ mt: 1, minHeight: 72 }} data-testid="restore-preview">
          {isPending && <Skeleton variant="rounded" height={60} />}
          {error && <Problem error={error} />}
          {data && lines.length === 0 && <Typography>Nothing would change.</Typography>}
          {data && lines.map((line) => <Typography key={line}>{line}</Typography>)}
        </Box>
        <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
          This can be undone.
        </Typography>
      </DialogContent>
      <DialogActions>
        <Button onClick={onCancel}>Leave the book as it is</Button>
        <Button variant="contained" disabled={!data || lines.length === 0} onClick={() => onRestore(mode)}>
          Put it back
        </Button>
      </DialogActions>
    </Dialog>
  );
}
