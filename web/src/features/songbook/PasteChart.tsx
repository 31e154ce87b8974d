import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useId, useRef, useState } from 'react';
import type { Fault } from '../../api/client';
import { TuneChordsDialog } from '../chords/TuneChordsDialog';
import { ChartText } from '../../shared/ChartText';
import { mended, placeOf } from '../../shared/mend';
import { Problem } from '../../shared/Problem';
import { Understood } from '../../shared/Understood';
import { useDraft } from '../../shared/useDraft';
import { useReading } from '../../shared/useReading';

const EXAMPLE = `title: Your song
tempo: 92

[G]Chords in brackets in the [D]words

Em        C
or a line of them above`;

/** Takes the text of a chart and hands it on. */
export function PasteChart({
  busy,
  error,
  onAdd,
  onFiles,
}: {
  busy: boolean;
  error: unknown;
  /** Takes the text; what is typed is forgotten once it is kept. */
  onAdd: (source: string, kept: () => void) => void;
  onFiles: (files: File[]) => void;
}) {
  const { text: source, write, forget } = useDraft('paste', '');
  const reading = useReading(source);
  const field = useRef<HTMLTextAreaElement>(null);
  const [proposing, setProposing] = useState(false);
  const id = useId();
  const goTo = (fault: Fault) => {
    field.current?.focus();
    field.current?.setSelectionRange(...placeOf(source, fault));
  };
  return (
    <Box
      component="form"
      id="paste"
      onSubmit={(event) => {
        event.preventDefault();
        onAdd(source, forget);
      }}
    >
      <Typography component="label" htmlFor={id} variant="h2">
        Paste a chart
      </Typography>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        Chords in [brackets] inside the words, or on a line over them. Bars with |, if you like.
      </Typography>
      <ChartText
        id={id}
        ref={field}
        rows={11}
        value={source}
        placeholder={EXAMPLE}
        spellCheck={false}
        onChange={(event) => write(event.target.value)}
      />
      {error !== null && error !== undefined && (
        <Box sx={{ mt: 1 }}>
          <Problem error={error} />
        </Box>
      )}
      <Button type="submit" variant="contained" disabled={busy || source.trim() === ''} sx={{ mt: 1 }}>
        {busy ? 'Reading it' : 'Put it on the bench'}
      </Button>
      <Button component="label" sx={{ mt: 1, ml: 1 }}>
        or choose a file
        <input
          type="file"
          accept=".txt,.musicxml,.xml,.mxl,.zip,.mid,.midi,text/plain,audio/midi"
          hidden
          multiple
          onChange={(event) => onFiles([...(event.target.files ?? [])])}
        />
      </Button>
      {reading && (
        <Understood
          reading={reading}
          stale={reading.source !== source}
          onGoTo={goTo}
          onMend={(mend) => write(mended(source, mend))}
          onPropose={() => setProposing(true)}
        />
      )}
      {proposing && <TuneChordsDialog source={source} onTake={write} onClose={() => setProposing(false)} />}
      <Typography variant="caption" color="text.secondary" sx={{ display: 'block', mt: 0.5 }}>
        Chart text, MusicXML, a MIDI tune or a song&apos;s ZIP can also be dropped anywhere on this page.
      </Typography>
    </Box>
  );
}
