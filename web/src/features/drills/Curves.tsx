import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { api } from '../../api/client';
import { drillKeys } from '../../api/queryKeys';
import { curves, path } from './run';

const SHOWN = 8;
const WIDTH = 180;
const HEIGHT = 44;

/** The tempo of clean runs over time, change by change, and what the log says of the player's speed. */
export function Curves({ playerId }: { playerId: number | null }) {
  const log = useQuery({
    queryKey: drillKeys.log(playerId),
    queryFn: ({ signal }) => api.drillLog(playerId, signal),
  });
  const calibration = useQuery({
    queryKey: drillKeys.calibration(playerId),
    queryFn: ({ signal }) => api.drillCalibration(playerId, signal),
  });
  const runs = log.data?.runs ?? [];
  const all = curves(runs, log.dataUpdatedAt);
  return (
    <Box component="section" aria-label="What came of it" sx={{ mt: 3 }}>
      <Typography variant="h2">What came of it</Typography>
      <Typography sx={{ my: 0.5 }} data-testid="logged">
        {runs.length === 0 ? 'Nothing was run yet. ' : `${runs.length} runs. `}
        {calibration.data?.words}
      </Typography>
      {(calibration.data?.mastered.length ?? 0) > 0 && (
        <Typography sx={{ my: 0.5 }} data-testid="mastered">
          Yours by now, and no longer new to your parts: {calibration.data?.mastered.join(', ')}.
        </Typography>
      )}
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(220px, 1fr))', gap: 2 }}>
        {all.slice(0, SHOWN).map((curve) => (
          <Box key={curve.change}>
            <Typography variant="body2" sx={{ fontWeight: 700 }}>
              {curve.words}
            </Typography>
            <svg
              role="img"
              aria-label={`Tempo of clean runs of ${curve.words}: from ${curve.points[0]?.tempo ?? 0} to ${curve.points.at(-1)?.tempo ?? 0} beats a minute`}
              width={WIDTH}
              height={HEIGHT + 8}
              viewBox={`-3 -4 ${WIDTH + 6} ${HEIGHT + 8}`}
            >
              <path
                d={path(curve, WIDTH, HEIGHT)}
                fill="none"
                stroke="var(--mui-palette-primary-main)"
                strokeWidth={2.5}
                strokeLinejoin="round"
              />
            </svg>
            <Typography variant="caption" color="text.secondary" component="div">
              {curve.points.length} clean runs, {curve.best} at best
            </Typography>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
