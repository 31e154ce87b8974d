import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { api, type Decisions, type Fault } from '../../api/client';
import { Problem } from '../../shared/Problem';
import type { Work } from '../../api/songSaver';
import { droppedWords, readFile } from '../../shared/readFile';

const ChartField = lazy(() => import('../../shared/ChartField'));

/** The chart as text, with what was not understood marked in its place. */
export function ChartEditor({
  source,
  decisions,
  faults,
  onClose,
  onWrite,
}: {
  source: string;
  decisions: Decisions;
  faults: Fault[];
  onClose: () => void;
  /** The text with what was decided about chords that are still there; what fell is in words. */
  onWrite: (work: Work, fallen: string[]) => void;
}) {
  const [base, setBase] = useState(source);
  const [text, setText] = useState(source);
  const tune = useMutation({
    mutationFn: (file: File) => readFile(file, text),
    onSuccess: (read) => {
      setBase(read.source);
      setText(read.source);
    },
  });
  const carry = useMutation({
    mutationFn: (after: string) => api.carry(source, after, decisions),
    onSuccess: (carried, after) => onWrite({ source: after, decisions: carried.decisions }, carried.fallen),
  });
  const [goTo, setGoTo] = useState<Fault | null>(faults[0] ?? null);
  return (
    <Dialog
      open
      onClose={(_, reason) => {
        // A text that was changed is left only on purpose.
        if (reason !== 'backdropClick' || text === source) {
          onClose();
        }
      }}
      maxWidth="md"
      fullWidth
      aria-labelledby="chart-editor-title"
    >
      <Box sx={{ p: 2.5, display: 'flex', flexDirection: 'column', gap: 1.5 }}>
        <Typography id="chart-editor-title" variant="h2">
          The chart
        </Typography>
        <Suspense fallback={<Skeleton variant="rounded" height={320} />}>
          <ChartField key={base} source={base} faults={faults} goTo={goTo} onChange={setText} />
        </Suspense>
        {faults.map((fault) => (
          <Button
            key={`${fault.line}:${fault.column}`}
            color="error"
            sx={{ justifyContent: 'flex-start', textAlign: 'left' }}
            onClick={() => setGoTo({ ...fault })}
          >
            {fault.message}
          </Button>
        ))}
        {carry.isError && <Problem error={carry.error} />}
        {tune.isError && <Problem error={tune.error} />}
        {tune.data && (
          <Typography variant="body2">
            The tune stands under its bars. {droppedWords(tune.data.dropped)}
          </Typography>
        )}
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
          <Button
            variant="contained"
            disabled={text.trim() === '' || carry.isPending}
            onClick={() => carry.mutate(text)}
          >
            Use this text
          </Button>
          <Button onClick={onClose}>Leave it as it was</Button>
          <Button component="label">
            Add a tune from MIDI
            <input
              type="file"
              accept=".mid,.midi,audio/midi"
              hidden
              onChange={(event) => {
                const file = event.target.files?.[0];
                if (file) {
                  tune.mutate(file);
                }
              }}
            />
          </Button>
        </Box>
      </Box>
    </Dialog>
  );
}
