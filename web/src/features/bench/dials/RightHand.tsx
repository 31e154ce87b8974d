import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Part } from '../../../api/client';
import { TOUCHED } from '../../../theme/theme';

/** The pattern of the right hand where the song is looked at, and the way to others. */
export function RightHand({
  part,
  placement,
  onOpen,
}: {
  part: Part | undefined;
  placement: number | null;
  onOpen: () => void;
}) {
  const bar = part?.bars.find((b) => placement === null || b.events.some((e) => e.place === placement));
  return (
    <Box>
      <Typography variant="caption" color="text.secondary" sx={{ display: 'block' }}>
        Right hand
      </Typography>
      <Button
        onClick={onOpen}
        title={bar?.pattern}
        sx={{
          display: 'block',
          maxWidth: 112,
          overflow: 'hidden',
          textOverflow: 'ellipsis',
          whiteSpace: 'nowrap',
          minHeight: 36,
          px: 0,
          justifyContent: 'flex-start',
          ...TOUCHED,
        }}
      >
        {bar?.pattern ?? '…'}
      </Button>
    </Box>
  );
}
