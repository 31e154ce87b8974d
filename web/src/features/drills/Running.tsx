import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import type { Neck, PlannedDrill } from '../../api/client';
import { GripFrame } from '../../shared/GripFrame';
import { useKey } from '../../shared/useKey';
import { Listen } from './listen/Listen';
import { loopOf } from './listen/loop';
import type { Verdict } from './listen/verdict';
import { DrillRoad } from './DrillRoad';
import { NoteLine } from './NoteLine';
import { phaseAt, type Phase } from './phases';
import { clock, type Result } from './run';
import { useClick } from './useClick';

const VERDICTS = [
  ['clean', 'Clean'],
  ['rough', 'Rough'],
  ['missed', 'Missed'],
] as const;

const STEP = 4;
const SLOWEST = 30;
const FASTEST = 240;

/** One drill, large: click, time left, the tempo up and down, and how it went by one key. */
export function Running({
  drill,
  neck,
  pending,
  onLog,
  onLeave,
}: {
  drill: PlannedDrill;
  neck: Neck;
  pending: boolean;
  onLog: (result: Result, tempo: number, seconds: number | null) => void;
  onLeave: () => void;
}) {
  const [tempo, setTempo] = useState(drill.tempo);
  const [elapsed, setElapsed] = useState(0);
  const phase = phaseAt(elapsed, drill.minutes);
  const [clicking, setClicking] = useState(false);
  const taps = useRef<number[]>([]);
  const [seconds, setSeconds] = useState<number | null>(null);
  const [proposed, propose] = useState<Verdict | null>(null);
  // A rest is silent; the next run is counted in anew.
  const { beat, countsIn } = useClick(tempo, clicking && phase.kind === 'run');
  const loop = loopOf(drill, tempo);
  useEffect(() => {
    const timer = setInterval(() => setElapsed((s) => s + 1), 1000);
    return () => clearInterval(timer);
  }, []);
  const say = (result: Result) => !pending && onLog(result, tempo, seconds);
  const change = (by: number) => setTempo((t) => Math.min(FASTEST, Math.max(SLOWEST, t + by)));
  /** Two taps, as the old chord is left and as the new one sounds, measure one change. */
  const tap = () => {
    taps.current = [...taps.current.slice(-1), performance.now()];
    const [from, to] = taps.current;
    if (from !== undefined && to !== undefined) {
      setSeconds(Math.round(Math.min(10_000, to - from)) / 1000);
      taps.current = [];
    }
  };
  useKey('drillClean', () => say('clean'));
  useKey('drillRough', () => say('rough'));
  useKey('drillMissed', () => say('missed'));
  useKey('drillStop', () => say('discomfort'));
  useKey('drillFaster', () => change(STEP));
  useKey('drillSlower', () => change(-STEP));
  useKey('drillClick', () => setClicking((on) => !on));
  useKey('drillTap', tap);
  useKey('drillLeave', onLeave);
  return (
    <Box component="section" aria-label="Running" data-testid="running" sx={{ my: 1 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 3, alignItems: 'center' }}>
        <Box sx={{ display: 'flex', gap: 2 }}>
          {drill.from && <GripFrame grip={drill.from} size={1.7} />}
          {drill.to && <GripFrame grip={drill.to} size={1.7} />}
          {drill.notes.length > 0 && (
            <NoteLine notes={drill.notes} strings={drill.openStrings.length} scale={2} />
          )}
        </Box>
        <Box sx={{ flex: '1 1 320px' }}>
          <Typography variant="h2" sx={{ fontSize: '2rem' }}>
            {drill.name}
          </Typography>
          <Typography sx={{ fontSize: '1.2rem' }}>{drill.does}</Typography>
          {drill.caution !== null && <Typography sx={{ mt: 1 }}>{drill.caution}</Typography>}
          <Typography
            role="timer"
            data-phase={phase.kind}
            sx={{ fontSize: '2.4rem', fontWeight: 700, mt: 1, lineHeight: 1.2 }}
          >
            {clock(phase.left)}
            <Typography component="span" sx={{ ml: 2 }}>
              {phaseWords(phase)}
            </Typography>
          </Typography>
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}>
            <Button variant="outlined" aria-label="Slower" onClick={() => change(-STEP)}>
              −
            </Button>
            <Typography sx={{ fontWeight: 700 }} data-testid="drill-tempo">
              {tempo} beats a minute
            </Typography>
            <Button variant="outlined" aria-label="Faster" onClick={() => change(STEP)}>
              +
            </Button>
            <Button aria-pressed={clicking} onClick={() => setClicking(!clicking)}>
              {clicking && phase.kind === 'run'
                ? `${countsIn ? 'count in' : 'click'} ${beat + 1}`
                : 'click (c)'}
            </Button>
            <Button onClick={tap}>
              {seconds === null ? 'time a change (t, t)' : `change ${seconds.toFixed(2)} s`}
            </Button>
          </Box>
        </Box>
      </Box>
      <Box sx={{ mt: 1 }}>
        <DrillRoad drill={drill} neck={neck} />
      </Box>
      {loop && (
        <Listen
          loop={loop}
          onPropose={(heard) => {
            propose(heard.result);
            setSeconds(heard.seconds);
          }}
        />
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 2 }}>
        {VERDICTS.map(([verdict, words], i) => (
          <Button
            key={verdict}
            variant={(proposed ?? 'clean') === verdict ? 'contained' : 'outlined'}
            disabled={pending}
            onClick={() => say(verdict)}
          >
            {words} ({i + 1}){proposed === verdict ? ', proposed' : ''}
          </Button>
        ))}
        <Button color="error" variant="outlined" disabled={pending} onClick={() => say('discomfort')}>
          Stopped: discomfort (0)
        </Button>
        <Button onClick={onLeave}>Back to the plan (esc)</Button>
      </Box>
    </Box>
  );
}

function phaseWords({ kind, run, runs }: Phase): string {
  const which = runs === 1 ? '' : ` ${run} of ${runs}`;
  switch (kind) {
    case 'run':
      return runs === 1 ? 'one run' : `run${which}`;
    case 'rest':
      return `rest: let the hand hang, then run ${run + 1} of ${runs}`;
    case 'over':
      return 'Rest your hand, then say how it went.';
  }
}
