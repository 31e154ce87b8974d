import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import { api, type Arrangement } from '../../../api/client';
import { Problem } from '../../../shared/Problem';
import { hear, hearTune, type Heard } from '../../sound/hearTune';
import { useWork } from '../state/BenchWork';
import { TuneNeck } from './TuneNeck';
import { TuneStaff } from './TuneStaff';
import {
  altered,
  fifthsOf,
  held,
  LENGTHS,
  midiOf,
  nearest,
  noteBefore,
  put,
  retimed,
  spelled,
  stepped,
  within,
  type TuneNote,
} from '../../../shared/tune';
import { useTune } from './useTune';

const LENGTH_NAMES: [string, string][] = [
  ['1', 'whole'],
  ['2', 'half'],
  ['4', 'quarter'],
  ['8', 'eighth'],
  ['6', 'sixteenth'],
];
/** Shortest share of a beat in a rhythm that is tapped. */
const TAPPED = 0.5;

/** Where the tune of a song is written: by letters, by touch on the staff, or on a neck. */
export function TuneLane({
  source,
  arrangement,
  onClose,
}: {
  source: string;
  arrangement: Arrangement;
  onClose: () => void;
}) {
  const { decisions, dispatch } = useWork();
  const { bars, notes, edit, error, isStored } = useTune(source, (text) =>
    dispatch({ type: 'write', work: { source: text, decisions } }),
  );
  // What was decided about chords stays with them.
  const intro = useMutation({
    mutationFn: async () => {
      const { source: text } = await api.intro(source);
      const carried = await api.carry(source, text, decisions);
      return { source: text, decisions: carried.decisions };
    },
    onSuccess: (work) => dispatch({ type: 'write', work }),
  });
  const [at, setAt] = useState(0);
  const [digit, setDigit] = useState('4');
  const [dotted, setDotted] = useState(false);
  const [taps, setTaps] = useState<number[] | null>(null);
  const frame = useRef<HTMLElement>(null);
  const beats = (LENGTHS[digit] ?? 1) * (dotted ? 1.5 : 1);
  // The chart's own key: what the song is transposed by is not the tune's.
  const fifths = fifthsOf(arrangement.key) - 7 * (decisions.transpose % 12);
  const signature = ((fifths + 6 + 120) % 12) - 6;
  const last = bars[bars.length - 1];
  const end = last ? last.from + last.beats : 0;
  const chosen = noteBefore(notes, at);
  useEffect(() => {
    frame.current?.scrollIntoView({ block: 'nearest' });
    frame.current?.querySelector<SVGElement>('[data-testid=tune-staff]')?.focus({ preventScroll: true });
  }, []);
  const change = (how: (notes: TuneNote[]) => TuneNote[]) => edit((now) => within(how(now), end));
  const write = (pitch: string | null, from = at) => {
    if (from >= end) {
      return;
    }
    change((now) => put(now, from, beats, pitch));
    setAt(Math.min(end, from + beats));
    if (pitch !== null) {
      hear([{ midi: midiOf(pitch), at: 0, lasts: 1 }]);
    }
  };
  const tap = (now: number) => setTaps((before) => [...(before ?? []), now]);
  const finishTapping = () => {
    if (taps && taps.length > 1) {
      change((now) => retimed(now, at, taps, arrangement.tempo, TAPPED));
    }
    setTaps(null);
  };
  const onKey = (event: KeyboardEvent): boolean => {
    if (event.ctrlKey || event.metaKey || event.altKey) {
      return false;
    }
    const { key } = event;
    if (taps !== null) {
      if (key === ' ') {
        tap(event.timeStamp);
      } else {
        finishTapping();
      }
      return true;
    }
    if (/^[a-g]$/i.test(key)) {
      write(nearest(key, signature, lastBefore(notes, at)?.pitch));
    } else if (key in LENGTHS) {
      setDigit(key);
    } else if (key === '.') {
      setDotted(!dotted);
    } else if (key === 'r' || key === '0') {
      write(null);
    } else if (key === '_' && chosen) {
      change((now) => held(now, same(now, chosen), beats));
      setAt(Math.min(end, chosen.from + chosen.beats + beats));
    } else if ((key === '+' || key === '=' || key === '#' || key === '-') && chosen) {
      change((now) => altered(now, same(now, chosen), key === '-' ? -1 : 1));
    } else if ((key === 'ArrowUp' || key === 'ArrowDown') && chosen) {
      const by = (key === 'ArrowUp' ? 1 : -1) * (event.shiftKey ? 7 : 1);
      change((now) => stepped(now, same(now, chosen), by, signature));
    } else if (key === 'ArrowLeft') {
      setAt(chosen ? chosen.from : Math.max(0, at - beats));
    } else if (key === 'ArrowRight') {
      const next = notes.find((n) => n.from + n.beats > at + 1e-3 && n.from < at + beats - 1e-3);
      setAt(Math.min(end, next ? next.from + next.beats : at + beats));
    } else if (key === 'Home' || key === 'End') {
      setAt(key === 'Home' ? 0 : end);
    } else if (key === 'Backspace' && chosen) {
      change((now) => now.filter((n) => n.from !== chosen.from));
      setAt(chosen.from);
    } else if (key === 'Delete') {
      change((now) => put(now, at, beats, null));
    } else if (key === ' ') {
      play('tune');
    } else {
      return false;
    }
    return true;
  };
  const play = (what: Heard) => {
    const from = at >= end ? 0 : at;
    hearTune(what, bars, notes, from, 60 / arrangement.tempo);
  };
  const says = `Beat ${at + 1} of ${end}; ${chosen ? `after ${chosen.pitch}` : 'no note before it'}; next note ${beats} beats.`;
  return (
    <Box
      component="section"
      ref={frame}
      aria-label="The tune"
      sx={{ borderTop: 1, borderColor: 'divider', pt: 1 }}
    >
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1 }}>
        <Typography variant="h2">The tune</Typography>
        <ToggleButtonGroup
          exclusive
          size="small"
          value={digit}
          aria-label="Length of the next note"
          onChange={(_, value: string | null) => value !== null && setDigit(value)}
        >
          {LENGTH_NAMES.map(([value, name]) => (
            <ToggleButton key={value} value={value} sx={{ minHeight: 44, textTransform: 'none' }}>
              {name}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <Button
          aria-pressed={dotted}
          variant={dotted ? 'contained' : 'outlined'}
          onClick={() => setDotted(!dotted)}
        >
          dotted
        </Button>
        <Button onClick={() => write(null)}>Rest</Button>
        <Button
          disabled={!chosen}
          onClick={() => chosen && change((now) => altered(now, same(now, chosen), 1))}
        >
          ♯
        </Button>
        <Button
          disabled={!chosen}
          onClick={() => chosen && change((now) => altered(now, same(now, chosen), -1))}
        >
          ♭
        </Button>
        <Button
          disabled={!chosen}
          onClick={() => {
            if (chosen) {
              change((now) => now.filter((n) => n.from !== chosen.from));
              setAt(chosen.from);
            }
          }}
        >
          Take it away
        </Button>
        {(['tune', 'chords', 'both'] as const).map((what) => (
          <Button key={what} variant="outlined" onClick={() => play(what)}>
            Hear {what === 'tune' ? 'the tune' : what === 'chords' ? 'the chords' : 'both'}
          </Button>
        ))}
        <Button disabled={notes.length === 0 || !isStored || intro.isPending} onClick={() => intro.mutate()}>
          Intro of its last bars
        </Button>
        <Button onClick={onClose}>Close</Button>
        <Typography
          variant="body2"
          color="text.secondary"
          role="status"
          data-testid="tune-kept"
          data-kept={isStored}
        >
          {notes.length} notes{isStored ? '' : ', not in the chart yet'}
        </Typography>
      </Box>
      {error !== null && <Problem error={error} />}
      {intro.isError && <Problem error={intro.error} />}
      <TuneStaff
        bars={bars}
        notes={notes}
        fifths={signature}
        at={at}
        beats={beats}
        chosen={chosen}
        says={says}
        onKey={onKey}
        onPoint={(from, pitch) => write(pitch, from)}
        onChoose={(note) => {
          setAt(note.from + note.beats);
          hear([{ midi: midiOf(note.pitch), at: 0, lasts: 1 }]);
        }}
      />
      <TuneNeck
        tuning={arrangement.tuning}
        midi={chosen ? midiOf(chosen.pitch) : null}
        onNote={(midi) => write(spelled(midi, signature))}
      />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', mt: 0.5 }}>
        <Button
          variant={taps === null ? 'outlined' : 'contained'}
          disabled={taps === null && !notes.some((n) => n.from >= at - 1e-3)}
          onClick={(event) => (taps === null ? setTaps([]) : tap(event.timeStamp))}
        >
          {taps === null ? 'Tap its rhythm from here' : `Tap (${taps.length})`}
        </Button>
        {taps !== null && <Button onClick={finishTapping}>Done tapping</Button>}
        <Typography variant="body2" color="text.secondary">
          {taps === null
            ? 'Letters write notes, 1 2 4 8 6 their length, . dots, r rests, _ holds, + and − sharpen and flatten, arrows move, shift with an arrow by an octave.'
            : `Tap space as each note begins, at ${arrangement.tempo} beats a minute; any other key ends it.`}
        </Typography>
      </Box>
    </Box>
  );
}

/** The same note of a tune that may have been made anew. */
function same(notes: TuneNote[], note: TuneNote): TuneNote {
  return notes.find((n) => n.from === note.from) ?? note;
}

function lastBefore(notes: TuneNote[], at: number): TuneNote | undefined {
  return notes.filter((note) => note.from < at - 1e-3).at(-1);
}
