import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { lazy, Suspense, useRef, useState } from 'react';
import { api, type Decisions } from '../../api/client';
import type { Work } from '../../api/songSaver';
import { TuneChordsDialog } from '../chords/TuneChordsDialog';
import type { ChartFieldHandle } from '../../shared/ChartField';
import { Problem } from '../../shared/Problem';
import { Understood } from '../../shared/Understood';
import { useDraft } from '../../shared/useDraft';
import { useReading } from '../../shared/useReading';
import { readFile } from '../../shared/readFile';
import { TuneFromFile } from './tune/TuneFromFile';

const ChartField = lazy(() => import('../../shared/ChartField'));

/** A file that holds a tune, the text it is laid over, and which of its voices is laid where. */
interface TuneFile {
  file: File;
  over: string;
  choice?: { voice: number; shift: number };
}

/** The chart as text, with what was understood of it as it is typed. What was typed and not used is there next time. */
export function ChartEditor({
  name,
  source,
  decisions,
  onClose,
  onWrite,
}: {
  /** The song's own name, under which a draft is kept. */
  name: string;
  source: string;
  decisions: Decisions;
  onClose: () => void;
  /** The text with what was decided about chords that are still there; what fell is in words. */
  onWrite: (work: Work, fallen: string[]) => void;
}) {
  const { text, write, forget, isOld } = useDraft(`chart.${name}`, source.replaceAll('\r\n', '\n'));
  // What the field begins with; a new value begins anew.
  const [base, setBase] = useState(text);
  const [proposing, setProposing] = useState(false);
  const reading = useReading(text);
  const field = useRef<ChartFieldHandle>(null);
  const begin = (from: string) => {
    setBase(from);
    write(from);
  };
  const tune = useMutation({
    mutationFn: ({ file, over, choice }: TuneFile) => readFile(file, over, choice),
    onSuccess: (read) => begin(read.source),
  });
  const carry = useMutation({
    mutationFn: (after: string) => api.carry(source, after, decisions),
    onSuccess: (carried, after) => {
      forget();
      onWrite({ source: after, decisions: carried.decisions }, carried.fallen);
    },
  });
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
        {isOld && text !== source && (
          <Typography variant="body2" data-testid="draft">
            This is what you typed before and did not use.{' '}
            <Button size="small" onClick={() => begin(source)}>
              Begin from the song again
            </Button>
          </Typography>
        )}
        <Suspense fallback={<Skeleton variant="rounded" height={320} />}>
          <ChartField key={base} ref={field} source={base} reading={reading} onChange={write} />
        </Suspense>
        {reading && (
          <Understood
            reading={reading}
            stale={reading.source !== text}
            onGoTo={(fault) => field.current?.goTo(fault)}
            onMend={(mend) => field.current?.apply(mend)}
            onPropose={() => setProposing(true)}
          />
        )}
        {carry.isError && <Problem error={carry.error} />}
        {tune.isError && <Problem error={tune.error} />}
        {tune.data?.tune && (
          <TuneFromFile
            read={tune.data}
            tune={tune.data.tune}
            busy={tune.isPending}
            // It is laid over the text as it was before the file.
            onChoose={(choice) => tune.variables && tune.mutate({ ...tune.variables, choice })}
          />
        )}
        {proposing && <TuneChordsDialog source={text} onTake={begin} onClose={() => setProposing(false)} />}
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
          <Button
            variant="contained"
            disabled={text.trim() === '' || carry.isPending}
            onClick={() => carry.mutate(text)}
          >
            Use this text
          </Button>
          <Button
            onClick={() => {
              forget();
              onClose();
            }}
          >
            Leave it as it was
          </Button>
          <Button component="label">
            Add a tune from MIDI
            <input
              type="file"
              accept=".mid,.midi,audio/midi"
              hidden
              onChange={(event) => {
                const file = event.target.files?.[0];
                if (file) {
                  tune.mutate({ file, over: text });
                }
              }}
            />
          </Button>
        </Box>
      </Box>
    </Dialog>
  );
}
