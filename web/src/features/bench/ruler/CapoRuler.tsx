import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import NativeSelect from '@mui/material/NativeSelect';
import Typography from '@mui/material/Typography';
import { memo } from 'react';
import type { Arrangement, Neck } from '../../../api/client';
import { useLeftHanded } from '../../../shared/hand';
import { RULER, fretX, mirroredSlot, slots, type Slot } from './capoRuler';

const HEIGHT = RULER.base + RULER.neck + 22;
const DOTS = [3, 5, 7, 9];

/** Highest fret a capo is offered at where nothing is compared. */
const HIGHEST = 9;

/** The neck to true scale with the effort of every capo position standing on its fret. */
export const CapoRuler = memo(function CapoRuler({
  neck,
  capo,
  decided,
  onCapo,
}: {
  neck: Neck;
  capo: Arrangement['capo'];
  /** Whether the player chose the fret, rather than the best. */
  decided: boolean;
  onCapo: (fret: number | null) => void;
}) {
  const columns = slots(neck, capo.candidates);
  const leftHanded = useLeftHanded();
  const last = Math.max(...columns.map((c) => c.capo));
  const best = capo.candidates.find((c) => c.capo === capo.leastEffort);
  // One position alone is no comparison.
  const isIdle = columns.length === 1 && capo.swept;
  return (
    <Box
      component="section"
      aria-label="Capo ruler"
      aria-busy={!capo.swept}
      sx={{ opacity: capo.swept ? 1 : 0.55, transition: 'opacity 120ms 200ms' }}
    >
      <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Typography variant="h3" component="h2">
          Capo ruler
        </Typography>
        <Typography variant="caption" color="text.secondary" data-testid="capo-words">
          {isIdle ? 'a capo changes nothing where no string sounds open; ' : ''}best{' '}
          {capo.leastEffort === 0 ? 'without a capo' : `at ${capo.leastEffort}`}:{' '}
          {best?.reasons.slice(0, 3).join(', ')}
        </Typography>
        {isIdle && (
          <NativeSelect
            value={capo.chosen}
            inputProps={{ 'aria-label': 'Capo' }}
            onChange={(event) => onCapo(Number(event.target.value))}
          >
            {Array.from({ length: HIGHEST + 1 }, (_, fret) => (
              <option key={fret} value={fret}>
                {fret === 0 ? 'none' : `capo ${fret}`}
              </option>
            ))}
          </NativeSelect>
        )}
        {decided && (
          <Button size="small" sx={{ minHeight: 0, py: 0 }} onClick={() => onCapo(null)}>
            Follow the best
          </Button>
        )}
      </Box>
      <Box sx={{ overflowX: 'auto', display: isIdle ? 'none' : 'block' }}>
        <Box sx={{ position: 'relative', minWidth: 560, maxWidth: RULER.width }}>
          <svg
            viewBox={`0 0 ${RULER.width} ${HEIGHT}`}
            width="100%"
            role="img"
            aria-label="Effort at every capo position"
          >
            <g transform={leftHanded ? `translate(${RULER.width} 0) scale(-1 1)` : undefined}>
              <RulerNeck neck={neck} last={last} />
              {columns.map((column) => (
                <Column key={column.capo} column={column} chosen={column.capo === capo.chosen} />
              ))}
              <CapoBar columns={columns} chosen={capo.chosen} />
            </g>
          </svg>
          {columns.map((column) => (
            <SlotButton
              key={column.capo}
              column={leftHanded ? mirroredSlot(column) : column}
              chosen={column.capo === capo.chosen}
              least={column.capo === capo.leastEffort}
              words={capo.candidates.find((c) => c.capo === column.capo)?.reasons.join(', ') ?? ''}
              onClick={() => onCapo(column.capo)}
            />
          ))}
        </Box>
      </Box>
    </Box>
  );
});

function RulerNeck({ neck, last }: { neck: Neck; last: number }) {
  const bottom = RULER.base + RULER.neck;
  const end = fretX(neck, last, last);
  return (
    <>
      <rect
        x={RULER.left}
        y={RULER.base}
        width={end - RULER.left}
        height={RULER.neck}
        fill="var(--mui-palette-draw-wood)"
      />
      <rect
        x={RULER.left - 4}
        y={RULER.base}
        width={4}
        height={RULER.neck}
        fill="var(--mui-palette-text-primary)"
      />
      {Array.from({ length: last }, (_, i) => (
        <line
          key={i}
          x1={fretX(neck, i + 1, last)}
          x2={fretX(neck, i + 1, last)}
          y1={RULER.base}
          y2={bottom}
          stroke="var(--mui-palette-text-secondary)"
          strokeWidth={1.5}
        />
      ))}
      {DOTS.filter((dot) => dot <= last).map((dot) => (
        <circle
          key={dot}
          cx={(fretX(neck, dot - 1, last) + fretX(neck, dot, last)) / 2}
          cy={RULER.base + RULER.neck / 2}
          r={3}
          fill="var(--mui-palette-draw-quiet)"
        />
      ))}
    </>
  );
}

function Column({ column, chosen }: { column: Slot; chosen: boolean }) {
  const width = column.capo === 0 ? 11 : 24;
  const top = RULER.base - column.height;
  return (
    <>
      <rect
        x={column.middle - width / 2}
        y={top}
        width={width}
        height={column.height}
        fill={chosen ? 'var(--mui-palette-draw-stays)' : 'var(--mui-palette-draw-quiet)'}
      />
      {Array.from({ length: column.ticks }, (_, tick) => (
        <line
          key={tick}
          x1={column.middle - width / 2}
          x2={column.middle + width / 2}
          y1={top - 4 - 4 * tick}
          y2={top - 4 - 4 * tick}
          stroke="var(--mui-palette-draw-misfit)"
          strokeWidth={2}
        />
      ))}
      <circle
        cx={column.middle}
        cy={top - 9 - 4 * column.ticks}
        r={3.5}
        fill={column.late ? 'var(--mui-palette-draw-misfit)' : 'none'}
        stroke={column.late ? 'var(--mui-palette-draw-misfit)' : 'var(--mui-palette-text-secondary)'}
        strokeWidth={1.5}
      />
    </>
  );
}

function CapoBar({ columns, chosen }: { columns: Slot[]; chosen: number }) {
  const slot = columns.find((c) => c.capo === chosen);
  if (!slot || chosen === 0) {
    return null;
  }
  const x = slot.to - Math.min(14, (slot.to - slot.from) * 0.25);
  return (
    <rect
      x={x}
      y={RULER.base - 3}
      width={8}
      height={RULER.neck + 6}
      rx={3}
      fill="var(--mui-palette-draw-stays)"
    />
  );
}

function SlotButton({
  column,
  chosen,
  least,
  words,
  onClick,
}: {
  column: Slot;
  chosen: boolean;
  least: boolean;
  words: string;
  onClick: () => void;
}) {
  return (
    <Box
      component="button"
      type="button"
      aria-pressed={chosen}
      aria-label={`Capo ${column.capo}${least ? ', best' : ''}: ${words}`}
      title={words}
      onClick={onClick}
      sx={{
        position: 'absolute',
        left: `${(100 * column.from) / RULER.width}%`,
        width: `${(100 * (column.to - column.from)) / RULER.width}%`,
        top: 0,
        bottom: 0,
        p: 0,
        border: 0,
        borderRadius: 1,
        bgcolor: 'transparent',
        cursor: 'pointer',
        color: chosen ? 'primary.main' : 'text.secondary',
        font: 'inherit',
        fontSize: '0.95rem',
        fontWeight: chosen ? 700 : 400,
        display: 'flex',
        alignItems: 'flex-end',
        justifyContent: 'center',
        textDecoration: least ? 'underline' : 'none',
        textUnderlineOffset: 3,
        '&:hover': { color: 'text.primary' },
      }}
    >
      {column.capo}
    </Box>
  );
}
