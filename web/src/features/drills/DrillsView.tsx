import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link as To } from 'react-router';
import { api, type PlannedDrill } from '../../api/client';
import { drillKeys } from '../../api/queryKeys';
import { usePlayers } from '../../api/useArrangement';
import { GripFrame } from '../../shared/GripFrame';
import { Handed } from '../../shared/Handed';
import { PlayerField } from '../../shared/PlayerField';
import { Problem } from '../../shared/Problem';
import { usePageTitle } from '../../shared/usePageTitle';
import { useRemembered } from '../../shared/useRemembered';
import { Calendar } from './Calendar';
import { Curves } from './Curves';
import { Forecasts } from './Forecasts';
import { LogTable } from './LogTable';
import { Measured } from './Measured';
import { NoteLine } from './NoteLine';
import { Running } from './Running';
import type { Result } from './run';
import { useSaidOfPlan, type SaidOfPlan } from './saidOfPlan';
import { TimedTest } from './TimedTest';
import { WeekSheet } from './WeekSheet';

const MINUTES = [10, 20, 45];

/** Minutes a drill takes at most. */
const LONGEST_DRILL = 3;

/** What a player may say of a drill of today's plan. */
const SAY = [
  ['swapped', 'Swap', 'Something else in its stead today'],
  ['skipped', 'Skip', 'Not today'],
  ['shortened', 'Shorten', 'Half of its time'],
] as const;

/** What to practise today, running it, and what came of it. */
export function DrillsView() {
  usePageTitle('Drill book');
  const [player, setPlayer] = useRemembered<string>('drills.player', '');
  const [stored, store] = useRemembered<string>('drills.minutes', '20');
  const minutes = Number(stored) || 20;
  const [running, run] = useState<PlannedDrill | null>(null);
  const [isTimed, time] = useState(false);
  const [advice, setAdvice] = useState('');
  const queries = useQueryClient();
  const playerId = Number(player) || null;
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const { said, say, forget, isSaid } = useSaidOfPlan(player);
  const plan = useQuery({
    queryKey: drillKeys.plan(playerId, minutes, said),
    queryFn: ({ signal }) => api.drillPlan(playerId, minutes, zone, said, signal),
    placeholderData: keepPreviousData,
  });
  const drills = plan.data?.drills ?? [];
  const isShort = !isSaid && plan.data !== undefined && plan.data.minutes + LONGEST_DRILL < minutes;
  const chosen = usePlayers().data?.find((p) => p.id === playerId);
  const log = useMutation({
    mutationFn: (said: { drill: PlannedDrill; result: Result; tempo: number; seconds: number | null }) =>
      api.logDrill(said.drill.drill, said.result, said.tempo, said.seconds, playerId),
    onSuccess: (ran, said) => {
      setAdvice(ran.advice);
      const next = drills[drills.findIndex((d) => d.drill === said.drill.drill) + 1];
      run(said.result === 'discomfort' ? null : (next ?? null));
      // Not waited for: what the player says of the next drill must not be lost while the plan is made anew.
      void queries.invalidateQueries({ queryKey: drillKeys.all });
    },
  });
  return (
    <Handed playerId={playerId}>
      <WeekSheet player={chosen?.limits.name ?? 'adult hand'} drills={drills} />
      <Box component="main" className="drills-screen" sx={{ p: { xs: 2, md: 3 }, maxWidth: 1120 }}>
        <Typography variant="h1">Drill book</Typography>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center', my: 1.5 }}>
          <PlayerField playerId={playerId} onTake={(id) => setPlayer(String(id ?? ''))} />
          <ToggleButtonGroup
            exclusive
            size="small"
            value={minutes}
            aria-label="Minutes"
            onChange={(_, chosen: number | null) => chosen !== null && store(String(chosen))}
          >
            {MINUTES.map((m) => (
              <ToggleButton key={m} value={m} sx={{ minHeight: 44, px: 2, textTransform: 'none' }}>
                {m} minutes
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          {plan.data && (
            <Typography
              color="text.secondary"
              data-testid="plan-facts"
              aria-live="polite"
              aria-busy={plan.isPlaceholderData}
            >
              {drills.length} drills, {plan.data.minutes} minutes
              {isShort && !plan.isPlaceholderData ? ': the songs of late ask for no more today' : ''}
              {plan.data.streak > 1 ? ` · ${plan.data.streak} days in a row` : ''}
            </Typography>
          )}
          {drills.length > 0 && <Button onClick={() => window.print()}>Print a week’s sheet</Button>}
          {!running && !isTimed && <Button onClick={() => time(true)}>Time six changes</Button>}
          {isSaid && <Button onClick={forget}>Plan today anew</Button>}
        </Box>
        {plan.isError && <Problem error={plan.error} onRetry={() => void plan.refetch()} />}
        {log.isError && <Problem error={log.error} />}
        {advice !== '' && (
          <Typography role="status" sx={{ my: 1, fontWeight: 700 }}>
            {advice}
          </Typography>
        )}
        {isTimed ? (
          <TimedTest
            playerId={playerId}
            zone={zone}
            onDone={() => {
              time(false);
              void queries.invalidateQueries({ queryKey: drillKeys.all });
            }}
          />
        ) : running && plan.data ? (
          <Running
            key={running.drill}
            drill={running}
            neck={plan.data.neck}
            pending={log.isPending}
            onLog={(result, tempo, seconds) => log.mutate({ drill: running, result, tempo, seconds })}
            onLeave={() => run(null)}
          />
        ) : (
          <Plan drills={drills} stopped={plan.data?.stopped ?? []} onRun={run} onSay={say} />
        )}
        <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 6 }}>
          <Forecasts playerId={playerId} zone={zone} />
          <Calendar playerId={playerId} zone={zone} />
        </Box>
        <Curves playerId={playerId} zone={zone} />
        {chosen && <Measured player={chosen} />}
        <LogTable playerId={playerId} />
      </Box>
    </Handed>
  );
}

function Plan({
  drills,
  stopped,
  onRun,
  onSay,
}: {
  drills: PlannedDrill[];
  stopped: string[];
  onRun: (drill: PlannedDrill) => void;
  onSay: (how: keyof SaidOfPlan, drill: string) => void;
}) {
  return (
    <>
      <Typography variant="h2">Today</Typography>
      {drills.length === 0 && (
        <Typography sx={{ my: 1 }}>
          Nothing is left for today. Play a song from the{' '}
          <Link component={To} to="/">
            songbook
          </Link>
          , or come back tomorrow.
        </Typography>
      )}
      <Box component="ol" aria-label="Today's drills" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {drills.map((drill) => (
          <Box
            component="li"
            key={drill.drill}
            data-testid="drill"
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: '1fr', sm: '176px 1fr auto' },
              gap: 2,
              alignItems: 'center',
              py: 1.25,
              borderTop: 1,
              borderColor: 'divider',
            }}
          >
            <Box sx={{ display: 'flex', gap: 0.5 }}>
              {drill.from && <GripFrame grip={drill.from} size={0.82} />}
              {drill.to && <GripFrame grip={drill.to} size={0.82} />}
              {drill.notes.length > 0 && (
                <NoteLine notes={drill.notes} strings={drill.openStrings.length} scale={0.8} />
              )}
            </Box>
            <Box>
              <Typography sx={{ fontWeight: 700, fontSize: '1.1rem' }}>
                {drill.name}
                <Typography component="span" color="text.secondary" sx={{ ml: 1 }}>
                  {drill.tempo} of {drill.songTempo} · {drill.minutes} min
                </Typography>
              </Typography>
              <Typography>{drill.does}</Typography>
              <Typography variant="body2" color="text.secondary">
                {drill.why}{' '}
                <Link component={To} to={`/songs/${drill.song}`}>
                  Bar {drill.bar}
                </Link>
              </Typography>
              {drill.caution !== null && <Typography variant="body2">{drill.caution}</Typography>}
            </Box>
            <Box
              sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, justifyContent: 'flex-end', maxWidth: 260 }}
            >
              <Button
                variant="contained"
                onClick={() => onRun(drill)}
                sx={{ minHeight: 44, flex: '1 0 100%' }}
              >
                Run
              </Button>
              {SAY.map(([how, words, does]) => (
                <Button
                  key={how}
                  title={does}
                  aria-label={`${words} ${drill.name}`}
                  onClick={() => onSay(how, drill.drill)}
                  sx={{ minHeight: 44, minWidth: 0, px: 1 }}
                >
                  {words}
                </Button>
              ))}
            </Box>
          </Box>
        ))}
      </Box>
      {stopped.length > 0 && (
        <Typography sx={{ mt: 1 }}>
          Out for today, because it hurt: {stopped.join(', ')}. If it lasts, see a qualified health
          professional or your teacher.
        </Typography>
      )}
    </>
  );
}
