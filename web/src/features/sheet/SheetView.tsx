import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import NativeSelect from '@mui/material/NativeSelect';
import Skeleton from '@mui/material/Skeleton';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useMemo, useRef, useState } from 'react';
import { useParams } from 'react-router';
import type { Arrangement } from '../../api/client';
import { NO_DECISIONS } from '../../api/decisions';
import { useSong } from '../../api/useSong';
import { useArrangement, useSongBody } from '../../api/useArrangement';
import { usePart, useSecond, useSecondPart } from '../../api/usePart';
import { Problem } from '../../shared/Problem';
import { useRemembered } from '../../shared/useRemembered';
import { sectionLoop, type Loop } from '../../shared/loop';
import { Transport } from '../sound/Transport';
import { usePlayback } from '../sound/usePlayback';
import { usePractised } from '../sound/usePractised';
import { Handed } from '../../shared/Handed';
import { FilesMenu } from './FilesMenu';
import { OneGuitar, type Layout } from './OneGuitar';
import { Pedal } from './Pedal';
import type { PedalAct } from './pedals';
import { Stage } from './Stage';
import type { Writing } from './Engraving';
import { useStage } from './useStage';
import { useKey } from '../../shared/useKey';

/** What goes on the stand: words with grips, or staff and tab; to play along, print and take away. */
export function SheetView() {
  const id = Number(useParams().id);
  const song = useSong(id);
  const decisions = song.data?.decisions ?? NO_DECISIONS;
  const source = song.data?.source ?? '';
  const ready = song.data !== undefined;
  const body = useSongBody(source, decisions);
  const arrangement = useArrangement(source, decisions, ready);
  const second = useSecond(ready ? body : undefined);
  const part = usePart(body, ready);
  const secondPart = useSecondPart(ready ? body : undefined);
  const [layout, setLayout] = useRemembered<Layout>('sheet.layout', 'words');
  const [big, setBig] = useRemembered('sheet.big', false);
  const [writing, setWriting] = useRemembered<Writing>('sheet.writing', 'short');
  const [paper, setPaper] = useRemembered<string>('sheet.paper', 'a4');
  const [fileError, setFileError] = useState<unknown>(null);
  const [loop, setLoop] = useState<Loop | null>(null);
  const parts = useMemo(() => [part, secondPart].filter((p) => p !== undefined), [part, secondPart]);
  const tempo = arrangement.data?.tempo ?? 92;
  const holds = arrangement.data?.fastestTempo ?? tempo;
  const playback = usePlayback({ parts, tempo, holds, loop, place: null });
  usePractised(id, playback.playing);
  const page = useRef<HTMLDivElement>(null);
  const stagePage = useRef<HTMLDivElement>(null);
  const stage = useStage();
  const error = song.error ?? arrangement.error ?? fileError;
  const title = song.data?.title ?? '';

  const scroller = () => stagePage.current ?? page.current?.closest('[data-scroller]');

  const onPedal = (act: PedalAct) => {
    if (act === 'loop') {
      const bar = barOnScreen(scroller()) ?? playback.clock?.bar ?? arrangement.data?.placements[0]?.bar;
      setLoop((now) =>
        now || !arrangement.data || bar === undefined ? null : sectionLoop(arrangement.data, bar),
      );
      if (!playback.playing) {
        playback.toggle();
      }
      return;
    }
    const turned = scroller();
    turned?.scrollBy({ top: (act === 'forward' ? 0.86 : -0.86) * turned.clientHeight });
  };
  useKey('stage', stage.begin, !stage.on && arrangement.data !== undefined);
  useKey('playSheet', playback.toggle, !stage.on && part !== undefined);

  const guitars = arrangement.data && body && (
    <>
      <Handed playerId={decisions.playerId}>
        <OneGuitar
          title={title}
          song={body}
          arrangement={arrangement.data}
          part={part}
          layout={layout}
          writing={writing}
          big={big || stage.on}
          sounding={playback.place}
        />
      </Handed>
      {second && (
        <Box sx={{ breakBefore: 'page', mt: 5 }}>
          <Handed playerId={decisions.second?.playerId ?? null}>
            <OneGuitar
              title="Second guitar"
              song={body}
              second
              arrangement={second.arrangement as Arrangement}
              part={secondPart}
              layout={layout}
              writing={writing}
              big={big || stage.on}
              sounding={null}
            />
          </Handed>
        </Box>
      )}
    </>
  );
  if (stage.on && guitars) {
    return (
      <Stage
        page={stagePage}
        state={`${playback.playing ? 'playing' : 'still'} · ${
          loop ? `loop: bars ${loop.from} to ${loop.to}` : 'no loop'
        }`}
        onAct={onPedal}
        onPlay={playback.toggle}
        onEnd={stage.end}
      >
        {guitars}
      </Stage>
    );
  }

  return (
    <Box
      ref={page}
      component="main"
      sx={{ maxWidth: 900, mx: 'auto', px: 3, pt: 2, '@media print': { p: 0, color: '#000' } }}
    >
      <style>{`@page { size: ${paper === 'a4' ? 'A4' : 'letter'}; margin: 14mm }`}</style>
      <Box
        sx={{
          display: 'flex',
          flexWrap: 'wrap',
          gap: 1,
          alignItems: 'center',
          mb: 2,
          '@media print': { display: 'none' },
        }}
      >
        <ToggleButtonGroup
          exclusive
          size="small"
          value={layout}
          aria-label="What is on the sheet"
          onChange={(_, value: Layout | null) => value && setLayout(value)}
        >
          <ToggleButton value="words">words and grips</ToggleButton>
          <ToggleButton value="tab">staff and tab</ToggleButton>
        </ToggleButtonGroup>
        <ToggleButton size="small" value="big" selected={big} onChange={() => setBig(!big)}>
          large type
        </ToggleButton>
        {(layout === 'tab' || (arrangement.data?.repeats ?? []).length > 0) && (
          <ToggleButton
            size="small"
            value="out"
            selected={writing === 'out'}
            onChange={() => setWriting(writing === 'out' ? 'short' : 'out')}
          >
            {layout === 'tab' ? 'every note' : 'repeats written out'}
          </ToggleButton>
        )}
        <NativeSelect
          value={paper}
          inputProps={{ 'aria-label': 'Paper' }}
          onChange={(event) => setPaper(event.target.value)}
        >
          <option value="a4">A4</option>
          <option value="letter">Letter</option>
        </NativeSelect>
        <Button
          variant="contained"
          disabled={!arrangement.data || (layout === 'tab' && !part)}
          onClick={() => window.print()}
        >
          Print
        </Button>
        <Button variant="outlined" disabled={!arrangement.data} onClick={stage.begin}>
          Stage (s)
        </Button>
        <FilesMenu
          order={
            body && ready
              ? {
                  song: body,
                  paper,
                  layout,
                  big,
                  writtenOut: writing === 'out',
                }
              : undefined
          }
          onError={setFileError}
        />
        <Box sx={{ flex: 1 }} />
        <Transport playback={playback} ready={part !== undefined} second={second !== undefined} />
      </Box>
      {error !== null && error !== undefined && <Problem error={error} />}
      {!arrangement.data && !error && <Skeleton variant="rounded" height={420} />}
      {guitars}
      <Pedal onAct={onPedal} />
    </Box>
  );
}

/** The first bar that is whole on the screen. */
function barOnScreen(scroller: Element | null | undefined): number | undefined {
  if (!scroller) {
    return undefined;
  }
  const { top } = scroller.getBoundingClientRect();
  const bars = [...scroller.querySelectorAll<HTMLElement>('[data-bar]')];
  const first = bars.find((bar) => bar.getBoundingClientRect().top >= top - 4) ?? bars.at(-1);
  return first ? Number(first.dataset.bar) : undefined;
}
