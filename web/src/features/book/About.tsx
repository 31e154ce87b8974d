import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api } from '../../api/client';
import { bookKeys } from '../../api/queryKeys';
import { Problem } from '../../shared/Problem';
import { useAbout } from './useBook';

/** Version, care of the hands, and whose work ships with the application. */
export function About() {
  const about = useAbout();
  const [reading, setReading] = useState(false);
  return (
    <Box component="section" aria-label="About" sx={{ gridColumn: '1 / -1' }}>
      <Typography variant="h2">About</Typography>
      {about.data && (
        <Typography sx={{ mt: 1 }}>
          Underhand {about.data.version}.{' '}
          {about.data.data && (
            <>
              This book lies in <code>{about.data.data}</code>; no request leaves this machine.
            </>
          )}
        </Typography>
      )}
      {about.isError && <Problem error={about.error} onRetry={() => void about.refetch()} />}
      <Typography variant="h3" sx={{ mt: 2 }}>
        Care for your hands
      </Typography>
      <Typography sx={{ mt: 0.5, maxWidth: '75ch' }}>
        Stretch, force and repetition hurt hands. Warm up, press lightly, play short runs with rests. Stop at
        pain, tingling or numbness and see a qualified health professional or your teacher. Underhand measures
        frets, not hands: where it and your hand disagree, your hand is right. It never raises a limit by
        itself.
      </Typography>
      <Typography variant="h3" sx={{ mt: 2 }}>
        Licences
      </Typography>
      <Button onClick={() => setReading(!reading)} aria-expanded={reading} sx={{ ml: -1 }}>
        {reading ? 'Hide the licence texts' : 'Read the licence texts of everything that ships'}
      </Button>
      {reading && <Licences />}
    </Box>
  );
}

function Licences() {
  const licences = useQuery({ queryKey: bookKeys.licences, queryFn: api.licences, staleTime: Infinity });
  if (licences.isError) {
    return <Problem error={licences.error} onRetry={() => void licences.refetch()} />;
  }
  return licences.data?.map((licence) => (
    <Box component="details" key={licence.of[0]} sx={{ my: 0.5 }}>
      <Box component="summary" sx={{ cursor: 'pointer', overflowWrap: 'anywhere', py: 0.75 }}>
        {licence.of.join(', ')}
      </Box>
      <Box component="pre" sx={{ overflow: 'auto', fontSize: '0.8rem', whiteSpace: 'pre-wrap' }}>
        {licence.text}
      </Box>
    </Box>
  ));
}
