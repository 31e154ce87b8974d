import './neck.css';
import { boardHeight, fretX, SHOWN, stopX, stringY, type Neck } from './neck';

const MARKS = [3, 5, 7, 9, 12, 15];

/** Board, frets and strings of a neck that lies along the page, with the figures of its frets. */
export function NeckBoard({ neck, capo }: { neck: Neck; capo: number }) {
  const foot = neck.top + neck.gap * (neck.strings - 1) + 10;
  return (
    <>
      <rect
        x={neck.nut}
        y={neck.top - 10}
        width={neck.width}
        height={foot - neck.top + 10}
        className="neck-board"
      />
      {MARKS.map((fret) => (
        <text
          key={fret}
          x={stopX(neck, fret)}
          y={boardHeight(neck) - 6}
          textAnchor="middle"
          className="neck-figure"
        >
          {fret}
        </text>
      ))}
      {Array.from({ length: SHOWN + 1 }, (_, fret) => (
        <line
          key={fret}
          x1={fretX(neck, fret)}
          x2={fretX(neck, fret)}
          y1={neck.top - 10}
          y2={foot}
          className={fret === 0 ? 'neck-nut' : 'neck-fret'}
        />
      ))}
      <text x={fretX(neck, 0)} y={boardHeight(neck) - 6} textAnchor="middle" className="neck-figure">
        {capo > 0 ? `capo ${capo}` : 'nut'}
      </text>
      {Array.from({ length: neck.strings }, (_, string) => (
        <line
          key={string}
          x1={neck.nut}
          x2={neck.nut + neck.width}
          y1={stringY(neck, string)}
          y2={stringY(neck, string)}
          className="neck-string"
          strokeWidth={1 + 0.35 * (neck.strings - 1 - string)}
        />
      ))}
    </>
  );
}
