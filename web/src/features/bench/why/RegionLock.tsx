import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import NativeSelect from '@mui/material/NativeSelect';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Lock } from '../../../api/client';
import { TOUCHED } from '../../../theme/theme';

const FRETS = Array.from({ length: 12 }, (_, i) => i + 1);

/** Keeps the hand in a region of the neck at one chord, or all through its section. */
export function RegionLock({
  lock,
  section,
  onKeep,
}: {
  /** The region kept now, if any. */
  lock: Lock | undefined;
  section: string;
  onKeep: (lowestFret: number, highestFret: number, wholeSection: boolean) => void;
}) {
  const [low, setLow] = useState(lock?.lowestFret ?? 5);
  const [high, setHigh] = useState(lock?.highestFret ?? 8);
  return (
    <Box>
      <Typography variant="h3" component="h3" sx={{ color: 'text.secondary' }}>
        Keep the hand in one place
      </Typography>
      <Box sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', columnGap: 1 }}>
        <span>frets</span>
        <Fret label="Lowest fret" value={low} onPick={(f) => setLow(Math.min(f, high))} />
        <span>to</span>
        <Fret label="Highest fret" value={high} onPick={(f) => setHigh(Math.max(f, low))} />
        <Button size="small" onClick={() => onKeep(low, high, false)}>
          Here
        </Button>
        <Button size="small" onClick={() => onKeep(low, high, true)}>
          {section === '' ? 'All through' : `All ${section}`}
        </Button>
      </Box>
    </Box>
  );
}

function Fret({ label, value, onPick }: { label: string; value: number; onPick: (fret: number) => void }) {
  return (
    <NativeSelect
      value={value}
      inputProps={{ 'aria-label': label }}
      onChange={(event) => onPick(Number(event.target.value))}
      sx={{ minHeight: 36, ...TOUCHED }}
    >
      {FRETS.map((fret) => (
        <option key={fret} value={fret}>
          {fret}
        </option>
      ))}
    </NativeSelect>
  );
}
