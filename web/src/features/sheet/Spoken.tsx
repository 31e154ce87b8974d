import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { SpokenWords } from '../../api/client';

/** Name of a section, or of words that have no chords. */
export function SectionName({ name, big }: { name: string; big: boolean }) {
  return (
    <Typography variant="h2" sx={{ mt: 2, mb: 0.5, fontSize: big ? '1.5rem' : undefined }}>
      {name}
    </Typography>
  );
}

/** Words without chords, under the name of their part. */
export function Spoken({ words, big }: { words: SpokenWords[]; big: boolean }) {
  return words.map((spoken, index) => (
    <Box key={`${spoken.bar}.${index}`} sx={{ mb: 1.25, pl: 1 }}>
      {spoken.heading !== '' && (
        <Box sx={{ ml: -1 }}>
          <SectionName name={spoken.heading} big={big} />
        </Box>
      )}
      {spoken.lines.map((line, at) => (
        <Typography key={at} sx={{ fontSize: big ? '1.7rem' : undefined, lineHeight: 1.4 }}>
          {line}
        </Typography>
      ))}
    </Box>
  ));
}
