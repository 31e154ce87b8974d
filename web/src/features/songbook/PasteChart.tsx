import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useId, useState } from 'react';
import { ChartText } from '../../shared/ChartText';
import { Problem } from '../../shared/Problem';

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
  onFile,
}: {
  busy: boolean;
  error: unknown;
  onAdd: (source: string) => void;
  onFile: (file: File | undefined) => void;
}) {
  const [source, setSource] = useState('');
  const id = useId();
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        onAdd(source);
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
        rows={11}
        value={source}
        placeholder={EXAMPLE}
        spellCheck={false}
        onChange={(event) => setSource(event.target.value)}
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
          accept=".txt,.musicxml,.xml,.mxl,text/plain"
          hidden
          onChange={(event) => onFile(event.target.files?.[0])}
        />
      </Button>
      <Typography variant="caption" color="text.secondary" sx={{ display: 'block', mt: 0.5 }}>
        Chart text or MusicXML can also be dropped anywhere on this page.
      </Typography>
    </Box>
  );
}
