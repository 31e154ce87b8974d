import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import type { Wishes } from '../../../api/client';
import { Pick } from './Pick';

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
      <Pick
        label="Strings"
        value={now.strings ?? ''}
        options={named(STRINGS)}
        onPick={(strings) => wish({ strings: strings === '' ? null : strings })}
      />
      <Pick
        label="From fret"
        value={String(now.fromFret ?? '')}
        options={named(FRETS)}
        onPick={(fret) => wish({ fromFret: number(fret) })}
      />
      <Pick
        label="To fret"
        value={String(now.toFret ?? '')}
        options={named(FRETS)}
        onPick={(fret) => wish({ toFret: number(fret) })}
      />
      <Pick
        label="Highest voice"
        value={now.top ?? ''}
        options={named(TOPS, 'as it comes')}
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

/** Options as a list shows them; the empty one is what stands where nothing is wished. */
function named(options: readonly string[], none = 'any'): [string, string][] {
  return options.map((option) => [option, option === '' ? none : option.replace('-', ' ')]);
}
