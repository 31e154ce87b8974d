import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useId } from 'react';
import type { ReadFile, TuneChoice } from '../../../api/client';
import { counted } from '../../../shared/words';
import { droppedWords } from '../../../shared/readFile';

/** Which tune was taken from a MIDI file and how it lies over the chart, each to be chosen otherwise. */
export function TuneFromFile({
  read,
  tune,
  busy,
  onChoose,
}: {
  read: ReadFile;
  tune: TuneChoice;
  busy: boolean;
  onChoose: (choice: { voice: number; shift: number }) => void;
}) {
  const { voices, voice, shift, proposedShift } = tune;
  const id = useId();
  return (
    <Box data-testid="tune-from-file" sx={{ display: 'flex', flexDirection: 'column', gap: 1 }}>
      <Typography variant="body2" role="status">
        The tune stands under its bars. {droppedWords(read.dropped)}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <TextField
          select
          size="small"
          label="The tune is"
          slotProps={{
            select: { native: true },
            htmlInput: { id },
            inputLabel: { htmlFor: id, shrink: true },
          }}
          value={voice}
          disabled={busy || voices.length === 1}
          onChange={(event) => onChoose({ voice: Number(event.target.value), shift })}
        >
          {voices.map(({ name, notes, lowest, highest }, i) => (
            <option key={i} value={i}>
              {name === '' ? `Voice ${i + 1}` : name}, {counted(notes, 'note')}, {lowest} to {highest}
            </option>
          ))}
        </TextField>
        <Button disabled={busy} onClick={() => onChoose({ voice, shift: shift - 1 })}>
          A quarter earlier
        </Button>
        <Button disabled={busy} onClick={() => onChoose({ voice, shift: shift + 1 })}>
          A quarter later
        </Button>
        {proposedShift !== null && (
          <Button
            variant="outlined"
            disabled={busy}
            onClick={() => onChoose({ voice, shift: proposedShift })}
          >
            {shiftWords(proposedShift - shift)}: it fits the chords better there
          </Button>
        )}
      </Box>
    </Box>
  );
}

/** How far a tune would move, in quarters. */
function shiftWords(quarters: number): string {
  return `Move it ${counted(Math.abs(quarters), 'quarter')} ${quarters < 0 ? 'earlier' : 'later'}`;
}
