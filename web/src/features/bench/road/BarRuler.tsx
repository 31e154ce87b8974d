import Box from '@mui/material/Box';
import { useState } from 'react';
import type { Arrangement } from '../../../api/client';
import { barColumns, loopOf, type Loop } from '../../../shared/loop';
import { TOUCHED } from '../../../theme/theme';

/** How high the bars stand over the road. */
export const RULER = { height: 24, '@media (pointer: coarse)': { height: 46 } } as const;

/** The bars over the road; dragging along them sets a loop, a touch on a looped bar ends it. */
export function BarRuler({
  arrangement,
  column,
  first,
  last,
  loop,
  sounding,
  onLoop,
}: {
  arrangement: Arrangement;
  column: number;
  /** First and last placement in view. */
  first: number;
  last: number;
  loop: Loop | null;
  /** Bar that is heard now. */
  sounding: number | null;
  onLoop: (loop: Loop | null) => void;
}) {
  const [drag, setDrag] = useState<{ start: number; end: number } | null>(null);
  const shown = drag ? loopOf(drag.start, drag.end) : loop;
  const bars = barColumns(arrangement).filter((b) => b.first + b.count > first && b.first <= last);
  const end = () => {
    if (drag) {
      const next = loopOf(drag.start, drag.end);
      const again = loop !== null && drag.start === drag.end && next.from >= loop.from && next.to <= loop.to;
      onLoop(again ? null : next);
      setDrag(null);
    }
  };
  return (
    <Box
      role="group"
      aria-label="Bars; drag to loop"
      onPointerUp={end}
      onPointerLeave={end}
      sx={{ position: 'relative', touchAction: 'pan-y', userSelect: 'none', ...RULER }}
    >
      {bars.map(({ bar, first: from, count }) => {
        const looped = shown !== null && bar >= shown.from && bar <= shown.to;
        return (
          <Box
            key={bar}
            component="button"
            type="button"
            aria-pressed={looped}
            aria-label={`Loop bar ${bar}`}
            data-bar={bar}
            data-sounding={bar === sounding || undefined}
            onPointerDown={(event) => {
              event.currentTarget.releasePointerCapture(event.pointerId);
              setDrag({ start: bar, end: bar });
            }}
            onPointerEnter={() => drag && setDrag({ ...drag, end: bar })}
            onKeyDown={(event) => {
              if (event.key === 'Enter' || event.key === ' ') {
                event.preventDefault();
                onLoop(looped && loop?.from === loop?.to ? null : { from: bar, to: bar });
              }
            }}
            sx={{
              position: 'absolute',
              left: from * column,
              width: count * column - 2,
              top: 2,
              height: 20,
              p: 0,
              pl: 0.5,
              border: 0,
              textAlign: 'left',
              borderRadius: '3px',
              font: 'inherit',
              fontSize: '0.78rem',
              lineHeight: '20px',
              cursor: 'pointer',
              boxShadow: bar === sounding ? 'inset 0 -4px 0 var(--mui-palette-draw-moves)' : 'none',
              bgcolor: looped ? 'primary.main' : 'draw.panel',
              color: looped ? 'primary.contrastText' : 'text.secondary',
              ...TOUCHED,
            }}
          >
            {bar}
          </Box>
        );
      })}
    </Box>
  );
}
