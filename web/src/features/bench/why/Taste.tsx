import Box from '@mui/material/Box';
import Slider from '@mui/material/Slider';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { HouseRules } from '../../../api/client';

/** Where good players differ in sound: open strings, and the top line. */
export function Taste({ rules, onDecide }: { rules: HouseRules; onDecide: (change: HouseRules) => void }) {
  const ring = rules.ring ?? 0;
  const motion = rules.motion ?? 0;
  return (
    <Box>
      <Typography variant="h3" component="h3" color="text.secondary">
        How it should sound
      </Typography>
      <Scale
        key={`ring ${ring}`}
        name="Open strings"
        low="dry"
        high="ringing"
        value={ring}
        onChange={(value) => onDecide({ ring: value })}
      />
      <Scale
        key={`motion ${motion}`}
        name="Top line"
        low="still"
        high="moving"
        value={motion}
        onChange={(value) => onDecide({ motion: value })}
      />
    </Box>
  );
}

function Scale({
  name,
  low,
  high,
  value,
  onChange,
}: {
  name: string;
  low: string;
  high: string;
  value: number;
  onChange: (value: number) => void;
}) {
  const [shown, setShown] = useState(value);
  return (
    <Box
      sx={{ display: 'grid', gridTemplateColumns: '6.4em 3.2em 1fr 4em', alignItems: 'center', columnGap: 1 }}
    >
      <Typography variant="body2">{name}</Typography>
      <Typography variant="caption" sx={{ textAlign: 'right' }}>
        {low}
      </Typography>
      <Slider
        aria-label={`${name}, ${low} to ${high}`}
        size="small"
        min={-1}
        max={1}
        step={0.25}
        marks={[{ value: 0 }]}
        track={false}
        value={shown}
        onChange={(_, next) => setShown(next as number)}
        onChangeCommitted={(_, next) => onChange(next as number)}
      />
      <Typography variant="caption">{high}</Typography>
    </Box>
  );
}
