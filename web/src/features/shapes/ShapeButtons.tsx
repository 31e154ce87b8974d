import Button from '@mui/material/Button';

/** Shapes in a row, each with a word under it; one is taken by a touch. */
export function ShapeButtons({
  shapes,
  onTake,
}: {
  shapes: { shape: string; words: string }[];
  onTake: (shape: string) => void;
}) {
  return (
    <div className="desk-shapes">
      {shapes.map((one, i) => (
        <Button key={i} onClick={() => onTake(one.shape)} className="desk-button">
          <span className="desk-shape">{one.shape}</span>
          <span>{one.words}</span>
        </Button>
      ))}
    </div>
  );
}
