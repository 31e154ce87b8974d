import type { Grip } from '../api/client';
import { useLeftHanded } from './hand';

const STEP = 14;
const TOP = 18;
/** Room at the left for the number of the first fret, at the right for half a dot. */
const LEFT = 23;
const RIGHT = 9;

/** A chord frame: strings upright, frets across, dots with finger numbers. */
export function GripFrame({
  grip,
  size = 1,
}: {
  grip: Pick<Grip, 'shape' | 'frets' | 'fingers' | 'barres' | 'frame'>;
  size?: number;
}) {
  const { frame } = grip;
  const strings = grip.frets.length;
  const leftHanded = useLeftHanded();
  const stringX = (string: number) => STEP * (leftHanded ? strings - 1 - string : string);
  const width = STEP * (strings - 1);
  const height = STEP * 1.25 * frame.rows;
  const fretY = (fret: number) => TOP + STEP * 1.25 * (fret - frame.firstFret + 1);
  const stopY = (fret: number) => fretY(fret) - (STEP * 1.25) / 2;
  return (
    <svg
      role="img"
      aria-label={`${grip.shape}, fingers ${grip.fingers.map((f) => f ?? '-').join(' ')}`}
      width={(LEFT + width + RIGHT) * size}
      height={(TOP + height + 18) * size}
      viewBox={`${-LEFT} 0 ${LEFT + width + RIGHT} ${TOP + height + 18}`}
      fill="none"
      stroke="currentColor"
    >
      {Array.from({ length: frame.rows + 1 }, (_, row) => (
        <line
          key={row}
          x1={0}
          x2={width}
          y1={TOP + STEP * 1.25 * row}
          y2={TOP + STEP * 1.25 * row}
          strokeWidth={row === 0 && frame.firstFret === 1 ? 3 : 1}
        />
      ))}
      {Array.from({ length: strings }, (_, string) => (
        <line key={string} x1={STEP * string} x2={STEP * string} y1={TOP} y2={TOP + height} />
      ))}
      {frame.firstFret > 1 && (
        <text
          x={-9}
          y={stopY(frame.firstFret) + 4}
          fontSize={12}
          textAnchor="end"
          fill="currentColor"
          stroke="none"
        >
          {frame.firstFret}
        </text>
      )}
      {grip.frets.map((fret, string) =>
        fret === null || fret === 0 ? (
          <text
            key={string}
            x={stringX(string)}
            y={12}
            fontSize={12}
            textAnchor="middle"
            fill="currentColor"
            stroke="none"
          >
            {fret === 0 ? 'o' : '×'}
          </text>
        ) : null,
      )}
      {grip.barres.map((barre) => (
        <line
          key={barre.finger}
          x1={stringX(barre.from)}
          x2={stringX(barre.to)}
          y1={stopY(barre.fret)}
          y2={stopY(barre.fret)}
          strokeWidth={9}
          strokeLinecap="round"
        />
      ))}
      {grip.frets.map((fret, string) =>
        fret ? (
          <g key={string} fill="currentColor" stroke="none">
            <circle cx={stringX(string)} cy={stopY(fret)} r={5.5} />
            <text x={stringX(string)} y={TOP + height + 13} fontSize={11} textAnchor="middle">
              {grip.fingers[string]}
            </text>
          </g>
        ) : null,
      )}
    </svg>
  );
}
