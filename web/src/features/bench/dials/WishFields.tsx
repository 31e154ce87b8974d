import Box from '@mui/material/Box';
import NativeSelect from '@mui/material/NativeSelect';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import { useId } from 'react';
import type { Wishes } from '../../../api/client';

const NONE: Wishes = { strings: null, fromFret: null, toFret: null, noDoubling: null, top: null };

const STRINGS = ['', '4321', '5432', '6543', '321', '432', '543', '654', '43', '32'];
const TOPS = ['', 'stays', 'falls', 'rises', 'half-steps'];
const FRETS = ['', ...Array.from({ length: 15 }, (_, i) => String(i + 1))];

/** What is wished of every grip, whatever the texture. */
export function WishFields({
  wishes,
  onWish,
}: {
  wishes: Wishes | null;
  onWish: (wishes: Wishes | null) => void;
}) {
  const now = wishes ?? NONE;
  const wish = (change: Partial<Wishes>) => {
    const next = { ...now, ...change };
    onWish(Object.values(next).every((value) => value === null || value === undefined) ? null : next);
  };
  const number = (value: string) => (value === '' ? null : Number(value));
  return (
    <Box
      role="group"
      aria-label="Wishes"
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'end' }}
    >
      <Wish
        label="Strings"
        value={now.strings ?? ''}
        options={STRINGS}
        none="any"
        onPick={(strings) => wish({ strings: strings === '' ? null : strings })}
      />
      <Wish
        label="From fret"
        value={String(now.fromFret ?? '')}
        options={FRETS}
        none="any"
        onPick={(fret) => wish({ fromFret: number(fret) })}
      />
      <Wish
        label="To fret"
        value={String(now.toFret ?? '')}
        options={FRETS}
        none="any"
        onPick={(fret) => wish({ toFret: number(fret) })}
      />
      <Wish
        label="Highest voice"
        value={now.top ?? ''}
        options={TOPS}
        none="as it comes"
        onPick={(top) => wish({ top: top === '' ? null : (top as Wishes['top']) })}
      />
      <ToggleButton
        size="small"
        value="doubling"
        selected={now.noDoubling === true}
        onChange={() => wish({ noDoubling: now.noDoubling ? null : true })}
      >
        no note twice
      </ToggleButton>
    </Box>
  );
}

function Wish({
  label,
  value,
  options,
  none,
  onPick,
}: {
  label: string;
  value: string;
  options: readonly string[];
  /** What it says where nothing is wished. */
  none: string;
  onPick: (value: string) => void;
}) {
  const id = useId();
  return (
    <Box>
      <Typography
        component="label"
        htmlFor={id}
        variant="caption"
        color="text.secondary"
        sx={{ display: 'block' }}
      >
        {label}
      </Typography>
      <NativeSelect id={id} value={value} onChange={(event) => onPick(event.target.value)}>
        {options.map((option) => (
          <option key={option} value={option}>
            {option === '' ? none : option.replace('-', ' ')}
          </option>
        ))}
      </NativeSelect>
    </Box>
  );
}
