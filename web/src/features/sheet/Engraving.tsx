import Box from '@mui/material/Box';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { useEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import type { EngravedRow as Row, Part, PreviewBody, SpokenWords } from '../../api/client';
import { useEngraving } from '../../api/usePart';
import { Problem } from '../../shared/Problem';
import { EngravedRow } from './EngravedRow';
import { Spoken } from './Spoken';

/** Pixels of a point: a space of the staff has about seven. */
const SCALE = 1.6;

/** How much larger large type is. */
const LARGE = 1.35;

const NARROWEST = 150;

/** Whether every note is written, or strums are slashes and a bar like the one before is a sign. */
export type Writing = 'out' | 'short';

/** A part as staff and tab, a row at a time, with the words that have no chords between them. */
export function Engraving({
  song,
  second,
  part,
  words,
  big,
  writing,
  sounding,
}: {
  song: PreviewBody;
  /** Whether it is the second guitar's. */
  second: boolean;
  part: Part;
  words: SpokenWords[];
  big: boolean;
  writing: Writing;
  /** Place that is heard now. */
  sounding: number | null;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const [pixels, setPixels] = useState<number | null>(null);
  useEffect(() => {
    const element = frame.current;
    if (!element) {
      return;
    }
    const observer = new ResizeObserver(() => setPixels(element.clientWidth));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const scale = SCALE * (big ? LARGE : 1);
  const width = pixels === null ? null : Math.max(NARROWEST, Math.floor(pixels / scale) - 2);
  const { engraved, busy, error } = useEngraving(song, second, writing === 'out', width);
  const bar = part.bars.find((b) => b.events.some((e) => e.place === sounding))?.number;
  const soundingBar = sounding === null ? undefined : bar;
  return (
    <Box ref={frame} role="img" aria-label="Staff and tab" aria-busy={busy}>
      {error && <Problem error={error} />}
      {!engraved && !error && <Skeleton variant="rounded" height={400} />}
      {engraved?.rows.map((row) => (
        <Box key={row.bar}>
          <Spoken words={words.filter((spoken) => spoken.bar === row.bar - 1)} big={big} />
          <OneRow
            row={row}
            width={engraved.width}
            scale={scale}
            sounding={soundingBar !== undefined && row.plays.includes(soundingBar)}
          />
        </Box>
      ))}
      {engraved && <Spoken words={words.filter((spoken) => spoken.bar >= part.bars.length)} big={big} />}
    </Box>
  );
}

/** A row that is drawn once it is near the screen. */
function OneRow({
  row,
  width,
  scale,
  sounding,
}: {
  row: Row;
  width: number;
  scale: number;
  sounding: boolean;
}) {
  const element = useRef<HTMLDivElement>(null);
  const [near, setNear] = useState(false);
  useEffect(() => {
    const observer = new IntersectionObserver(
      (entries) => entries.some((e) => e.isIntersecting) && setNear(true),
      { root: element.current?.closest('[data-scroller]') ?? null, rootMargin: '1200px' },
    );
    // The printer does not wait: what is to be printed is drawn before this returns.
    const all = () => flushSync(() => setNear(true));
    if (element.current) {
      observer.observe(element.current);
    }
    window.addEventListener('beforeprint', all);
    return () => {
      observer.disconnect();
      window.removeEventListener('beforeprint', all);
    };
  }, []);
  useEffect(() => {
    if (sounding) {
      element.current?.scrollIntoView({ block: 'nearest' });
    }
  }, [sounding]);
  return (
    <Box
      data-sounding={sounding || undefined}
      data-bar={row.bar}
      sx={{
        breakInside: 'avoid',
        ml: -1.5,
        pl: 1.5,
        boxShadow: sounding ? 'inset 4px 0 0 var(--mui-palette-draw-moves)' : 'none',
      }}
    >
      {row.heading && (
        <Typography variant="h2" sx={{ mt: 1 }}>
          {row.heading}
        </Typography>
      )}
      <Box ref={element} data-testid="system" sx={{ minHeight: near ? undefined : row.height * scale }}>
        {near && <EngravedRow row={row} width={width} scale={scale} />}
      </Box>
    </Box>
  );
}
