import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api, type DrillCurve, type DrillCurveOf } from '../../api/client';
import { drillKeys } from '../../api/queryKeys';
import { useRemembered } from '../../shared/useRemembered';
import { counted } from '../../shared/words';
import { changesInHalfAMinute, path } from './run';

const SHOWN = 8;
const WIDTH = 180;
const HEIGHT = 44;

/** What curves are drawn of, with what they say. */
const OF = [
  ['change', 'Changes'],
  ['seconds', 'Seconds'],
  ['song', 'Whole songs'],
  ['kind', 'Kinds of drill'],
] as const;

/** How things went from day to day, and what the log says of the player's speed. */
export function Curves({ playerId, zone }: { playerId: number | null; zone: string }) {
  const [of, show] = useRemembered<DrillCurveOf>('drills.curves', 'change');
  const log = useQuery({
    queryKey: drillKeys.log(playerId),
    queryFn: ({ signal }) => api.drillLog(playerId, signal),
  });
  const curves = useQuery({
    queryKey: drillKeys.curves(playerId, of),
    queryFn: ({ signal }) => api.drillCurves(playerId, zone, of, signal),
    placeholderData: keepPreviousData,
  });
  const calibration = useQuery({
    queryKey: drillKeys.calibration(playerId),
    queryFn: ({ signal }) => api.drillCalibration(playerId, signal),
  });
  const runs = log.data?.runs ?? [];
  const all = curves.data ?? [];
  return (
    <Box component="section" aria-label="What came of it" sx={{ mt: 3 }}>
      <Typography variant="h2">What came of it</Typography>
      <Typography sx={{ my: 0.5 }} data-testid="logged">
        {runs.length === 0 ? 'Nothing was run yet. ' : `${counted(runs.length, 'run')}. `}
        {calibration.data?.words}
      </Typography>
      {(calibration.data?.mastered.length ?? 0) > 0 && (
        <Typography sx={{ my: 0.5 }} data-testid="mastered">
          Yours by now, and no longer new to your parts: {calibration.data?.mastered.join(', ')}.
        </Typography>
      )}
      {runs.length > 0 && (
        <ToggleButtonGroup
          exclusive
          size="small"
          value={of}
          aria-label="Curves of"
          onChange={(_, chosen: DrillCurveOf | null) => chosen !== null && show(chosen)}
          sx={{ my: 1 }}
        >
          {OF.map(([id, words]) => (
            <ToggleButton key={id} value={id} sx={{ minHeight: 44, px: 2, textTransform: 'none' }}>
              {words}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      )}
      {runs.length > 0 && curves.isSuccess && all.length === 0 && (
        <Typography>There are too few days yet to draw a line through.</Typography>
      )}
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(220px, 1fr))', gap: 2 }}>
        {all.slice(0, SHOWN).map((curve) => (
          <Line key={curve.name} curve={curve} inSeconds={of === 'seconds'} until={curves.dataUpdatedAt} />
        ))}
      </Box>
    </Box>
  );
}

function Line({ curve, inSeconds, until }: { curve: DrillCurve; inSeconds: boolean; until: number }) {
  const first = curve.points[0]?.value ?? 0;
  const last = curve.points.at(-1)?.value ?? 0;
  const unit = inSeconds ? 's' : 'beats a minute';
  return (
    <Box data-testid="curve">
      <Typography variant="body2" sx={{ fontWeight: 700 }}>
        {curve.name}
      </Typography>
      <svg
        role="img"
        aria-label={`${curve.name}: from ${first} to ${last} ${unit}`}
        width={WIDTH}
        height={HEIGHT + 8}
        viewBox={`-3 -4 ${WIDTH + 6} ${HEIGHT + 8}`}
      >
        <path
          d={path(curve.points, until, WIDTH, HEIGHT)}
          fill="none"
          stroke="var(--mui-palette-primary-main)"
          strokeWidth={2.5}
          strokeLinejoin="round"
        />
      </svg>
      <Typography variant="caption" color="text.secondary" component="div">
        {inSeconds
          ? `${first} s at first, ${last} s now: ${changesInHalfAMinute(last)} in 30 s`
          : `${first} at first, ${last} now; ${counted(curve.runs, 'run')}`}
      </Typography>
    </Box>
  );
}
