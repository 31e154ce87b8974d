import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useEffect, useState, type MouseEvent, type ReactNode, type RefObject } from 'react';
import { useKey } from '../../shared/useKey';
import type { PedalAct } from './pedals';

/** A third of the screen at the left turns back, the rest turns on. */
const BACK_SHARE = 1 / 3;

/** The sheet over the whole screen, without controls: it turns by tap, key and pedal, and says what it does in one line. */
export function Stage({
  page,
  state,
  onAct,
  onPlay,
  onEnd,
  children,
}: {
  /** What scrolls. */
  page: RefObject<HTMLDivElement | null>;
  /** What plays and what loops, in words. */
  state: string;
  onAct: (act: PedalAct) => void;
  onPlay: () => void;
  onEnd: () => void;
  children: ReactNode;
}) {
  useKey('stageOn', () => onAct('forward'));
  useKey('stageBack', () => onAct('back'));
  useKey('stageLoop', () => onAct('loop'));
  useKey('stagePlay', onPlay);
  useKey('stageEnd', onEnd);
  const at = usePage(page);
  useEffect(() => page.current?.focus(), [page]);
  const turn = (event: MouseEvent) => {
    const { left, width } = event.currentTarget.getBoundingClientRect();
    onAct(event.clientX - left < width * BACK_SHARE ? 'back' : 'forward');
  };
  return (
    <Box
      data-testid="stage"
      sx={{
        position: 'fixed',
        inset: 0,
        zIndex: 'modal',
        bgcolor: 'background.default',
        display: 'flex',
        flexDirection: 'column',
      }}
    >
      <Box
        ref={page}
        data-scroller
        tabIndex={-1}
        onClick={turn}
        sx={{ flex: 1, minHeight: 0, overflow: 'auto', px: { xs: 2, md: 5 }, pt: 2, outline: 'none' }}
      >
        <Box sx={{ maxWidth: 1500, mx: 'auto' }}>{children}</Box>
      </Box>
      <Box
        role="status"
        sx={{
          display: 'flex',
          alignItems: 'center',
          flexWrap: 'wrap',
          columnGap: 3,
          px: { xs: 2, md: 5 },
          color: 'text.secondary',
        }}
      >
        <span>
          page {at.page} of {at.pages}
        </span>
        <span>{state}</span>
        <Box sx={{ flex: 1 }} />
        <Box component="span" sx={{ display: { xs: 'none', md: 'inline' } }}>
          → on · ← back · p play · o loop
        </Box>
        <Button color="inherit" onClick={onEnd}>
          End (esc)
        </Button>
      </Box>
    </Box>
  );
}

function usePage(page: RefObject<HTMLDivElement | null>) {
  const [at, setAt] = useState({ page: 1, pages: 1 });
  useEffect(() => {
    const element = page.current;
    if (!element) {
      return;
    }
    const measure = () => {
      const { scrollTop, clientHeight, scrollHeight } = element;
      const pages = Math.max(1, Math.ceil((scrollHeight - 8) / Math.max(1, clientHeight)));
      const left = scrollHeight - clientHeight - scrollTop;
      setAt({ page: left < 8 ? pages : 1 + Math.round(scrollTop / Math.max(1, clientHeight)), pages });
    };
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    for (const child of element.children) {
      observer.observe(child);
    }
    element.addEventListener('scroll', measure, { passive: true });
    return () => {
      observer.disconnect();
      element.removeEventListener('scroll', measure);
    };
  }, [page]);
  return at;
}
