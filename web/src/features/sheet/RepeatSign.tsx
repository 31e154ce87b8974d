import Box from '@mui/material/Box';

/** A thick line, a thin one and two dots; the other way round where the passage goes back. */
export function RepeatSign({ closes = false, big }: { closes?: boolean; big: boolean }) {
  const size = big ? 1.6 : 1;
  return (
    <Box
      component="svg"
      role="img"
      aria-label={closes ? 'repeat ends' : 'repeat begins'}
      viewBox="0 0 10 26"
      sx={{
        width: 10 * size,
        height: 26 * size,
        flexShrink: 0,
        fill: 'currentColor',
        transform: closes ? 'scaleX(-1)' : 'none',
      }}
    >
      <rect x="0" y="0" width="2.5" height="26" />
      <rect x="4" y="0" width="1" height="26" />
      <circle cx="8" cy="9.5" r="1.5" />
      <circle cx="8" cy="16.5" r="1.5" />
    </Box>
  );
}
