import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import Typography from '@mui/material/Typography';
import { MONO } from '../../app/theme';

const KEYS = [
  ['← →', 'choose the chord before or after'],
  ['↓ ↑', 'take its next dearer or cheaper grip'],
  ['l', 'lock or unlock its grip'],
  ['1 to 5', 'rung'],
  ['shift 0 to 9', 'capo'],
  ['ctrl z', 'undo; with shift, redo'],
  ['space', 'play or stop'],
  ['o', 'loop its section, or end the loop'],
  ['g, then s b h r v p', 'go to songs, bench, sheet, rungs, versions, players'],
  ['f', 'find a song in the songbook'],
  ['esc', 'see the whole song again'],
  ['?', 'these keys'],
] as const;

/** The keys of the bench. */
export function KeysDialog({ onClose }: { onClose: () => void }) {
  return (
    <Dialog open onClose={onClose} aria-labelledby="keys-title">
      <Box sx={{ p: 2.5 }}>
        <Typography id="keys-title" variant="h2" sx={{ mb: 1 }}>
          Keys
        </Typography>
        {KEYS.map(([key, words]) => (
          <Box key={key} sx={{ display: 'grid', gridTemplateColumns: '9em 1fr', py: 0.5 }}>
            <Box component="kbd" sx={{ fontFamily: MONO, fontWeight: 700 }}>
              {key}
            </Box>
            {words}
          </Box>
        ))}
        <Button sx={{ mt: 1 }} onClick={onClose}>
          Close
        </Button>
      </Box>
    </Dialog>
  );
}
