import Box from '@mui/material/Box';
import NativeSelect from '@mui/material/NativeSelect';
import Typography from '@mui/material/Typography';
import { useId } from 'react';
import { TOUCHED } from '../../../theme/theme';

/** One of several, under its label. */
export function Pick({
  label,
  value,
  options,
  onPick,
  most = 113,
}: {
  label: string;
  value: string;
  options: readonly (readonly [string, string])[];
  onPick: (value: string) => void;
  /** Its widest, in pixels. */
  most?: number;
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
      <NativeSelect
        id={id}
        value={value}
        disableUnderline
        onChange={(event) => onPick(event.target.value)}
        sx={{
          fontWeight: 700,
          minHeight: 36,
          maxWidth: { xs: 150, md: most },
          ...TOUCHED,
        }}
      >
        {options.map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </NativeSelect>
    </Box>
  );
}
