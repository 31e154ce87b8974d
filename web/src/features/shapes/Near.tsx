import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type DeskAt, type Neighbour } from '../../api/client';
import { movedWords } from '../../shared/neck';

const FIRST = 10;
const KEYS = [
  '',
  'C',
  'G',
  'D',
  'A',
  'E',
  'B',
  'F',
  'Bb',
  'Eb',
  'Ab',
  'Db',
  'Am',
  'Em',
  'Bm',
  'F#m',
  'C#m',
  'Dm',
  'Gm',
  'Cm',
  'Fm',
];

/** Chords a finger away, those of a key first; two fingers when asked. */
export function Near({
  at,
  tonality,
  onKey,
  onTake,
}: {
  at: DeskAt;
  tonality: string;
  onKey: (key: string) => void;
  onTake: (shape: string) => void;
}) {
  const [fingers, setFingers] = useState(1);
  const [all, setAll] = useState(false);
  const near = useQuery({
    queryKey: ['near', at, tonality, fingers],
    queryFn: ({ signal }) => api.neighbours(at, tonality, fingers, signal),
    placeholderData: keepPreviousData,
    retry: false,
  });
  const found = near.data?.neighbours ?? [];
  return (
    <>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', mb: 0.5 }}>
        <TextField
          select
          size="small"
          label="Key"
          value={tonality}
          onChange={(event) => onKey(event.target.value)}
          slotProps={{ select: { native: true }, inputLabel: { shrink: true } }}
        >
          {KEYS.map((key) => (
            <option key={key} value={key}>
              {key === '' ? 'any' : key}
            </option>
          ))}
        </TextField>
        <Button aria-pressed={fingers === 2} onClick={() => setFingers(fingers === 1 ? 2 : 1)}>
          {fingers === 1 ? 'two fingers instead' : 'one finger instead'}
        </Button>
      </Box>
      <Box
        component="ul"
        aria-label="Chords near it"
        sx={{ listStyle: 'none', m: 0, p: 0 }}
        data-testid="near"
      >
        {found.slice(0, all ? undefined : FIRST).map((one, i) => (
          <li key={i}>
            <NearButton one={one} isKeyed={tonality !== ''} onTake={onTake} />
          </li>
        ))}
      </Box>
      {found.length > FIRST && (
        <Button onClick={() => setAll(!all)}>{all ? 'Show fewer' : `Show all ${found.length}`}</Button>
      )}
    </>
  );
}

function NearButton({
  one,
  isKeyed,
  onTake,
}: {
  one: Neighbour;
  isKeyed: boolean;
  onTake: (shape: string) => void;
}) {
  return (
    <Button onClick={() => onTake(one.shape)} className="desk-row">
      <span className="desk-chord">{one.names[0]?.symbol}</span>
      <span className="desk-shape">{one.shape}</span>
      <span className="desk-small">
        {movedWords(one.moved)}
        {isKeyed && !one.inKey ? ', out of key' : ''}
      </span>
    </Button>
  );
}
