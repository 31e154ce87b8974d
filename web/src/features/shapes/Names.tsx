import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { DeskLook } from '../../api/client';
import { TOUCHED } from '../../theme/theme';

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
          <li key={name.symbol}>
            <Button
              aria-pressed={i === chosen}
              onClick={() => onChoose(i)}
              data-testid="desk-name"
              sx={{
                justifyContent: 'flex-start',
                textTransform: 'none',
                fontSize: i === 0 ? '1.5rem' : '1rem',
                fontWeight: i === chosen ? 700 : 400,
                minHeight: 36,
                p: 0.25,
                ...TOUCHED,
              }}
            >
              {name.symbol}
              {name.missing.length > 0 && (
                <Typography component="span" variant="caption" color="text.secondary" sx={{ ml: 1 }}>
                  without {name.missing.join(', ')}
                </Typography>
              )}
            </Button>
          </li>
        ))}
      </Box>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        Over another bass
      </Typography>
      <Box
        sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(168px, 1fr))', gap: 0.25 }}
        data-testid="over-bass"
      >
        {desk.overBass.map(({ bass, symbol }) => (
          <Typography key={bass} variant="body2" sx={{ display: 'flex' }}>
            <Box component="span" sx={{ color: 'text.secondary', flex: 'none', width: 28 }}>
              {bass}
            </Box>
            {symbol}
          </Typography>
        ))}
      </Box>
    </>
  );
}
