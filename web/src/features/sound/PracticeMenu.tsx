import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import Popover from '@mui/material/Popover';
import Slider from '@mui/material/Slider';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import type { Levels } from './player';
import type { Playback } from './usePlayback';

/** How loud each is beside the others, and how a loop is practised. */
export function PracticeMenu({
  playback,
  second,
  at,
  onClose,
}: {
  playback: Playback;
  second: boolean;
  /** What it opens beside; null while it is closed. */
  at: HTMLElement | null;
  onClose: () => void;
}) {
  const { wishes, wish } = playback;
  const level = (whose: keyof Levels, label: string) => (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
      <Typography sx={{ width: '7.5em' }}>{label}</Typography>
      <Slider
        aria-label={`Level of ${label.toLowerCase()}`}
        size="small"
        min={0}
        max={1}
        step={0.05}
        value={wishes.levels[whose]}
        onChange={(_, value) => wish({ levels: { ...wishes.levels, [whose]: value as number } })}
        sx={{ flex: 1 }}
      />
    </Box>
  );
  return (
    <Popover
      open={at !== null}
      anchorEl={at}
      onClose={onClose}
      anchorOrigin={{ vertical: 'top', horizontal: 'center' }}
      transformOrigin={{ vertical: 'bottom', horizontal: 'center' }}
    >
      <Box role="dialog" aria-label="Levels and practice" sx={{ p: 2, width: 320, maxWidth: '100%' }}>
        <Typography variant="h3" component="h2">
          Levels
        </Typography>
        {level('first', second ? 'First guitar' : 'Guitar')}
        {second && level('second', 'Second guitar')}
        {level('click', 'Click')}
        <Box sx={{ display: { sm: 'none' } }}>
          <FormControlLabel
            control={<Switch checked={wishes.click} onChange={(_, click) => wish({ click })} />}
            label="Click"
          />
          <FormControlLabel
            control={<Switch checked={wishes.countIn} onChange={(_, countIn) => wish({ countIn })} />}
            label="Count in"
          />
        </Box>
        <Typography variant="h3" component="h2" sx={{ mt: 1 }}>
          In a loop
        </Typography>
        <FormControlLabel
          control={<Switch checked={wishes.buildUp} onChange={(_, buildUp) => wish({ buildUp })} />}
          label="A little faster each time round, up to the tempo it holds"
        />
        <FormControlLabel
          control={<Switch checked={wishes.rest} onChange={(_, rest) => wish({ rest })} />}
          label="One counted bar without playing in between"
        />
        <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
          Choose a slow speed to begin with. Play short runs with rests, and stop at pain, tingling or
          numbness.
        </Typography>
      </Box>
    </Popover>
  );
}
