import Box from '@mui/material/Box';
import { useLeftHanded } from '../../../shared/hand';
import { NeckBoard } from '../../../shared/NeckBoard';
import { boardHeight, fretX, SHOWN, stopX, stringY, type Neck } from '../../../shared/neck';
import { midiOf } from '../../../shared/tune';

const WIDTH = 760;
const NUT = 46;
const GAP = 24;
const TOP = 14;

/** A small neck: a place that is touched is the next note of the tune. */
export function TuneNeck({
  tuning,
  midi,
  onNote,
}: {
  /** Open strings, `E2 A2 D3 G3 B3 E4`. */
  tuning: string;
  /** The note that was written last, shown wherever it lies. */
  midi: number | null;
  onNote: (midi: number) => void;
}) {
  const leftHanded = useLeftHanded();
  const open = tuning.split(' ').map(midiOf);
  const neck: Neck = { strings: open.length, nut: NUT, width: WIDTH, top: TOP, gap: GAP, leftHanded };
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Box
        component="svg"
        role="group"
        aria-label="Neck for the tune"
        viewBox={`0 0 ${2 * NUT + WIDTH} ${boardHeight(neck)}`}
        sx={{ minWidth: 640, width: '100%', maxWidth: 900, display: 'block' }}
      >
        <NeckBoard neck={neck} capo={0} />
        {open.map((string, s) =>
          Array.from({ length: SHOWN + 1 }, (_, fret) => {
            const wide = fret === 0 ? 40 : Math.abs(fretX(neck, fret) - fretX(neck, fret - 1));
            return (
              <g key={`${s} ${fret}`}>
                {midi === string + fret && (
                  <circle cx={stopX(neck, fret)} cy={stringY(neck, s)} r={9} className="neck-dot" />
                )}
                <rect
                  x={stopX(neck, fret) - wide / 2}
                  y={stringY(neck, s) - GAP / 2}
                  width={wide}
                  height={GAP}
                  fill="transparent"
                  cursor="pointer"
                  data-tune-string={open.length - s}
                  data-tune-fret={fret}
                  onClick={() => onNote(string + fret)}
                />
              </g>
            );
          }),
        )}
      </Box>
    </Box>
  );
}
