import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type KeyOption, type Range } from '../../../api/client';
import { useWork } from '../state/BenchWork';
import { Problem } from '../../../shared/Problem';
import { moveWords } from '../../../shared/words';

const NO_RANGE: Range = { lowest: '', highest: '' };

/** The song in other keys: those a singer can reach, the easiest for the hand first. */
export function KeyDialog({ onClose }: { onClose: () => void }) {
  const { body, decisions, decide } = useWork();
  const onKey = (transpose: number) => {
    decide({ transpose, capo: null });
    onClose();
  };
  const [tune, setTune] = useState(NO_RANGE);
  const [voice, setVoice] = useState(decisions.voice ?? NO_RANGE);
  const heard = voice.lowest?.trim() && voice.highest?.trim() ? voice : null;
  const isSaid = JSON.stringify(heard) === JSON.stringify(decisions.voice);
  const filled = [tune.lowest, tune.highest, voice.lowest, voice.highest].filter((t) => t?.trim()).length;
  const keys = useMutation({
    mutationFn: () => {
      const asWritten = { ...body, transpose: 0, capo: null, locks: [] };
      return filled === 0 ? api.keys(asWritten) : api.keys(asWritten, { tune, voice });
    },
  });
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="key-title">
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          keys.mutate();
        }}
        sx={{ p: 2.5, display: 'flex', flexDirection: 'column', gap: 1.5 }}
      >
        <Typography id="key-title" variant="h2">
          Another key
        </Typography>
        <Typography>
          Write how far the tune goes in the chart&apos;s own key and how far the voice reaches, such as A3
          and D5. Leave all four empty to compare every key. With a singer the grips keep clear of the voice.
        </Typography>
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>
          <NoteField
            label="Tune from"
            value={tune.lowest}
            onType={(lowest) => setTune({ ...tune, lowest })}
          />
          <NoteField
            label="Tune to"
            value={tune.highest}
            onType={(highest) => setTune({ ...tune, highest })}
          />
          <NoteField
            label="Voice from"
            value={voice.lowest}
            onType={(lowest) => setVoice({ ...voice, lowest })}
          />
          <NoteField
            label="Voice to"
            value={voice.highest}
            onType={(highest) => setVoice({ ...voice, highest })}
          />
        </Box>
        <Box sx={{ display: 'flex', gap: 1 }}>
          <Button type="submit" variant="contained" disabled={keys.isPending || (filled > 0 && filled < 4)}>
            {keys.isPending ? 'Comparing' : 'Compare the keys'}
          </Button>
          <Button disabled={isSaid} onClick={() => decide({ voice: heard })}>
            {heard === null ? 'Forget the voice' : 'Keep clear of this voice'}
          </Button>
          <Button onClick={onClose}>Close</Button>
        </Box>
        {filled > 0 && filled < 4 && <Alert severity="info">All four notes are needed, or none.</Alert>}
        {keys.isError && <Problem error={keys.error} />}
        {keys.data && <Keys options={keys.data} transpose={decisions.transpose} onKey={onKey} />}
      </Box>
    </Dialog>
  );
}

function NoteField({
  label,
  value,
  onType,
}: {
  label: string;
  value: string | undefined;
  onType: (text: string) => void;
}) {
  return (
    <TextField
      size="small"
      label={label}
      value={value ?? ''}
      onChange={(event) => onType(event.target.value)}
    />
  );
}

function Keys({
  options,
  transpose,
  onKey,
}: {
  options: KeyOption[];
  transpose: number;
  onKey: (semitones: number) => void;
}) {
  const most = Math.max(...options.map((o) => o.capo.total));
  return (
    <Box component="ol" aria-label="Keys, easiest first" sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {options.map((option) => (
        <Box component="li" key={option.semitones}>
          <Box
            component="button"
            type="button"
            aria-pressed={option.semitones === transpose}
            onClick={() => onKey(option.semitones)}
            sx={{
              width: '100%',
              minHeight: 44,
              display: 'grid',
              gridTemplateColumns: '6.4em 5.4em 1fr',
              gap: 1,
              alignItems: 'center',
              border: 0,
              borderBottom: 1,
              borderColor: 'divider',
              bgcolor: 'transparent',
              color: option.semitones === transpose ? 'primary.main' : 'text.primary',
              font: 'inherit',
              textAlign: 'left',
              cursor: 'pointer',
            }}
          >
            <strong>{option.key}</strong>
            <Box sx={{ height: 10, width: `${(100 * option.capo.total) / most}%`, bgcolor: 'draw.stays' }} />
            <Box component="span" sx={{ fontSize: '0.9rem' }}>
              {moveWords(option.tuneMove)} · {option.capo.capo === 0 ? 'no capo' : `capo ${option.capo.capo}`}
              , {option.capo.reasons.slice(0, 2).join(', ')}
            </Box>
          </Box>
        </Box>
      ))}
    </Box>
  );
}
