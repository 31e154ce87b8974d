import './neckmap.css';
import Box from '@mui/material/Box';
import type { NeckMap } from '../../api/client';
import { useLeftHanded } from '../../shared/hand';
import { NeckBoard } from '../../shared/NeckBoard';
import { boardHeight, SHOWN, stopX, stringY, type Neck } from '../../shared/neck';

const WIDTH = 960;
const NUT = 62;
const GAP = 32;
const TOP = 20;

/** The whole neck with the notes asked for; those of the hand's place large, with their fingers. */
export function MapNeck({
  map,
  capo,
  labels,
  onSound,
}: {
  map: NeckMap;
  capo: number;
  labels: 'degrees' | 'notes';
  /** A place is touched. */
  onSound: (string: number, fret: number) => void;
}) {
  const leftHanded = useLeftHanded();
  const strings = map.strings.length;
  const neck: Neck = { strings, nut: NUT, width: WIDTH, top: TOP, gap: GAP, leftHanded };
  const fingers = new Map(map.line.map((stop) => [`${stop.string} ${stop.fret}`, stop.finger]));
  const y = (number: number) => stringY(neck, strings - number);
  const words = `${map.name} on the neck: ${map.tones.map((t) => `${t.degree} ${t.note}`).join(', ')}`;
  return (
    <Box tabIndex={0} role="group" aria-label="Neck, from left to right" sx={{ overflowX: 'auto' }}>
      <Box
        component="svg"
        role="img"
        aria-label={words}
        data-testid="map-neck"
        viewBox={`0 0 ${2 * NUT + WIDTH} ${boardHeight(neck)}`}
        sx={{ minWidth: 720, width: '100%', maxWidth: 1180, display: 'block' }}
      >
        <NeckBoard neck={neck} capo={capo} />
        {map.dots
          .filter((dot) => dot.fret <= SHOWN)
          .map((dot) => {
            const finger = fingers.get(`${dot.string} ${dot.fret}`);
            const isAside = map.line.length > 0 && finger === undefined;
            const x = stopX(neck, dot.fret);
            return (
              <g
                key={`${dot.string} ${dot.fret}`}
                className={isAside ? 'map-aside' : undefined}
                data-string={dot.string}
                data-fret={dot.fret}
                data-root={dot.root}
                onClick={() => onSound(dot.string, dot.fret)}
              >
                <circle
                  cx={x}
                  cy={y(dot.string)}
                  r={isAside ? 10 : 13}
                  className={dot.root ? 'map-root' : 'neck-open'}
                />
                <text
                  x={x}
                  y={y(dot.string) + 4.5}
                  textAnchor="middle"
                  className={dot.root ? 'map-on-root' : 'neck-mark'}
                >
                  {labels === 'notes' ? dot.note : dot.degree}
                </text>
                {finger !== undefined && finger > 0 && (
                  <text x={x + 16} y={y(dot.string) - 6} textAnchor="middle" className="map-finger">
                    {finger}
                  </text>
                )}
              </g>
            );
          })}
      </Box>
    </Box>
  );
}
