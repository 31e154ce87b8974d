import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { lazy, Suspense, useState } from 'react';
import type { Fault } from '../../api/client';

const ChartField = lazy(() => import('../../shared/ChartField'));

/** The chart as text, with what was not understood marked in its place. */
export function ChartEditor({
  source,
  faults,
  onClose,
  onWrite,
}: {
  source: string;
  faults: Fault[];
  onClose: () => void;
  onWrite: (source: string) => void;
}) {
  const [text, setText] = useState(source);
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
          <ChartField source={source} faults={faults} goTo={goTo} onChange={setText} />
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
        <Box sx={{ display: 'flex', gap: 1 }}>
          <Button variant="contained" disabled={text.trim() === ''} onClick={() => onWrite(text)}>
            Use this text
          </Button>
          <Button onClick={onClose}>Leave it as it was</Button>
        </Box>
      </Box>
    </Dialog>
  );
}
