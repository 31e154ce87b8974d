import './shapes.css';
import Box from '@mui/material/Box';
import { useRef, useState, type KeyboardEvent } from 'react';
import { useLeftHanded } from '../../shared/hand';
import { NeckBoard } from '../../shared/NeckBoard';
import {
  boardHeight,
  fretX,
  SHOWN,
  stopX,
  stringY,
  touched,
  typed,
  type Frets,
  type Neck,
} from '../../shared/neck';

const WIDTH = 960;
const NUT = 62;
const GAP = 30;
const TOP = 18;
/** A second digit belongs to the first for so many milliseconds. */
const TYPING_MS = 900;

/** A neck to put fingers on: by touch, mouse or keys. */
export function DeskNeck({
  frets,
  names,
  labels,
  capo,
  onChange,
  onSound,
}: {
  frets: Frets;
  /** Open strings, the lowest first. */
  names: string[];
  /** What stands on the dots, by string; blank for nothing. */
  labels: string[];
  capo: number;
  onChange: (frets: Frets) => void;
  /** A string at a fret is heard. */
  onSound: (string: number, fret: number) => void;
}) {
  const leftHanded = useLeftHanded();
  const [at, setAt] = useState({ string: 0, fret: 0 });
  const [focused, setFocused] = useState(false);
  const typedAt = useRef(0);
  const neck: Neck = { strings: frets.length, nut: NUT, width: WIDTH, top: TOP, gap: GAP, leftHanded };
  const put = (string: number, next: Frets) => {
    onChange(next);
    const fret = next[string];
    if (fret !== null && fret !== undefined) {
      onSound(string, fret);
    }
  };
  const press = (event: KeyboardEvent) => {
    const move = (string: number, fret: number) =>
      setAt({
        string: Math.min(frets.length - 1, Math.max(0, string)),
        fret: Math.min(SHOWN, Math.max(0, fret)),
      });
    const along = leftHanded ? -1 : 1;
    const key = event.key;
    if (event.ctrlKey || event.metaKey || event.altKey) {
      return;
    }
    if (key === 'ArrowUp' || key === 'ArrowDown') {
      move(at.string + (key === 'ArrowUp' ? 1 : -1), at.fret);
    } else if (key === 'ArrowLeft' || key === 'ArrowRight') {
      move(at.string, at.fret + (key === 'ArrowRight' ? along : -along));
    } else if (key === 'Enter' || key === ' ') {
      put(at.string, touched(frets, at.string, at.fret));
    } else if (key === 'x' || key === 'o' || /^\d$/.test(key)) {
      const now = performance.now();
      const fret =
        key === 'x'
          ? null
          : key === 'o'
            ? 0
            : typed(frets[at.string] ?? null, Number(key), now - typedAt.current < TYPING_MS);
      typedAt.current = now;
      put(
        at.string,
        frets.map((f, s) => (s === at.string ? fret : f)),
      );
      setAt({ string: at.string, fret: fret ?? 0 });
    } else {
      return;
    }
    event.preventDefault();
    event.stopPropagation();
  };
  const string = frets[at.string];
  const says = `String ${frets.length - at.string}, ${names[at.string] ?? ''}, ${
    string === null || string === undefined ? 'silent' : string === 0 ? 'open' : `fret ${string}`
  }; at fret ${at.fret}`;
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Box
        component="svg"
        role="application"
        tabIndex={0}
        aria-label={`Neck. Arrows move, Enter puts a finger down or lifts it, digits type a fret, o is open, x is silent. ${says}`}
        data-testid="desk-neck"
        onKeyDown={press}
        onFocus={() => setFocused(true)}
        onBlur={() => setFocused(false)}
        viewBox={`0 0 ${2 * NUT + WIDTH} ${boardHeight(neck)}`}
        sx={{ minWidth: 720, width: '100%', maxWidth: 1180, display: 'block', color: 'text.primary' }}
      >
        <NeckBoard neck={neck} capo={capo} />
        {frets.map((_, s) =>
          Array.from({ length: SHOWN + 1 }, (__, fret) => (
            <rect
              key={`${s} ${fret}`}
              data-string={frets.length - s}
              data-fret={fret}
              x={
                stopX(neck, fret) -
                (fret === 0 ? 22 : Math.abs(fretX(neck, fret) - fretX(neck, fret - 1)) / 2)
              }
              y={stringY(neck, s) - GAP / 2}
              width={fret === 0 ? 44 : Math.abs(fretX(neck, fret) - fretX(neck, fret - 1))}
              height={GAP}
              className="desk-touch"
              onClick={() => {
                setAt({ string: s, fret });
                put(s, touched(frets, s, fret));
              }}
            />
          )),
        )}
        {frets.map((fret, s) => (
          <g key={s} pointerEvents="none">
            {fret === null ? (
              <text x={stopX(neck, 0)} y={stringY(neck, s) + 5} textAnchor="middle" className="neck-mark">
                ×
              </text>
            ) : (
              <>
                <circle
                  cx={stopX(neck, fret)}
                  cy={stringY(neck, s)}
                  r={13}
                  className={fret === 0 ? 'neck-open' : 'neck-dot'}
                />
                <text
                  x={stopX(neck, fret)}
                  y={stringY(neck, s) + 4.5}
                  textAnchor="middle"
                  className={fret === 0 ? 'neck-mark' : 'neck-on-dot'}
                >
                  {labels[s]}
                </text>
              </>
            )}
          </g>
        ))}
        {focused && (
          <circle
            cx={stopX(neck, at.fret)}
            cy={stringY(neck, at.string)}
            r={17}
            className="desk-cursor"
            pointerEvents="none"
          />
        )}
      </Box>
    </Box>
  );
}
