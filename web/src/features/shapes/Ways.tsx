import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type DeskAt } from '../../api/client';
import { Problem } from '../../shared/Problem';

/** The least movement to a chord, several ways, with what each finger does. */
export function Ways({ at, onTake }: { at: DeskAt; onTake: (shape: string) => void }) {
  const [chord, setChord] = useState('');
  const [asked, ask] = useState('');
  const ways = useQuery({
    queryKey: ['ways', at, asked],
    queryFn: ({ signal }) => api.ways(at, asked, signal),
    enabled: asked !== '',
    retry: false,
  });
  return (
    <>
      <Box
        component="form"
        sx={{ display: 'flex', gap: 1 }}
        onSubmit={(event) => {
          event.preventDefault();
          ask(chord.trim());
        }}
      >
        <TextField
          size="small"
          label="Chord"
          placeholder="Am7"
          value={chord}
          onChange={(event) => setChord(event.target.value)}
          slotProps={{ htmlInput: { autoCapitalize: 'off', spellCheck: false } }}
        />
        <Button type="submit" variant="outlined" disabled={chord.trim() === ''}>
          Find
        </Button>
      </Box>
      {ways.isError && <Problem error={ways.error} />}
      <Box component="ul" aria-label="Ways to it" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {ways.data?.ways.map((way) => (
          <li key={way.grip.shape}>
            <Button onClick={() => onTake(way.grip.shape)} className="desk-row">
              <span className="desk-shape">{way.grip.shape}</span>
              <span className="desk-small">
                {way.acts.map((act) => `${act.finger} ${act.act}`).join(', ')}, {way.seconds.toFixed(2)} s
              </span>
            </Button>
          </li>
        ))}
      </Box>
    </>
  );
}
