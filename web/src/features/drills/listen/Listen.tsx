import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useKey } from '../../../shared/useKey';
import { Problem } from '../../../shared/Problem';
import type { Loop } from './simulatedHand';
import { useListening } from './useListening';
import type { Proposal } from './verdict';

/** Listens to a loop of two chords, if asked, and proposes how it went; nothing that is heard leaves the page. */
export function Listen({ loop, onPropose }: { loop: Loop; onPropose: (proposal: Proposal) => void }) {
  const { state, file, toggle, simulate } = useListening(loop, onPropose);
  const isOn = state.is === 'on';
  useKey('drillListen', toggle);
  return (
    <Box component="section" aria-label="Listening" data-testid="listening" sx={{ mt: 2 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <Button variant={isOn ? 'contained' : 'outlined'} onClick={toggle}>
          {isOn ? 'Stop listening (m)' : 'Listen (m)'}
        </Button>
        {state.is === 'on' && <Meter level={state.level} seconds={state.seconds} />}
        {!isOn && (
          <Button disabled={state.is === 'judging'} onClick={simulate}>
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
