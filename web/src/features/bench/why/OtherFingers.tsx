import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { api, type Grip, type Placement, type PreviewBody } from '../../../api/client';
import { keyOf } from '../../../api/songBody';
import { fingersOf, priceWords } from '../../../shared/words';
import { MONO, TOUCHED } from '../../../theme/theme';

const SHOWN = 4;

/** The same shape with other fingers, and what each would cost the whole song. */
export function OtherFingers({
  body,
  placement,
  grip,
  onTake,
}: {
  body: PreviewBody | undefined;
  placement: Placement;
  grip: Grip;
  onTake: (shape: string, fingers: string) => void;
}) {
  const others = useQuery({
    queryKey: ['fingerings', keyOf(body), placement.index],
    queryFn: ({ signal }) => api.fingerings(body ?? {}, placement.index, signal),
    enabled: body !== undefined,
  });
  if (!others.data || others.data.length === 0) {
    return null;
  }
  return (
    <Box>
      <Typography variant="h3" component="h3" sx={{ color: 'text.secondary', mb: 0.5 }}>
        Other fingers for {grip.shape}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5 }}>
        {others.data.slice(0, SHOWN).map((other) => (
          <Button
            key={fingersOf(other.grip)}
            variant="outlined"
            size="small"
            aria-label={`Fingers ${fingersOf(other.grip)}, ${priceWords(other.price)}`}
            onClick={() => onTake(grip.shape, fingersOf(other.grip))}
            sx={{ gap: 1, ...TOUCHED }}
          >
            <Box component="span" sx={{ fontFamily: MONO }}>
              {fingersOf(other.grip)}
            </Box>
            {priceWords(other.price)}
          </Button>
        ))}
      </Box>
    </Box>
  );
}
