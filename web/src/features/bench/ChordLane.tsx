import Box from '@mui/material/Box';
import type { Placement } from '../../api/client';

/** The chords under the road: shape's name, sounding chord, degree, words, beats. */
export function ChordLane({
  placements,
  column,
  capo,
  selected,
  onSelect,
}: {
  placements: Placement[];
  column: number;
  capo: number;
  selected: number | null;
  onSelect: (index: number) => void;
}) {
  return (
    <Box sx={{ position: 'relative', height: 148 }}>
      {placements.map((placement) => (
        <Box
          key={placement.index}
          component="button"
          type="button"
          aria-pressed={placement.index === selected}
          aria-label={label(placement)}
          onClick={() => onSelect(placement.index)}
          sx={{
            position: 'absolute',
            left: placement.index * column,
            width: column,
            top: 0,
            bottom: 0,
            p: 0.25,
            border: 0,
            borderRadius: 1,
            bgcolor: 'transparent',
            color: placement.index === selected ? 'primary.main' : 'text.primary',
            font: 'inherit',
            cursor: 'pointer',
            textAlign: 'center',
            display: 'flex',
            flexDirection: 'column',
            alignItems: 'center',
          }}
        >
          <Box sx={{ fontSize: '0.78rem', color: 'text.secondary', lineHeight: 1.2, minHeight: '0.95rem' }}>
            {capo > 0 && placement.chord !== placement.played && `sounds ${placement.chord ?? ''} `}
            {placement.reading.id !== 'original' && (
              <>
                for <s>{placement.reading.original}</s>
              </>
            )}
          </Box>
          <Box
            data-testid="chord-name"
            sx={{
              fontSize: chordSize(placement.played, column),
              fontWeight: 700,
              lineHeight: 1.25,
              whiteSpace: 'nowrap',
            }}
          >
            {placement.played ?? 'N.C.'}
            {placement.locked && <LockMark />}
          </Box>
          <Box sx={{ fontSize: '0.85rem', color: 'text.secondary', lineHeight: 1.3 }}>
            {placement.reading.id === 'original'
              ? (placement.function?.numeral ?? placement.degree ?? '')
              : (placement.degree ?? '')}
          </Box>
          <Box
            sx={{
              fontSize: '0.92rem',
              lineHeight: 1.2,
              mt: 0.25,
              overflow: 'hidden',
              display: '-webkit-box',
              WebkitLineClamp: 2,
              WebkitBoxOrient: 'vertical',
              minHeight: '2.4em',
            }}
          >
            {placement.lyric}
          </Box>
          <Beats placement={placement} />
        </Box>
      ))}
    </Box>
  );
}

/** Long names shrink to their column. */
function chordSize(name: string | null, column: number): string {
  const length = Math.max(4, (name ?? '').length);
  return `${Math.min(1.45, column / (length * 11))}rem`;
}

function label(placement: Placement): string {
  const shape = placement.grip ? `, shape ${placement.grip.shape}` : '';
  const instead = placement.reading.id === 'original' ? '' : `, for ${placement.reading.original}`;
  return `Bar ${placement.bar}, ${placement.played ?? 'no chord'}${shape}${instead}${placement.locked ? ', locked' : ''}`;
}

function LockMark() {
  return (
    <svg width="11" height="13" viewBox="0 0 11 13" aria-hidden style={{ marginLeft: 3 }}>
      <path d="M2.5 6V4a3 3 0 0 1 6 0v2" fill="none" stroke="currentColor" strokeWidth="1.6" />
      <rect x="1" y="6" width="9" height="6.4" rx="1.2" fill="currentColor" />
    </svg>
  );
}

function Beats({ placement }: { placement: Placement }) {
  const whole = Math.max(1, Math.round(placement.beats));
  return (
    <Box sx={{ display: 'flex', gap: '3px', width: '92%', mt: 'auto', mb: 0.5 }} aria-hidden>
      {Array.from({ length: whole }, (_, beat) => (
        <Box
          key={beat}
          sx={{
            flex: 1,
            height: 6,
            borderRadius: 1,
            bgcolor: beat === 0 && placement.beat === 1 ? 'text.secondary' : 'divider',
          }}
        />
      ))}
    </Box>
  );
}
