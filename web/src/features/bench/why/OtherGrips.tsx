import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Alternative, Placement } from '../../../api/client';
import { MONO } from '../../../theme/theme';
import { priceWords } from '../../../shared/words';

const SHOWN_FIRST = 5;

/** Every other grip of a chord with what it would cost the whole song. */
export function OtherGrips({
  placement,
  alternatives,
  onTake,
}: {
  placement: Placement;
  alternatives: Alternative[];
  onTake: (shape: string) => void;
}) {
  const [all, setAll] = useState(false);
  if (alternatives.length === 0) {
    return null;
  }
  const shown = all ? alternatives : alternatives.slice(0, SHOWN_FIRST);
  return (
    <Box>
      <Typography variant="h3" component="h3" sx={{ color: 'text.secondary', mb: 0.5 }}>
        Other grips for {placement.played}
      </Typography>
      {shown.map(({ grip, price }) => (
        <Box
          key={grip.shape}
          component="button"
          type="button"
          onClick={() => onTake(grip.shape)}
          sx={{
            display: 'grid',
            gridTemplateColumns: '8.2em 4em 1fr',
            alignItems: 'center',
            width: '100%',
            minHeight: 44,
            px: 1.25,
            mb: 0.5,
            font: 'inherit',
            fontSize: '0.92rem',
            textAlign: 'left',
            color: 'text.primary',
            bgcolor: 'draw.sheet',
            border: 1,
            borderColor: 'draw.rule',
            borderRadius: 1,
            cursor: 'pointer',
            '&:hover': { borderColor: 'primary.main' },
          }}
        >
          <Box component="span" sx={{ fontFamily: MONO, fontWeight: 700 }}>
            {grip.shape}
          </Box>
          <Box component="span" sx={{ color: 'primary.main', fontWeight: 700 }}>
            {priceWords(price)}
          </Box>
          <Box component="span" sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
            {[grip.isNew ? 'new shape' : '', ...grip.tags].filter(Boolean).slice(0, 2).join(', ')}
          </Box>
        </Box>
      ))}
      {alternatives.length > SHOWN_FIRST && (
        <Button size="small" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? 'Show the cheapest only' : `Show all ${alternatives.length}`}
        </Button>
      )}
    </Box>
  );
}
