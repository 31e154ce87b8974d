import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { api } from '../../../api/client';
import { drillKeys } from '../../../api/queryKeys';

const FRESH_MS = 60_000;

/** That the times of a part go by what was measured of its player, where they do. */
export function MeasuredHand({ playerId }: { playerId: number }) {
  const calibration = useQuery({
    queryKey: drillKeys.calibration(playerId),
    queryFn: ({ signal }) => api.drillCalibration(playerId, signal),
    staleTime: FRESH_MS,
  });
  return calibration.data?.used ? (
    <Typography data-testid="measured-hand">{calibration.data.words}</Typography>
  ) : null;
}
