import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { MONO } from '../../theme/theme';

/** Shapes in a row, each with a word under it; one is taken by a touch. */
export function ShapeButtons({
  shapes,
  onTake,
}: {
  shapes: { shape: string; words: string }[];
  onTake: (shape: string) => void;
}) {
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5 }}>
      {shapes.map((one) => (
        <Button
          key={one.shape}
          onClick={() => onTake(one.shape)}
          sx={{ textTransform: 'none', flexDirection: 'column', minHeight: 44, lineHeight: 1.2 }}
        >
          <Box component="span" sx={{ fontFamily: MONO, color: 'text.primary' }}>
            {one.shape}
          </Box>
          <Box component="span" sx={{ fontSize: '0.85rem' }}>
            {one.words}
          </Box>
        </Button>
      ))}
    </Box>
  );
}
