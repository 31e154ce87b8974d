import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type OwnTuning, type StoredTuning } from '../api/client';
import { MONO } from '../theme/theme';
import { Problem } from './Problem';
import { OWN_TUNINGS, useOwnTunings } from './tunings';
import { useRemoval } from './useRemoval';

/** A player's own tunings: one is named and kept, taken, removed. */
export function OwnTunings({ tuning, onTake }: { tuning: string; onTake: (tuning: string) => void }) {
  const [isOpen, open] = useState(false);
  return (
    <>
      <Button onClick={() => open(true)}>My tunings</Button>
      {isOpen && <Shelf tuning={tuning} onTake={onTake} onClose={() => open(false)} />}
    </>
  );
}

function Shelf({
  tuning,
  onTake,
  onClose,
}: {
  tuning: string;
  onTake: (tuning: string) => void;
  onClose: () => void;
}) {
  const queries = useQueryClient();
  const own = useOwnTunings();
  const [name, setName] = useState('');
  const [strings, setStrings] = useState(tuning);
  const keep = useMutation({
    mutationFn: (kept: OwnTuning) => api.addOwnTuning(kept),
    onSuccess: () => {
      setName('');
      return queries.invalidateQueries({ queryKey: OWN_TUNINGS });
    },
  });
  const removal = useRemoval<StoredTuning>({
    remove: ({ id }) => api.removeOwnTuning(id),
    putBack: ({ id }) => api.putBackOwnTuning(id),
    said: (stored) => `The tuning “${stored.tuning.name}” was removed.`,
    reread: [{ queryKey: OWN_TUNINGS }],
  });
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="own-tunings-title">
      <Box sx={{ p: 2.5, display: 'flex', flexDirection: 'column', gap: 1.5 }}>
        <Typography id="own-tunings-title" variant="h2">
          My tunings
        </Typography>
        {own.length === 0 && (
          <Typography>None yet. Give a tuning a name, and it is in every list of tunings.</Typography>
        )}
        <Box component="ul" aria-label="My tunings" sx={{ listStyle: 'none', p: 0, m: 0 }}>
          {own.map((stored) => (
            <Box component="li" key={stored.id} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
              <Box sx={{ flex: 1 }}>
                <strong>{stored.tuning.name}</strong>{' '}
                <Box component="span" sx={{ fontFamily: MONO }}>
                  {stored.tuning.strings}
                </Box>
              </Box>
              <Button
                aria-label={`Take ${stored.tuning.name}`}
                onClick={() => {
                  onTake(stored.tuning.strings);
                  onClose();
                }}
              >
                Take
              </Button>
              <Button
                aria-label={`Remove ${stored.tuning.name}`}
                disabled={removal.busy}
                onClick={() => removal.remove(stored)}
              >
                Remove
              </Button>
            </Box>
          ))}
        </Box>
        <Box
          component="form"
          sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}
          onSubmit={(event) => {
            event.preventDefault();
            keep.mutate({ name: name.trim(), strings: strings.trim() });
          }}
        >
          <TextField
            size="small"
            label="Name"
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
          <TextField
            size="small"
            label="Strings, the lowest first"
            value={strings}
            onChange={(event) => setStrings(event.target.value)}
            sx={{ flex: '1 1 200px' }}
            slotProps={{
              htmlInput: { style: { fontFamily: MONO }, autoCapitalize: 'off', spellCheck: false },
            }}
          />
          <Button type="submit" variant="contained" disabled={name.trim() === '' || keep.isPending}>
            Keep
          </Button>
          <Button onClick={onClose}>Close</Button>
        </Box>
        {keep.isError && <Problem error={keep.error} />}
      </Box>
      {removal.notice}
    </Dialog>
  );
}
