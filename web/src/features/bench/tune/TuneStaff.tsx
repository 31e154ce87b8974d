import './tune.css';
import Box from '@mui/material/Box';
import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Tune } from '../../../api/client';
import { atStep, inKey, stepOf, type TuneNote } from '../../../shared/tune';

/** Width of a beat, and height of a step of the staff. */
const BEAT = 46;
const STEP = 6;
const LEFT = 46;
/** The lowest line of a treble staff. */
const LOWEST_LINE = stepOf('E4');
const HIGHEST_LINE = stepOf('F5');
/** Steps that are drawn: six lines more at each side. */
const LOWEST = LOWEST_LINE - 10;
const HIGHEST = HIGHEST_LINE + 10;
const TOP = 40;
const HEIGHT = TOP + (HIGHEST - LOWEST) * STEP + 14;
const SIGNS: Record<number, string> = { [-1]: '♭', 0: '♮', 1: '♯' };

const yOf = (step: number) => TOP + (HIGHEST - step) * STEP;
const xOf = (beat: number) => LEFT + beat * BEAT;

function signOf(pitch: string, fifths: number): string {
  const alteration = pitch.includes('#') ? 1 : pitch.slice(1).includes('b') ? -1 : 0;
  const plain = inKey('CDEFGAB'.indexOf(pitch.charAt(0)), fifths);
  return alteration === plain ? '' : (SIGNS[alteration] ?? '');
}

/** The tune on a staff, each note with a line as long as it sounds, its chords above, and the place that is written at. */
export function TuneStaff({
  bars,
  notes,
  fifths,
  at,
  beats,
  chosen,
  says,
  onKey,
  onPoint,
  onChoose,
}: {
  bars: Tune['bars'];
  notes: TuneNote[];
  fifths: number;
  /** Where the next note comes, and how long it is. */
  at: number;
  beats: number;
  chosen: TuneNote | undefined;
  /** The place in words. */
  says: string;
  /** True when the key was meant for the tune. */
  onKey: (event: KeyboardEvent) => boolean;
  /** A place of the staff was touched where no note is. */
  onPoint: (beat: number, pitch: string) => void;
  onChoose: (note: TuneNote) => void;
}) {
  const box = useRef<HTMLDivElement>(null);
  const [focused, setFocused] = useState(false);
  const last = bars[bars.length - 1];
  const end = last ? last.from + last.beats : 0;
  const width = xOf(end) + 20;
  useEffect(() => {
    const room = box.current;
    if (room) {
      const x = xOf(at);
      if (x < room.scrollLeft + LEFT || x > room.scrollLeft + room.clientWidth - 2 * BEAT) {
        room.scrollTo({ left: x - room.clientWidth / 3 });
      }
    }
  }, [at]);
  const point = (event: PointerEvent<SVGSVGElement>) => {
    const frame = event.currentTarget.getBoundingClientRect();
    const beat = (event.clientX - frame.left - LEFT) / BEAT;
    const step = Math.round(HIGHEST - (event.clientY - frame.top - TOP) / STEP);
    if (beat < 0 || beat >= end) {
      return;
    }
    const grid = Math.min(1, beats);
    const from = Math.floor(beat / grid + 1e-6) * grid;
    const there = notes.find(
      (n) =>
        n.from <= beat + 0.1 &&
        beat < n.from + Math.max(n.beats, 0.3) &&
        Math.abs(stepOf(n.pitch) - step) <= 1,
    );
    if (there) {
      onChoose(there);
    } else {
      onPoint(from, atStep(Math.max(LOWEST, Math.min(HIGHEST, step)), fifths));
    }
  };
  return (
    <Box ref={box} sx={{ overflowX: 'auto' }}>
      <svg
        role="application"
        tabIndex={0}
        aria-label={`Tune. Letters write notes, digits 1 2 4 8 6 choose their length, a point dots it, r is a rest, underscore holds, plus and minus sharpen and flatten, arrows move. ${says}`}
        data-testid="tune-staff"
        className="tune"
        width={width}
        height={HEIGHT}
        onKeyDown={(event) => {
          if (onKey(event)) {
            event.preventDefault();
            event.stopPropagation();
          }
        }}
        onPointerUp={point}
        onFocus={() => setFocused(true)}
        onBlur={() => setFocused(false)}
      >
        {[0, 2, 4, 6, 8].map((line) => (
          <line
            key={line}
            className="tune-line"
            x1={LEFT - 12}
            x2={xOf(end)}
            y1={yOf(LOWEST_LINE + line)}
            y2={yOf(LOWEST_LINE + line)}
          />
        ))}
        {bars.map((bar, i) => (
          <g key={bar.from}>
            <line
              className="tune-bar"
              x1={xOf(bar.from) - 8}
              x2={xOf(bar.from) - 8}
              y1={yOf(HIGHEST_LINE)}
              y2={yOf(LOWEST_LINE)}
            />
            <text x={xOf(bar.from) - 6} y={11} className="tune-number">
              {i + 1}
            </text>
            {bar.chords.map((chord) => (
              <text key={chord.from} x={xOf(bar.from + chord.from)} y={28} className="tune-chord">
                {chord.chord}
              </text>
            ))}
          </g>
        ))}
        <rect
          x={xOf(at) - 6}
          y={TOP - 6}
          width={Math.max(8, Math.min(beats, end - at) * BEAT)}
          height={HEIGHT - TOP}
          className={focused ? 'tune-place' : 'tune-place tune-unfocused'}
        />
        {notes.map((note) => (
          <Head key={note.from} note={note} fifths={fifths} isChosen={note === chosen} />
        ))}
      </svg>
    </Box>
  );
}

function Head({ note, fifths, isChosen }: { note: TuneNote; fifths: number; isChosen: boolean }) {
  const step = stepOf(note.pitch);
  const x = xOf(note.from);
  const y = yOf(step);
  const ledgers: number[] = [];
  for (let line = LOWEST_LINE - 2; line >= step; line -= 2) {
    ledgers.push(line);
  }
  for (let line = HIGHEST_LINE + 2; line <= step; line += 2) {
    ledgers.push(line);
  }
  return (
    <g
      className={isChosen ? 'tune-note tune-chosen' : 'tune-note'}
      data-testid="tune-note"
      data-pitch={note.pitch}
      data-from={note.from}
      data-beats={note.beats}
    >
      {ledgers.map((line) => (
        <line key={line} className="tune-line" x1={x - 9} x2={x + 9} y1={yOf(line)} y2={yOf(line)} />
      ))}
      <line className="tune-lasts" x1={x} x2={x + Math.max(6, note.beats * BEAT - 9)} y1={y} y2={y} />
      <ellipse cx={x} cy={y} rx={6.4} ry={4.8} transform={`rotate(-18 ${x} ${y})`} />
      <text x={x - 15} y={y + 5} className="tune-sign">
        {signOf(note.pitch, fifths)}
      </text>
    </g>
  );
}
