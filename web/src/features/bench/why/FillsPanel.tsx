import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { FillOffer, Fills } from '../../../api/client';
import { MONO } from '../../../theme/theme';

const SHOWN_FIRST = 3;

/** What may happen in the gap after a chord: each fill with its notes, its reason and its time. */
export function FillsPanel({
  fills,
  chosen,
  onFill,
}: {
  fills: Fills | undefined;
  /** Id of the fill that is played here. */
  chosen: string | undefined;
  onFill: (fill: string | null) => void;
}) {
  const [all, setAll] = useState(false);
  if (!fills) {
    return <Skeleton variant="rounded" height={60} />;
  }
  const sorted = [...fills.fills].sort((a, b) => Number(b.id === chosen) - Number(a.id === chosen));
  const shown = all ? sorted : sorted.slice(0, SHOWN_FIRST);
  return (
    <Box component="section" aria-label="Fills">
      <Typography variant="h3" component="h3" sx={{ color: 'text.secondary', mb: 0.5 }}>
        In the gap
      </Typography>
      {fills.refusal !== '' && <Typography variant="body2">{fills.refusal}</Typography>}
      {shown.map((fill) => (
        <Offer
          key={fill.id}
          fill={fill}
          chosen={fill.id === chosen}
          onToggle={() => onFill(fill.id === chosen ? null : fill.id)}
        />
      ))}
      {sorted.length > SHOWN_FIRST && (
        <Button size="small" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? 'Show fewer' : `Show all ${sorted.length} fills`}
        </Button>
      )}
      {fills.refused.length > 0 && <NotHere refused={fills.refused} />}
    </Box>
  );
}

/** The kinds of fills that do not fit in this gap, and why. */
function NotHere({ refused }: { refused: Fills['refused'] }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button size="small" aria-expanded={open} onClick={() => setOpen(!open)}>
        {open
          ? 'Hide what does not fit'
          : `${refused.length} that ${refused.length === 1 ? 'does' : 'do'} not fit`}
      </Button>
      {open && (
        <Box component="ul" sx={{ m: 0, pl: 2.5, fontSize: '0.85rem', color: 'text.secondary' }}>
          {refused.map(({ name, why }) => (
            <li key={name}>
              <strong>{name}</strong>: {why}
            </li>
          ))}
        </Box>
      )}
    </>
  );
}

function Offer({ fill, chosen, onToggle }: { fill: FillOffer; chosen: boolean; onToggle: () => void }) {
  const late = fill.neededSeconds > fill.availableSeconds;
  return (
    <Box
      data-fill={fill.id}
      sx={{ borderLeft: 4, borderColor: chosen ? 'primary.main' : 'divider', pl: 1.25, mb: 1 }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
        <Box component="strong" sx={{ flex: 1 }}>
          {fill.name}
        </Box>
        <Box component="span" sx={{ fontFamily: MONO, fontSize: '0.85rem' }} title="string / fret">
          {fill.notes}
        </Box>
      </Box>
      <Box sx={{ fontSize: '0.88rem', lineHeight: 1.3 }}>
        {fill.reason}
        {fill.chromatic > 0 && ' With a chromatic approach.'}
      </Box>
      <Box sx={{ fontSize: '0.85rem', color: late ? 'error.main' : 'text.secondary' }}>
        needs {fill.neededSeconds.toFixed(2)} s, has {fill.availableSeconds.toFixed(2)} s
      </Box>
      <Button
        size="small"
        aria-pressed={chosen}
        aria-label={chosen ? `Leave out the ${fill.name}` : `Play the ${fill.name}`}
        variant={chosen ? 'contained' : 'text'}
        sx={{ minWidth: 0, px: 1, py: 0 }}
        onClick={onToggle}
      >
        {chosen ? 'Leave it out' : 'Play it'}
      </Button>
    </Box>
  );
}
