import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { DeskLook, ElsewhereShape } from '../../api/client';
import { ShapeButtons } from './ShapeButtons';

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
      <ShapeButtons shapes={shapes.map((s) => ({ shape: s.shape, words: s.name }))} onTake={onTake} />
    </Box>
  );
}
