import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { PairReach, PlayerLimits } from '../../api/client';
import { PAIRS, withComfortable, withWidest } from './reach';

/** What strains a hand, and is kept within bounds by the day. */
const CAPS = [
  ['barreMinutes', 'barres'],
  ['stretchMinutes', 'wide grips'],
] as const;

const NOT_LIMITED = { barreMinutes: null, stretchMinutes: null, measuredFrom: null };

/** Every pair of fingers by itself, and the shapes a player has on top of the taught ones. */
export function HandDetails({
  limits,
  onChange,
}: {
  limits: PlayerLimits;
  onChange: (change: Partial<PlayerLimits>) => void;
}) {
  const [open, setOpen] = useState(false);
  const measured = (fingers: string) => limits.pairs.find((p) => p.fingers === fingers);
  const setPair = (pair: PairReach) =>
    onChange({ pairs: [...limits.pairs.filter((p) => p.fingers !== pair.fingers), pair] });
  return (
    <>
      <Button size="small" aria-expanded={open} onClick={() => setOpen(!open)}>
        Each finger and shapes{limits.shapes.length > 0 && ` (${limits.shapes.length})`}
      </Button>
      {open && (
        <Box sx={{ flexBasis: '100%', display: 'flex', flexDirection: 'column', gap: 1.5 }}>
          <Typography variant="body2">
            Between two fingertips, in mm: at ease, and at most. What you do not measure follows the reach of
            index and little finger.
          </Typography>
          <Box
            sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(250px, 1fr))', gap: 1.5 }}
          >
            {PAIRS.map((fingers) => {
              const pair = measured(fingers);
              return (
                <Box key={fingers} sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
                  <Box component="strong" sx={{ width: '2.4em' }}>
                    {fingers}
                  </Box>
                  <Millimetres
                    label={`${fingers} at ease`}
                    value={pair?.comfortableMm}
                    onType={(mm) => setPair(withComfortable(fingers, pair, mm))}
                  />
                  <Millimetres
                    label={`${fingers} at most`}
                    value={pair?.widestMm}
                    onType={(mm) => setPair(withWidest(fingers, pair, mm))}
                  />
                </Box>
              );
            })}
          </Box>
          {limits.pairs.length > 0 && (
            <Button size="small" sx={{ alignSelf: 'flex-start' }} onClick={() => onChange({ pairs: [] })}>
              Forget the measured pairs
            </Button>
          )}
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center' }}>
            {CAPS.map(([cap, drills]) => (
              <TextField
                key={cap}
                size="small"
                type="number"
                label={`Drills with ${drills}, minutes a day at most`}
                value={limits.practice?.[cap] ?? ''}
                placeholder="two fifths of the plan"
                slotProps={{ inputLabel: { shrink: true }, htmlInput: { min: 0, max: 120 } }}
                onChange={(event) =>
                  onChange({
                    practice: {
                      ...(limits.practice ?? NOT_LIMITED),
                      [cap]: event.target.value === '' ? null : Number(event.target.value),
                    },
                  })
                }
                sx={{ width: 320 }}
              />
            ))}
          </Box>
          <Shapes shapes={limits.shapes} onChange={(shapes) => onChange({ shapes })} />
        </Box>
      )}
    </>
  );
}

function Millimetres({
  label,
  value,
  onType,
}: {
  label: string;
  value: number | undefined;
  onType: (mm: number) => void;
}) {
  return (
    <TextField
      size="small"
      type="number"
      label={label}
      value={value === undefined ? '' : Math.round(value)}
      slotProps={{ inputLabel: { shrink: true } }}
      onChange={(event) => onType(Number(event.target.value))}
      sx={{ width: 104 }}
    />
  );
}

function Shapes({ shapes, onChange }: { shapes: string[]; onChange: (shapes: string[]) => void }) {
  const [text, setText] = useState('');
  const add = () => {
    const shape = text.trim();
    if (shape !== '' && !shapes.includes(shape)) {
      onChange([...shapes, shape]);
    }
    setText('');
  };
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
      <Typography variant="body2">Shapes you have beyond the taught ones:</Typography>
      {shapes.map((shape) => (
        <Chip key={shape} label={shape} onDelete={() => onChange(shapes.filter((s) => s !== shape))} />
      ))}
      <TextField
        size="small"
        label="Another shape, such as x32013"
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') {
            event.preventDefault();
            add();
          }
        }}
        sx={{ width: 260 }}
      />
      <Button size="small" onClick={add}>
        Add the shape
      </Button>
    </Box>
  );
}
