import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useArranged, usePlacement } from '../state/BenchWork';
import { useTextureName } from '../../../shared/ownTextures';
import { TOUCHED } from '../../../theme/theme';

/** The kind of part where the song is looked at, and the way to others. */
export function TextureDial({ onOpen }: { onOpen: () => void }) {
  const { texture } = useArranged();
  const placement = usePlacement();
  const nameOf = useTextureName();
  return (
    <Box>
      <Typography variant="caption" color="text.secondary" sx={{ display: 'block' }}>
        Texture
      </Typography>
      <Button
        onClick={onOpen}
        data-testid="texture"
        sx={{
          minHeight: 36,
          minWidth: 0,
          px: 0,
          whiteSpace: 'nowrap',
          justifyContent: 'flex-start',
          ...TOUCHED,
        }}
      >
        {nameOf(placement?.texture ?? texture.chosen)}
      </Button>
    </Box>
  );
}
