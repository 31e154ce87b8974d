import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api } from '../../api/client';
import { drillKeys } from '../../api/queryKeys';
import { GripFrame } from '../../shared/GripFrame';
import { Problem } from '../../shared/Problem';
import { useKey } from '../../shared/useKey';

/** Times each change is timed: six changes make as many as the measuring asks for. */
const TIMES = 4;

const LONGEST_S = 10;

/** Six changes, each timed four times by two taps: the log's first word on how fast this hand is. */
export function TimedTest({
  playerId,
  zone,
  onDone,
}: {
  playerId: number | null;
  zone: string;
  onDone: () => void;
}) {
  const changes = useQuery({
    queryKey: drillKeys.timed(playerId),
    queryFn: ({ signal }) => api.drillTimed(playerId, zone, signal),
    // The same six to the end, whatever is logged meanwhile.
    staleTime: Infinity,
  });
  const queries = useQueryClient();
  const left = useRef<number | null>(null);
  const [timed, setTimed] = useState<number[]>([]);
  const [isLeft, setLeft] = useState(false);
  const keep = useMutation({
    mutationFn: ({ drill, seconds }: { drill: string; seconds: number }) =>
      api.logDrill(drill, 'rough', 0, seconds, playerId),
    onSuccess: (_, { seconds }) => {
      setTimed((so) => [...so, seconds]);
      void queries.invalidateQueries({ queryKey: drillKeys.calibration(playerId) });
    },
  });
  const all = changes.data ?? [];
  const change = all[Math.floor(timed.length / TIMES)];
  const tap = () => {
    if (!change || keep.isPending) {
      return;
    }
    const now = performance.now();
    if (left.current === null) {
      left.current = now;
      setLeft(true);
      return;
    }
    const seconds = Math.max(0.02, Math.round(now - left.current) / 1000);
    left.current = null;
    setLeft(false);
    // Longer than this somebody was called to the door.
    if (seconds <= LONGEST_S) {
      keep.mutate({ drill: change.drill, seconds });
    }
  };
  useKey('drillTap', tap);
  useKey('drillLeave', onDone);
  return (
    <Box component="section" aria-label="Timed test" data-testid="timed-test" sx={{ my: 1 }}>
      <Typography variant="h2">How fast is this hand?</Typography>
      {changes.isError && <Problem error={changes.error} onRetry={() => void changes.refetch()} />}
      {keep.isError && <Problem error={keep.error} />}
      {changes.isSuccess && all.length === 0 && (
        <Typography>There is no change to be timed yet. Add a song with two chords first.</Typography>
      )}
      {change ? (
        <>
          <Typography>
            Hold the first grip. Tap as you leave it, and again as the second one sounds. Do not hurry; stop
            at pain, tingling or numbness.
          </Typography>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 3, alignItems: 'center', my: 1 }}>
            <GripFrame grip={change.from} size={1.7} />
            <GripFrame grip={change.to} size={1.7} />
            <Box>
              <Typography sx={{ fontSize: '1.6rem', fontWeight: 700 }}>{change.name}</Typography>
              <Typography data-testid="timed-count">
                Change {Math.floor(timed.length / TIMES) + 1} of {all.length}, {(timed.length % TIMES) + 1} of{' '}
                {TIMES} times
              </Typography>
              {timed.length > 0 && <Typography>The last took {timed.at(-1)?.toFixed(2)} s.</Typography>}
            </Box>
          </Box>
          <Button variant="contained" onClick={tap} sx={{ minHeight: 64, px: 4, fontSize: '1.1rem' }}>
            {isLeft ? 'Now it sounds (t)' : 'I leave the first grip (t)'}
          </Button>
        </>
      ) : (
        all.length > 0 && (
          <Typography role="status" sx={{ fontWeight: 700 }}>
            That was all. What it says of this hand stands below, with how sure it is.
          </Typography>
        )
      )}{' '}
      <Button onClick={onDone}>Back to the plan (esc)</Button>
    </Box>
  );
}
