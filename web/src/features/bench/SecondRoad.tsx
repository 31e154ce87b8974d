import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { SecondPart } from '../../api/client';
import { HandRoad } from './HandRoad';
import { overlapWords } from './words';

/** The second guitar's own road under the first one's, and how far the two keep out of each other's way. */
export function SecondRoad({
  second,
  selected,
  onSelect,
}: {
  second: SecondPart;
  selected: number | null;
  onSelect: (placement: number | null) => void;
}) {
  const { capo, playedKey } = second.arrangement;
  return (
    <Box data-testid="second-guitar">
      <HandRoad
        title="Second guitar"
        arrangement={second.arrangement}
        selected={selected}
        loop={null}
        onSelect={onSelect}
        onLoop={() => undefined}
      />
      <Typography variant="body2" color="text.secondary">
        {capo.chosen === 0 ? 'No capo' : `Capo ${capo.chosen}, shapes in ${playedKey}`}.{' '}
        {overlapWords(second)}.
      </Typography>
    </Box>
  );
}
