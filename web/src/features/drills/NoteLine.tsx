import Box from '@mui/material/Box';

const STEP = 16;
const GAP = 11;

/**
 * Single notes on the strings they are played on, in their order; what they last is the part's to say.
 *
 * @param strings of the guitar
 */
export function NoteLine({
  notes,
  strings,
  scale = 1,
}: {
  notes: { string: number; fret: number }[];
  strings: number;
  scale?: number;
}) {
  const width = STEP * (notes.length + 1);
  const height = GAP * (strings + 1);
  const y = (string: number) => GAP * (strings - string);
  const words = notes.map((n) => `string ${strings - n.string} fret ${n.fret}`).join(', ');
  return (
    <Box
      component="svg"
      role="img"
      aria-label={`Notes: ${words}`}
      viewBox={`0 0 ${width} ${height}`}
      sx={{ width: width * scale, height: height * scale, maxWidth: '100%', color: 'text.primary' }}
    >
      {Array.from({ length: strings }, (_, string) => (
        <line
          key={string}
          x1={0}
          x2={width}
          y1={y(string)}
          y2={y(string)}
          stroke="currentColor"
          strokeOpacity={0.35}
        />
      ))}
      {notes.map((note, i) => (
        <text
          key={i}
          x={STEP * (i + 1)}
          y={y(note.string) + 4}
          textAnchor="middle"
          fontSize={12}
          fontWeight={700}
          fill="currentColor"
          stroke="var(--mui-palette-background-default)"
          strokeWidth={3}
          paintOrder="stroke"
        >
          {note.fret}
        </text>
      ))}
    </Box>
  );
}
