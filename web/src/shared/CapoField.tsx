import TextField from '@mui/material/TextField';

const HIGHEST = 11;

/** Where the capo is, none to the highest. */
export function CapoField({ capo, onTake }: { capo: number; onTake: (capo: number) => void }) {
  return (
    <TextField
      select
      size="small"
      label="Capo"
      value={capo}
      onChange={(event) => onTake(Number(event.target.value))}
      slotProps={{ select: { native: true } }}
    >
      {Array.from({ length: HIGHEST + 1 }, (_, fret) => (
        <option key={fret} value={fret}>
          {fret === 0 ? 'none' : fret}
        </option>
      ))}
    </TextField>
  );
}
