import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Voice } from '../../../api/client';
import { voiceWords } from './voices';

/** Which voice goes where in a change, the highest first. */
export function VoiceLedger({ voices }: { voices: Voice[] }) {
  return voices.length === 0 ? null : (
    <Box>
      <Typography variant="h3" component="h3" color="text.secondary">
        Voices
      </Typography>
      <Box component="ul" aria-label="Where each voice goes" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {voices.map((voice, i) => (
          <Typography
            component="li"
            key={i}
            variant="body2"
            sx={{ fontWeight: voice.semitones === 0 ? 700 : 400 }}
          >
            {voiceWords(voice)}
          </Typography>
        ))}
      </Box>
    </Box>
  );
}
