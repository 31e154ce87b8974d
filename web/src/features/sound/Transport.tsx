import PlayArrowIcon from '@mui/icons-material/PlayArrow';
import StopIcon from '@mui/icons-material/Stop';
import VolumeUpIcon from '@mui/icons-material/VolumeUp';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import NativeSelect from '@mui/material/NativeSelect';
import Slider from '@mui/material/Slider';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import type { Playback } from './usePlayback';

const RATES = [0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1, 1.1, 1.2];

/** Plays and stops, slower or as written, with a click and a count before it. */
export function Transport({ playback, ready }: { playback: Playback; ready: boolean }) {
  const { playing, wishes, wish, clock } = playback;
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
        {clock ? `${clock.bar} · ${clock.beat}` : '– · –'}
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
      {playback.failure && <Typography color="error">{playback.failure}</Typography>}
    </Box>
  );
}
