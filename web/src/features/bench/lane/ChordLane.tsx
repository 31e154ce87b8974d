import Box from '@mui/material/Box';
import visuallyHidden from '@mui/utils/visuallyHidden';
import { memo, useEffect, useRef } from 'react';
import type { Placement } from '../../../api/client';

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
  onSelect: (index: number | null) => void;
}) {
  const lane = useRef<HTMLDivElement>(null);
  // The choice moves with the arrow keys: the focus goes with it where it was on a chord.
  useEffect(() => {
    if (selected !== null && lane.current?.contains(document.activeElement)) {
      lane.current.querySelector<HTMLElement>(`[data-index="${selected}"]`)?.focus({ preventScroll: true });
    }
  }, [selected]);
  const chosen = selected === null ? undefined : placements[selected];
  return (
    <Box ref={lane} role="group" aria-label="Chords" sx={{ position: 'relative', height: 148 }}>
      <Box role="status" sx={visuallyHidden}>
        {chosen && `Chosen: ${label(chosen)}`}
      </Box>
      {placements.map((placement) => (
        <Chord
          key={placement.index}
          index={placement.index}
          label={label(placement)}
          sounds={capo > 0 && placement.chord !== placement.played ? placement.chord : null}
          stoodFor={placement.reading.id === 'original' ? null : placement.reading.original}
          name={placement.played}
          locked={placement.locked}
          degree={degree(placement)}
          top={placement.top?.note ?? null}
          lyric={placement.lyric}
          beats={Math.max(1, Math.round(placement.beats))}
          strong={placement.beat === 1}
          column={column}
          selected={placement.index === selected}
          reached={placement.index === (selected ?? 0)}
          onSelect={onSelect}
        />
      ))}
    </Box>
  );
}

/** One chord. It knows nothing of the arrangement but what it shows: most dials leave it as it was. */
const Chord = memo(function Chord({
  index,
  label,
  sounds,
  stoodFor,
  name,
  locked,
  degree,
  top,
  lyric,
  beats,
  strong,
  column,
  selected,
  reached,
  onSelect,
}: {
  index: number;
  label: string;
  /** What it sounds as, where the capo makes that another chord. */
  sounds: string | null;
  /** The chart's chord that it stands for. */
  stoodFor: string | null;
  name: string | null;
  locked: boolean;
  degree: string;
  /** Note of the tune on top of it. */
  top: string | null;
  lyric: string;
  beats: number;
  /** Whether it begins on the first beat of a bar. */
  strong: boolean;
  column: number;
  selected: boolean;
  /** Whether Tab stops here: at one chord of the lane, from which the arrow keys go on. */
  reached: boolean;
  onSelect: (index: number | null) => void;
}) {
  return (
    <Box
      component="button"
      type="button"
      data-index={index}
      tabIndex={reached ? 0 : -1}
      aria-pressed={selected}
      aria-label={label}
      onClick={() => onSelect(selected ? null : index)}
      sx={{
        position: 'absolute',
        left: index * column,
        width: column,
        top: 0,
        bottom: 0,
        p: 0.25,
        border: 0,
        borderRadius: 1,
        bgcolor: 'transparent',
        color: selected ? 'primary.main' : 'text.primary',
        font: 'inherit',
        cursor: 'pointer',
        textAlign: 'center',
        display: 'flex',
        flexDirection: 'column',
        alignItems: 'center',
      }}
    >
      <Box sx={{ fontSize: '0.78rem', color: 'text.secondary', lineHeight: 1.2, minHeight: '0.95rem' }}>
        {sounds !== null && `sounds ${sounds} `}
        {stoodFor !== null && (
          <>
            for <s>{stoodFor}</s>
          </>
        )}
      </Box>
      <Box
        data-testid="chord-name"
        sx={{ fontSize: chordSize(name, column), fontWeight: 700, lineHeight: 1.25, whiteSpace: 'nowrap' }}
      >
        {name ?? 'N.C.'}
        {locked && <LockMark />}
      </Box>
      <Box sx={{ fontSize: '0.85rem', color: 'text.secondary', lineHeight: 1.3, whiteSpace: 'nowrap' }}>
        {degree}
        {top !== null && (
          <Box component="span" sx={{ color: 'text.primary' }} data-testid="top-note">
            {degree === '' ? '' : ' · '}
            <TopMark />
            {top}
          </Box>
        )}
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
        {lyric}
      </Box>
      <Beats beats={beats} strong={strong} />
    </Box>
  );
});

function degree(placement: Placement): string {
  const numeral = placement.reading.id === 'original' ? placement.function?.numeral : undefined;
  return numeral ?? placement.degree ?? '';
}

/** Long names shrink to their column. */
function chordSize(name: string | null, column: number): string {
  const length = Math.max(4, (name ?? '').length);
  return `${Math.min(1.45, column / (length * 11))}rem`;
}

function label(placement: Placement): string {
  const shape = placement.grip ? `, shape ${placement.grip.shape}` : '';
  const seen = [degree(placement), placement.lyric]
    .filter((text) => text !== '')
    .map((text) => `, ${text}`)
    .join('');
  const tune = placement.top ? `, ${placement.top.note} of the tune on top` : '';
  const instead = placement.reading.id === 'original' ? '' : `, for ${placement.reading.original}`;
  return `Bar ${placement.bar}, ${placement.played ?? 'no chord'}${shape}${instead}${placement.locked ? ', locked' : ''}${tune}${seen}`;
}

/** A note head with its stem up: the tune. */
function TopMark() {
  return (
    <svg width="9" height="13" viewBox="0 0 9 13" aria-hidden style={{ marginRight: 3 }}>
      <ellipse cx="3.4" cy="10.4" rx="3.2" ry="2.4" fill="currentColor" />
      <path d="M6.2 10.4V0.8" stroke="currentColor" strokeWidth="1.3" />
    </svg>
  );
}

function LockMark() {
  return (
    <svg width="11" height="13" viewBox="0 0 11 13" aria-hidden style={{ marginLeft: 3 }}>
      <path d="M2.5 6V4a3 3 0 0 1 6 0v2" fill="none" stroke="currentColor" strokeWidth="1.6" />
      <rect x="1" y="6" width="9" height="6.4" rx="1.2" fill="currentColor" />
    </svg>
  );
}

function Beats({ beats, strong }: { beats: number; strong: boolean }) {
  return (
    <Box sx={{ display: 'flex', gap: '3px', width: '92%', mt: 'auto', mb: 0.5 }} aria-hidden>
      {Array.from({ length: beats }, (_, beat) => (
        <Box
          key={beat}
          sx={{
            flex: 1,
            height: 6,
            borderRadius: 1,
            bgcolor: beat === 0 && strong ? 'text.secondary' : 'divider',
          }}
        />
      ))}
    </Box>
  );
}
