import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, type DeskAt } from '../../api/client';
import { inversionWords } from '../../shared/inversions';
import { Problem } from '../../shared/Problem';
import { ShapeButtons } from './ShapeButtons';

/** A chord all over the neck, on demand: its shapes by how they are built, by strings, and by what is lowest. */
export function Kinds({ chord, at, onTake }: { chord: string; at: DeskAt; onTake: (shape: string) => void }) {
  const [isOpen, open] = useState(false);
  const { tuning, capo, playerId } = at;
  const kinds = useQuery({
    queryKey: ['kinds', chord, tuning, capo, playerId],
    queryFn: ({ signal }) => api.kinds({ tuning, capo, playerId }, chord, signal),
    enabled: isOpen,
    staleTime: Infinity,
    retry: false,
  });
  return (
    <Box component="section" aria-label="All over the neck" sx={{ mt: 1.5 }}>
      <Button variant="outlined" aria-expanded={isOpen} onClick={() => open(!isOpen)}>
        {isOpen ? `Hide ${chord} all over the neck` : `${chord} all over the neck`}
      </Button>
      {isOpen && kinds.isError && <Problem error={kinds.error} />}
      {isOpen && (
        <Box sx={{ display: 'grid', gap: 1, mt: 1 }} data-testid="kinds">
          {kinds.data?.kinds.map((kind) => (
            <Box
              key={kind.family + kind.strings}
              sx={{
                display: 'grid',
                gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '200px minmax(0, 1fr)' },
                alignItems: 'center',
                borderTop: 1,
                borderColor: 'divider',
              }}
            >
              <Typography>
                {kind.family}
                {kind.strings === '' ? '' : `, strings ${kind.strings}`}
              </Typography>
              <ShapeButtons
                shapes={kind.shapes.map((s) => ({ shape: s.shape, words: inversionWords(s.inversion) }))}
                onTake={onTake}
              />
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}
