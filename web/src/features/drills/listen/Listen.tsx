import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { useKey } from '../../../shared/useKey';
import { Problem } from '../../../shared/Problem';
import type { Recording } from './microphone';
import type { Loop } from './simulatedHand';
import type { Proposal } from './verdict';

/** A recording ends by itself after so many seconds. */
const LONGEST = 150;

/** Bars a simulated player plays, and how long a change takes it, as a part of a beat. */
const BARS = 9;
const AT_EASE = 0.9;
const RATE = 44_100;
const ROOM = 0.1;

type State =
  | { is: 'idle' }
  | { is: 'on'; recording: Recording; level: number; seconds: number }
  | { is: 'judging' }
  | { is: 'told'; proposal: Proposal }
  | { is: 'unheard' }
  | { is: 'failed'; error: Error };

const IDLE: State = { is: 'idle' };

/** Listens to a loop of two chords, if asked, and proposes how it went; nothing that is heard leaves the page. */
export function Listen({ loop, onPropose }: { loop: Loop; onPropose: (proposal: Proposal) => void }) {
  const [state, setState] = useState<State>(IDLE);
  const [file, setFile] = useState<string | null>(null);
  const recording = useRef<Recording | null>(null);
  useEffect(
    () => () => {
      recording.current?.stop();
    },
    [],
  );
  useEffect(() => () => (file === null ? undefined : URL.revokeObjectURL(file)), [file]);
  const judge = async (samples: Float32Array, sampleRate: number) => {
    setState({ is: 'judging' });
    const [{ hear }, { verdict }] = await Promise.all([import('./ear'), import('./verdict')]);
    const proposal = verdict(hear(samples, sampleRate, loop), loop.tempo);
    setState(proposal ? { is: 'told', proposal } : { is: 'unheard' });
    if (proposal) {
      onPropose(proposal);
    }
  };
  const stop = () => {
    const heard = recording.current?.stop();
    recording.current = null;
    if (heard) {
      void judge(heard.samples, heard.sampleRate);
    }
  };
  const toggle = async () => {
    if (recording.current) {
      stop();
      return;
    }
    try {
      const { record } = await import('./microphone');
      const on = await record();
      recording.current = on;
      setState({ is: 'on', recording: on, level: 0, seconds: 0 });
    } catch (error) {
      setState({ is: 'failed', error: error as Error });
    }
  };
  const isOn = state.is === 'on';
  useEffect(() => {
    if (!isOn) {
      return;
    }
    const timer = setInterval(() => {
      const on = recording.current;
      if (on && on.seconds() > LONGEST) {
        stop();
      } else if (on) {
        setState({ is: 'on', recording: on, level: on.level(), seconds: on.seconds() });
      }
    }, 150);
    return () => clearInterval(timer);
  });
  const simulate = async () => {
    setState({ is: 'judging' });
    const [{ simulatedHand }, { wav }] = await Promise.all([import('./simulatedHand'), import('./wav')]);
    const played = simulatedHand(loop, {
      bars: BARS,
      seconds: (AT_EASE * 60) / loop.tempo,
      noise: ROOM,
      seed: Math.round(loop.tempo),
      sampleRate: RATE,
    });
    setFile(URL.createObjectURL(wav(played.samples, RATE)));
    await judge(played.samples, RATE);
  };
  useKey('drillListen', () => void toggle());
  return (
    <Box component="section" aria-label="Listening" data-testid="listening" sx={{ mt: 2 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <Button variant={isOn ? 'contained' : 'outlined'} onClick={() => void toggle()}>
          {isOn ? 'Stop listening (m)' : 'Listen (m)'}
        </Button>
        {state.is === 'on' && <Meter level={state.level} seconds={state.seconds} />}
        {!isOn && (
          <Button disabled={state.is === 'judging'} onClick={() => void simulate()}>
            Let a simulated player play
          </Button>
        )}
        {file !== null && (
          <Link href={file} download="simulated-player.wav">
            Save its sound
          </Link>
        )}
      </Box>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
        A bar of each chord, a stroke on every beat. What the microphone hears stays in this page.
      </Typography>
      {state.is === 'judging' && <Typography>Listening to it again</Typography>}
      {state.is === 'unheard' && (
        <Typography role="status">
          Too little was heard. Play four bars or more, a stroke on every beat, nearer to the microphone.
        </Typography>
      )}
      {state.is === 'failed' && <Problem error={state.error} />}
      {state.is === 'told' && <Told proposal={state.proposal} />}
    </Box>
  );
}

function Meter({ level, seconds }: { level: number; seconds: number }) {
  return (
    <>
      <Box aria-hidden sx={{ width: 120, height: 10, border: 1, borderColor: 'divider' }}>
        <Box sx={{ height: '100%', width: `${Math.min(100, 130 * level)}%`, bgcolor: 'draw.stays' }} />
      </Box>
      <Typography>{seconds.toFixed(0)} s</Typography>
    </>
  );
}

/** Each change as it was heard: how late, how long. */
function Told({ proposal }: { proposal: Proposal }) {
  const { changes, seconds, result } = proposal;
  const count = (which: string) => changes.filter((c) => c.verdict === which).length;
  return (
    <Box role="status" data-testid="heard">
      <Typography sx={{ fontWeight: 700 }}>
        Proposed: {result}. {changes.length} changes heard: {count('clean')} clean, {count('rough')} late,{' '}
        {count('missed')} missed
        {seconds === null ? '.' : `; a change takes ${seconds.toFixed(2)} s.`}
      </Typography>
      <Box
        component="ol"
        aria-label="Changes heard"
        sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, p: 0, m: 0, listStyle: 'none' }}
      >
        {changes.map((change) => (
          <Typography
            component="li"
            variant="body2"
            key={change.due}
            color={change.verdict === 'missed' ? 'error' : 'text.primary'}
          >
            {change.late === null
              ? 'not there'
              : change.verdict === 'clean'
                ? 'in time'
                : `${Math.round(1000 * change.late)} ms late`}
          </Typography>
        ))}
      </Box>
      <Typography variant="body2">Confirm it, or say how it went.</Typography>
    </Box>
  );
}
