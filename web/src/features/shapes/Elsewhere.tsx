import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { DeskLook, ElsewhereShape } from '../../api/client';
import { MONO } from '../../theme/theme';

/** Where else the notes of a shape lie, and what its grip is at other frets and on other strings. */
export function Elsewhere({ desk, onTake }: { desk: DeskLook; onTake: (shape: string) => void }) {
  return (
    <Box component="section" aria-label="Elsewhere" sx={{ display: 'grid', gap: 1.5 }}>
      <Row title="The same notes elsewhere" shapes={desk.sameNotes} onTake={onTake} />
      <Row title="The same grip, moved" shapes={desk.sameGrip} onTake={onTake} />
    </Box>
  );
}

function Row({
  title,
  shapes,
  onTake,
}: {
  title: string;
  shapes: ElsewhereShape[];
  onTake: (shape: string) => void;
}) {
  return shapes.length === 0 ? null : (
    <Box>
      <Typography variant="h3" component="h2">
        {title}
      </Typography>
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
              {one.name}
            </Box>
          </Button>
        ))}
      </Box>
    </Box>
  );
}
