import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import Typography from '@mui/material/Typography';
import { useState, type ReactNode } from 'react';
import { TOUCHED } from '../../../theme/theme';

const SLOWEST = 40;
const FASTEST = 220;

/** The foot of the bench: playback, the tempo, and up to where the part holds. */
export function TempoBar({
  tempo,
  fastest,
  holds,
  onTempo,
  onChartTempo,
  above,
  children,
}: {
  tempo: number;
  fastest: number;
  /** What holds up to that tempo: the song, or the bars of a loop. */
  holds: string;
  onTempo: (tempo: number) => void;
  /** Back to what the chart says; missing where it is that. */
  onChartTempo: (() => void) | undefined;
  /** What stands over it on a narrow screen. */
  above: ReactNode;
  children: ReactNode;
}) {
  const [dragged, setDragged] = useState<number | null>(null);
  const shown = dragged ?? tempo;
  return (
    <Box sx={{ position: { xs: 'sticky', md: 'static' }, bottom: 0, zIndex: 2, bgcolor: 'draw.panel' }}>
      {above}
      <Box
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          alignItems: 'center',
          columnGap: 2,
          px: { xs: 2, md: 2.5 },
          py: 0.75,
        }}
      >
        {children}
        <Box sx={{ flex: 1 }} />
        <Typography sx={{ fontWeight: 700, minWidth: { md: '7.2em' } }}>{shown} beats a minute</Typography>
        <Slider
          aria-label="Tempo"
          size="small"
          value={Math.min(FASTEST, Math.max(SLOWEST, shown))}
          min={SLOWEST}
          max={FASTEST}
          marks={fastest >= SLOWEST && fastest <= FASTEST ? [{ value: fastest }] : []}
          onChange={(_, value) => setDragged(value as number)}
          onChangeCommitted={(_, value) => {
            setDragged(null);
            onTempo(value as number);
          }}
          sx={{ width: 130, ...TOUCHED }}
        />
        {onChartTempo && <Button onClick={onChartTempo}>As the chart says</Button>}
        <Typography
          sx={{
            display: { xs: 'none', sm: 'block' },
            color: tempo > fastest ? 'error.main' : 'text.secondary',
          }}
        >
          {holds} up to {fastest}
        </Typography>
      </Box>
    </Box>
  );
}
