import PlayArrowIcon from '@mui/icons-material/PlayArrow';
import StopIcon from '@mui/icons-material/Stop';
import TuneIcon from '@mui/icons-material/Tune';
import VolumeUpIcon from '@mui/icons-material/VolumeUp';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import NativeSelect from '@mui/material/NativeSelect';
import Slider from '@mui/material/Slider';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { PracticeMenu } from './PracticeMenu';
import type { Playback } from './usePlayback';

const RATES = Array.from({ length: 19 }, (_, i) => (30 + 5 * i) / 100);

/** Plays and stops, slower or as written, with a click and a count before it. */
export function Transport({
  playback,
  ready,
  second = false,
}: {
  playback: Playback;
  ready: boolean;
  /** Whether a second guitar plays along. */
  second?: boolean;
}) {
  const { playing, wishes, wish, clock, counted } = playback;
  const [menu, setMenu] = useState<HTMLElement | null>(null);
  return (
    <Box
      role="group"
      aria-label="Playback"
      sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}
    >
      <IconButton
        aria-label={playing ? 'Stop' : 'Play'}
        title="space"
        disabled={!ready}
        onClick={playback.toggle}
        sx={{
          width: 44,
          height: 44,
          bgcolor: 'primary.main',
          color: 'primary.contrastText',
          '&:hover': { bgcolor: 'primary.main' },
        }}
      >
        {playing ? <StopIcon /> : <PlayArrowIcon />}
      </IconButton>
      <Typography data-testid="clock" sx={{ minWidth: '4.6em', fontWeight: 700 }}>
        {counted !== null ? `count ${counted}` : clock ? `${clock.bar} · ${clock.beat}` : '– · –'}
      </Typography>
      <NativeSelect
        value={wishes.rate}
        inputProps={{ 'aria-label': 'Speed' }}
        onChange={(event) => wish({ rate: Number(event.target.value) })}
      >
        {RATES.map((rate) => (
          <option key={rate} value={rate}>
            {Math.round(rate * 100)} %
          </option>
        ))}
      </NativeSelect>
      {/* On a narrow screen these are among the levels. */}
      <Box sx={{ display: { xs: 'none', sm: 'contents' } }}>
        <ToggleButton
          size="small"
          value="click"
          selected={wishes.click}
          onChange={() => wish({ click: !wishes.click })}
        >
          click
        </ToggleButton>
        <ToggleButton
          size="small"
          value="count"
          selected={wishes.countIn}
          onChange={() => wish({ countIn: !wishes.countIn })}
        >
          count in
        </ToggleButton>
        <VolumeUpIcon aria-hidden fontSize="small" />
        <Slider
          aria-label="Volume"
          size="small"
          min={0}
          max={1}
          step={0.05}
          value={wishes.volume}
          onChange={(_, volume) => wish({ volume: volume as number })}
          sx={{ width: 72 }}
        />
      </Box>
      <IconButton
        aria-label="Levels and practice"
        aria-haspopup="dialog"
        onClick={(event) => setMenu(event.currentTarget)}
        sx={{ width: 44, height: 44, color: 'text.primary' }}
      >
        <TuneIcon fontSize="small" />
      </IconButton>
      <PracticeMenu playback={playback} second={second} at={menu} onClose={() => setMenu(null)} />
      {playback.failure && <Typography color="error">{playback.failure}</Typography>}
    </Box>
  );
}
