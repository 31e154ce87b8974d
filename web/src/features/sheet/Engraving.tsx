import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import type { Part } from '../../api/client';
import { heading, rowHeight, systems, type System, type Writing } from './systems';

/** How much larger large type is. */
const LARGE = 1.35;

type Engraver = typeof import('./engrave');

/** A part as staff and tab, a row at a time; the engraver is fetched when it is first wanted. */
export function Engraving({
  part,
  big,
  writing,
  sounding,
}: {
  part: Part;
  big: boolean;
  writing: Writing;
  /** Place that is heard now. */
  sounding: number | null;
}) {
  const [engraver, setEngraver] = useState<Engraver | null>(null);
  const [failed, setFailed] = useState(false);
  const [width, setWidth] = useState(760);
  const frame = useRef<HTMLDivElement>(null);
  useEffect(() => {
    import('./engrave').then(setEngraver, () => setFailed(true));
  }, []);
  useEffect(() => {
    const element = frame.current;
    if (!element) {
      return;
    }
    const observer = new ResizeObserver(() => setWidth(Math.max(300, element.clientWidth - 6)));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const scale = big ? LARGE : 1;
  const rows = useMemo(() => systems(part.bars, width / scale, writing), [part, width, scale, writing]);
  return (
    <Box ref={frame} role="img" aria-label="Staff and tab">
      {failed && <Alert severity="error">Notation could not be drawn. Load this page again.</Alert>}
      {!engraver && !failed && <Skeleton variant="rounded" height={400} />}
      {engraver &&
        rows.map((system, i) => (
          <Row
            key={i}
            engraver={engraver}
            system={system}
            part={part}
            scale={scale}
            writing={writing}
            sounding={
              sounding !== null && system.bars.some(({ bar }) => bar.events.some((e) => e.place === sounding))
            }
          />
        ))}
    </Box>
  );
}

function Row({
  engraver,
  system,
  part,
  scale,
  writing,
  sounding,
}: {
  engraver: Engraver;
  system: System;
  part: Part;
  scale: number;
  writing: Writing;
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
  useLayoutEffect(() => {
    if (element.current && near) {
      engraver.engrave(element.current, system, part, scale, writing);
    }
  }, [engraver, system, part, scale, writing, near]);
  useEffect(() => {
    if (sounding) {
      element.current?.scrollIntoView({ block: 'nearest' });
    }
  }, [sounding]);
  return (
    <Box
      data-sounding={sounding || undefined}
      data-bar={system.bars[0]?.bar.number}
      sx={{
        breakInside: 'avoid',
        ml: -1.5,
        pl: 1.5,
        boxShadow: sounding ? 'inset 4px 0 0 var(--mui-palette-draw-moves)' : 'none',
      }}
    >
      {heading(system) !== '' && (
        <Typography variant="h2" sx={{ mt: 1 }}>
          {heading(system)}
        </Typography>
      )}
      <Box
        ref={element}
        data-testid="system"
        sx={(theme) => ({
          minHeight: rowHeight(system) * scale,
          // Drawn as black on white; by night the same the other way round.
          ...theme.applyStyles('dark', { filter: 'invert(0.93)', '@media print': { filter: 'none' } }),
        })}
      />
    </Box>
  );
}
