import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { DeskLook } from '../../api/client';

const SHOWN = 6;

/** What a shape is called: a name that is chosen writes its degrees on the neck; below, its name over every bass. */
export function Names({
  desk,
  chosen,
  onChoose,
}: {
  desk: DeskLook;
  chosen: number;
  onChoose: (name: number) => void;
}) {
  if (desk.names.length === 0) {
    return <Typography>Put down a second note, and it gets a name.</Typography>;
  }
  return (
    <>
      <Box
        component="ul"
        aria-label="Names of this shape"
        data-shape={desk.shape}
        sx={{ listStyle: 'none', m: 0, p: 0 }}
      >
        {desk.names.slice(0, SHOWN).map((name, i) => (
          <li key={i}>
            <Button
              aria-pressed={i === chosen}
              onClick={() => onChoose(i)}
              data-testid="desk-name"
              className="desk-row desk-name"
            >
              {name.symbol}
              {name.missing.length > 0 && (
                <span className="desk-small">without {name.missing.join(', ')}</span>
              )}
            </Button>
          </li>
        ))}
      </Box>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        Over another bass
      </Typography>
      <div className="desk-basses" data-testid="over-bass">
        {desk.overBass.map(({ bass, symbol }) => (
          <div key={bass}>
            <span>{bass}</span>
            {symbol}
          </div>
        ))}
      </div>
    </>
  );
}
