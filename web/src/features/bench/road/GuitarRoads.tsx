import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { memo, useState, type ComponentProps } from 'react';
import type { SecondPart } from '../../../api/client';
import { HandRoad } from './HandRoad';
import { overlapWords } from '../../../shared/words';

type Followed = 'first' | 'second';

/** The hand road of one guitar, or of two on one neck: one is followed, the other stands beside it as squares. */
export const GuitarRoads = memo(function GuitarRoads({
  second,
  ...road
}: { second: SecondPart | undefined } & Omit<ComponentProps<typeof HandRoad>, 'other' | 'whose'>) {
  const [followed, follow] = useState<Followed>('first');
  if (!second) {
    return <HandRoad {...road} />;
  }
  const { capo, playedKey } = second.arrangement;
  const own = followed === 'first';
  return (
    <Box data-testid="two-guitars">
      <HandRoad
        {...road}
        arrangement={own ? road.arrangement : second.arrangement}
        other={own ? second.arrangement : road.arrangement}
        whose={
          <ToggleButtonGroup
            exclusive
            size="small"
            color="primary"
            aria-label="Guitar followed"
            value={followed}
            onChange={(_, value: Followed | null) => value && follow(value)}
            sx={{ flex: 'none', whiteSpace: 'nowrap' }}
          >
            <ToggleButton value="first">First guitar</ToggleButton>
            <ToggleButton value="second">Second guitar</ToggleButton>
          </ToggleButtonGroup>
        }
      />
      <Typography variant="body2" color="text.secondary">
        Squares are the {own ? 'second' : 'first'} guitar. The second plays{' '}
        {capo.chosen === 0 ? 'without a capo' : `with its capo at ${capo.chosen}, shapes in ${playedKey}`}:{' '}
        {overlapWords(second)}.
      </Typography>
    </Box>
  );
});
