import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { api, type Placement, type PreviewBody, type Trial } from '../../../api/client';
import { keyOf } from '../../../api/songBody';
import { GripFrame } from '../../../shared/GripFrame';
import { Problem } from '../../../shared/Problem';
import { fingersOf, priceWords } from '../../../shared/words';
import { MONO } from '../../../theme/theme';

/** A field for a shape of one's own: its names, its fingers and its price before it is taken. */
export function TypeShape({
  body,
  placement,
  onTake,
}: {
  body: PreviewBody | undefined;
  placement: Placement;
  onTake: (shape: string, fingers: string | null) => void;
}) {
  const [shape, setShape] = useState('');
  const [fingers, setFingers] = useState('');
  const asked = useDeferredValue(shape.trim());
  const own = useDeferredValue(fingers.trim());
  const strings = placement.grip?.frets.length ?? 6;
  const trial = useQuery({
    queryKey: ['trial', keyOf(body), placement.index, asked, own],
    queryFn: ({ signal }) => api.trial(body ?? {}, placement.index, asked, own === '' ? null : own, signal),
    enabled: body !== undefined && isWhole(asked, strings) && (own === '' || own.length === strings),
    retry: false,
  });
  const tried = trial.data;
  return (
    <Box
      component="form"
      aria-label="A shape of your own"
      onSubmit={(event) => {
        event.preventDefault();
        if (tried?.grip) {
          onTake(tried.grip.shape, own === '' ? null : own);
          setShape('');
          setFingers('');
        }
      }}
      sx={{ display: 'flex', flexDirection: 'column', gap: 1 }}
    >
      <Typography variant="h3" component="h3" color="text.secondary">
        A shape of your own
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
        <TextField
          size="small"
          label="Shape"
          placeholder="x-7-6-8-x-x"
          value={shape}
          onChange={(event) => setShape(event.target.value)}
          slotProps={{ htmlInput: { style: { fontFamily: MONO }, autoCapitalize: 'off', spellCheck: false } }}
        />
        <TextField
          size="small"
          label="Fingers"
          placeholder={tried?.grip ? fingersOf(tried.grip) : 'left to us'}
          value={fingers}
          onChange={(event) => setFingers(event.target.value)}
          slotProps={{ htmlInput: { style: { fontFamily: MONO }, autoCapitalize: 'off', spellCheck: false } }}
        />
      </Box>
      {trial.isError && <Problem error={trial.error} />}
      {tried && isWhole(asked, strings) && <Tried trial={tried} />}
    </Box>
  );
}

function Tried({ trial }: { trial: Trial }) {
  return (
    <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
      {trial.grip && <GripFrame grip={trial.grip} />}
      <Box sx={{ flex: 1 }} aria-live="polite">
        <Typography sx={{ fontWeight: 700 }}>
          {trial.names.join(' · ') || 'No chord has this name'}
        </Typography>
        {trial.grip && (
          <Typography>
            <Box component="span" sx={{ fontFamily: MONO }}>
              {fingersOf(trial.grip)}
            </Box>{' '}
            {priceWords(trial.price)} for the whole song
          </Typography>
        )}
        {trial.word !== '' && <Typography variant="body2">{trial.word}</Typography>}
        {trial.grip && (
          <Button type="submit" variant="outlined">
            Take it
          </Button>
        )}
      </Box>
    </Box>
  );
}

/** Whether so much is typed that it may be a shape on so many strings. */
function isWhole(shape: string, strings: number): boolean {
  const places = /[-\s]/.test(shape) ? shape.split(/[-\s]+/).filter((p) => p !== '') : [...shape];
  return places.length === strings;
}
