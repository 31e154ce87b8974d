import './bench.css';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { useCallback, useMemo, useState, type ReactNode } from 'react';
import { Link, useLocation, useParams } from 'react-router';
import type { Arrangement, Decisions, Placement } from '../../api/client';
import { usePart, useSecond, useSecondPart } from '../../api/usePart';
import { Handed } from '../../shared/Handed';
import { Problem } from '../../shared/Problem';
import { useSettled } from '../../shared/useSettled';
import { CapoRuler } from './CapoRuler';
import { ChartEditor } from './ChartEditor';
import { ConflictDialog } from './ConflictDialog';
import { Dials } from './Dials';
import { GuitarRoads } from './GuitarRoads';
import { KeyDialog } from './KeyDialog';
import { loopTempo, sectionLoop, type Loop } from '../../shared/loop';
import { KeysDialog } from './KeysDialog';
import { Transport } from '../sound/Transport';
import { usePlayback } from '../sound/usePlayback';
import { usePractised } from '../sound/usePractised';
import { decide, reach } from './readings';
import { BenchTools } from './BenchTools';
import { RightHand } from './RightHand';
import { RightHandDialog } from './RightHandDialog';
import { TempoBar } from './TempoBar';
import { useAlternatives } from './useAlternatives';
import { useBench, type BenchDispatch } from './useBench';
import { useFills } from './useFills';
import { useReadings } from './useReadings';
import { useBenchKeys } from './useBenchKeys';
import { WhyPanel, type WhyActions } from './WhyPanel';

const PART_AFTER_MS = 600;

export function BenchView() {
  const id = Number(useParams().id);
  return <Bench key={id} id={id} />;
}

/** The main view: one song, its capo, its road, and why. */
function Bench({ id }: { id: number }) {
  const { song, ready, state, dispatch, body, arrangement, arranged, saving } = useBench(id);
  const [selected, select] = useState<number | null>(null);
  const [editing, setEditing] = useState(false);
  const [helping, setHelping] = useState(false);
  const data = arrangement.data;
  const [keying, setKeying] = useState(false);
  const [loop, setLoop] = useState<Loop | null>(null);
  const chosen = selected !== null && data && selected < data.placements.length ? selected : null;
  const alternatives = useAlternatives(arranged, chosen === null ? undefined : data?.placements[chosen]);
  const readings = useReadings(arranged, chosen === null ? undefined : data?.placements[chosen]);
  const fills = useFills(arranged, chosen === null ? undefined : data?.placements[chosen]);
  const second = useSecond(arranged);
  // The notes are for the ear: they may come a moment after the road.
  const heard = useSettled(arranged, PART_AFTER_MS);
  const part = usePart(heard, data !== undefined);
  const secondPart = useSecondPart(heard);
  const parts = useMemo(() => [part, secondPart].filter((p) => p !== undefined), [part, secondPart]);
  const playback = usePlayback(parts, data?.tempo ?? 92, loop);
  usePractised(id, playback.playing);
  const [picking, setPicking] = useState(false);
  const openHelp = useCallback(() => setHelping(true), []);
  const openKeys = useCallback(() => setKeying(true), []);
  const openEditor = useCallback(() => setEditing(true), []);
  const decide = useCallback(
    (change: Partial<Decisions>) => dispatch({ type: 'decide', change }),
    [dispatch],
  );
  const rightHand = useMemo(
    () => <RightHand part={part} placement={chosen} onOpen={() => setPicking(true)} />,
    [part, chosen],
  );
  const toggleLoop = useCallback(() => {
    const bar = data?.placements[chosen ?? 0]?.bar;
    setLoop((now) => (now || !data || bar === undefined ? null : sectionLoop(data, bar)));
  }, [data, chosen]);
  const onCapo = useCallback((capo: number | null) => decide({ capo }), [decide]);
  const onPlay = playback.toggle;
  const others = useMemo(
    () => ({ onHelp: openHelp, onLoop: toggleLoop, onPlay }),
    [openHelp, toggleLoop, onPlay],
  );
  useBenchKeys(data, chosen, alternatives, select, dispatch, others);

  if (song.isError) {
    return (
      <Box component="main" sx={{ p: 3 }}>
        <Problem error={song.error} onRetry={() => void song.refetch()} />
        <Typography sx={{ mt: 2 }}>
          <Link to="/">Back to the songbook</Link>
        </Typography>
      </Box>
    );
  }
  const { decisions } = state.present;
  return (
    <Handed playerId={decisions.playerId}>
      <Box sx={{ display: 'flex', flexDirection: 'column', height: { md: '100%' }, minHeight: '100%' }}>
        <Box
          component="main"
          sx={{
            flex: 1,
            minHeight: 0,
            display: 'grid',
            gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 348px' },
          }}
        >
          <Box sx={{ p: { xs: 2, md: 2.5 }, pt: { md: 2 }, minWidth: 0, overflowY: { md: 'auto' } }}>
            <Heading
              arrangement={data}
              arrangedAt={arrangement.isPlaceholderData ? 0 : arrangement.dataUpdatedAt}
              title={song.data?.title}
            >
              <BenchTools
                ready={data !== undefined}
                canUndo={state.past.length > 0}
                canRedo={state.future.length > 0}
                onHelp={openHelp}
                onKey={openKeys}
                onEdit={openEditor}
                dispatch={dispatch}
              />
            </Heading>
            <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.25, mt: 0.25 }}>
              <FromFile />
              {saving.error !== null && <Problem error={saving.error} />}
              {arrangement.isError && (
                <Problem error={arrangement.error} onRetry={() => void arrangement.refetch()} />
              )}
              {data && data.faults.length > 0 && (
                <FaultLine
                  count={data.faults.length}
                  first={data.faults[0]?.message ?? ''}
                  onOpen={openEditor}
                />
              )}
              <Dials decisions={decisions} onDecide={decide}>
                {rightHand}
              </Dials>
              {data ? (
                <>
                  <CapoRuler capo={data.capo} decided={decisions.capo !== null} onCapo={onCapo} />
                  <GuitarRoads
                    second={second}
                    arrangement={data}
                    selected={chosen}
                    sounding={playback.place}
                    soundingBar={playback.clock?.bar ?? null}
                    loop={loop}
                    onSelect={select}
                    onLoop={setLoop}
                  />
                </>
              ) : (
                !arrangement.isError && <Loading />
              )}
            </Box>
          </Box>
          {data ? (
            <WhyPanel
              arrangement={data}
              alternatives={alternatives}
              readings={readings}
              fills={fills}
              decisions={decisions}
              body={body}
              rules={data.houseRules}
              selected={chosen}
              actions={actionsFor(data, decisions, dispatch, select)}
            />
          ) : (
            <Box sx={{ bgcolor: 'draw.panel' }} />
          )}
        </Box>
        {data && (
          <TempoBar
            tempo={data.tempo}
            fastest={(loop && loopTempo(data, loop)) ?? data.fastestTempo}
            holds={loop ? `bars ${loop.from} to ${loop.to} hold` : 'holds'}
            onTempo={(tempo) => decide({ tempo })}
          >
            <Transport playback={playback} ready={part !== undefined} />
          </TempoBar>
        )}
        {saving.theirs && (
          <ConflictDialog
            mine={state.present}
            theirs={saving.theirs}
            onMine={() => saving.theirs && saving.settle(saving.theirs, state.present)}
            onTheirs={() => {
              if (saving.theirs) {
                const { source, decisions: kept } = saving.theirs;
                saving.settle(saving.theirs, null);
                dispatch({ type: 'open', work: { source, decisions: kept } });
              }
            }}
          />
        )}
        {keying && body && (
          <KeyDialog
            song={body}
            transpose={decisions.transpose}
            onClose={() => setKeying(false)}
            onKey={(transpose) => {
              decide({ transpose, capo: null });
              setKeying(false);
            }}
          />
        )}
        {picking && body && data && (
          <RightHandDialog
            body={body}
            first={data}
            second={second?.arrangement}
            decisions={decisions}
            place={chosen}
            onDecide={decide}
            onLock={(lock) => dispatch({ type: 'lock', locks: [lock] })}
            onClose={() => setPicking(false)}
          />
        )}
        {helping && <KeysDialog onClose={() => setHelping(false)} />}
        {editing && ready && (
          <ChartEditor
            source={state.present.source}
            faults={data?.faults ?? []}
            onClose={() => setEditing(false)}
            onWrite={(source) => {
              dispatch({ type: 'write', source });
              setEditing(false);
            }}
          />
        )}
      </Box>
    </Handed>
  );
}

function actionsFor(
  arrangement: Arrangement,
  decisions: Decisions,
  dispatch: BenchDispatch,
  select: (index: number | null) => void,
): WhyActions {
  const at = (p: Placement) => ({ placement: p.placement, part: p.part });
  return {
    onDecide: (change) => dispatch({ type: 'decide', change }),
    onTake: (placement, frets) => dispatch({ type: 'lock', locks: [{ ...at(placement), frets }] }),
    onRelease: (placement) => dispatch({ type: 'unlock', ...at(placement) }),
    onKeepRegion: (placement, lowestFret, highestFret, wholeSection) =>
      dispatch({
        type: 'lock',
        locks: arrangement.placements
          .filter((p) => (wholeSection ? p.section === placement.section : p === placement))
          .map((p) => ({ ...at(p), lowestFret, highestFret })),
      }),
    onSelect: select,
    onFill: (placement, fill) =>
      dispatch({
        type: 'decide',
        change: {
          fills: [
            ...decisions.fills.filter(
              (f) => f.placement !== placement.placement || (f.part ?? 0) !== placement.part,
            ),
            ...(fill === null ? [] : [{ ...at(placement), fill }]),
          ],
        },
      }),
    onReading: (placement, reading, stand, scope) =>
      dispatch({
        type: 'read',
        ...decide(decisions.readings, reach(arrangement, placement, reading, scope), reading, stand),
      }),
  };
}

function Heading({
  arrangement,
  arrangedAt,
  title,
  children,
}: {
  arrangement: Arrangement | undefined;
  /** When it was made; 0 while the one before still stands. */
  arrangedAt: number;
  title: string | undefined;
  children: ReactNode;
}) {
  const capo = arrangement?.capo.chosen ?? 0;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', justifyContent: 'flex-end' }}>
      <Box
        sx={{
          flex: '1 1 340px',
          minWidth: 0,
          display: 'flex',
          alignItems: 'baseline',
          columnGap: 2,
          flexWrap: 'wrap',
        }}
      >
        <Typography variant="h1">{title ?? <Skeleton width={220} />}</Typography>
        {arrangement && (
          <Typography color="text.secondary" data-testid="song-facts" data-arranged-at={arrangedAt}>
            {capo === 0
              ? `${arrangement.key} · no capo`
              : `sounds in ${arrangement.key} · shapes in ${arrangement.playedKey}, capo ${capo}`}{' '}
            · {arrangement.metre} · {arrangement.tempo}
          </Typography>
        )}
      </Box>
      {children}
    </Box>
  );
}

/** What was left out of the file this song came from. */
function FromFile() {
  const state = useLocation().state as { said?: string } | null;
  const [seen, setSeen] = useState(false);
  return state?.said && !seen ? (
    <Alert severity="info" variant="outlined" onClose={() => setSeen(true)}>
      {state.said} Everything else was kept.
    </Alert>
  ) : null;
}

function FaultLine({ count, first, onOpen }: { count: number; first: string; onOpen: () => void }) {
  return (
    <Alert
      severity="warning"
      variant="outlined"
      action={
        <Button color="inherit" onClick={onOpen}>
          Mend it
        </Button>
      }
    >
      {first} {count > 1 && `And ${count - 1} more. `}Everything else was kept.
    </Alert>
  );
}

function Loading() {
  return (
    <>
      <Skeleton variant="rounded" height={140} />
      <Skeleton variant="rounded" height={400} />
    </>
  );
}
