import TextField from '@mui/material/TextField';
import Box from '@mui/material/Box';
import { useState } from 'react';
import { STANDARD, useTunings } from './tunings';

/** A tuning by its name or its strings; taken with Enter, or when the field is left. A name that is known gives its strings. */
export function TuningField({ tuning, onTake }: { tuning: string; onTake: (tuning: string) => void }) {
  const tunings = useTunings();
  const name = tunings.find((t) => t.strings === tuning)?.name;
  const [typed, setTyped] = useState<string | null>(null);
  const text = typed ?? name ?? tuning;
  const take = () => {
    if (typed !== null) {
      const said = typed.trim();
      const named = tunings.find((t) => t.name.toLowerCase() === said.toLowerCase());
      setTyped(null);
      onTake(named?.strings ?? (said === '' ? STANDARD : said));
    }
  };
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        take();
      }}
    >
      <TextField
        size="small"
        label="Tuning"
        value={text}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={take}
        sx={{ width: 164 }}
        slotProps={{ htmlInput: { autoCapitalize: 'off', spellCheck: false, list: 'tunings' } }}
      />
      <datalist id="tunings">
        {tunings.map((t) => (
          <option key={t.name} value={t.name}>
            {t.strings}
          </option>
        ))}
      </datalist>
    </Box>
  );
}
