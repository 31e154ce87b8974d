import '../../shared/road/road.css';
import Box from '@mui/material/Box';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { useCallback, useMemo, useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import type { Arrangement, Decisions } from '../../api/client';
import type { Work as SongWork } from '../../api/songSaver';
import { useSecond } from '../../api/usePart';
import { Handed } from '../../shared/Handed';
import { loopTempo } from '../../shared/loop';
import { Problem } from '../../shared/Problem';
import { Transport } from '../sound/Transport';
import { TuneChordsDialog } from '../chords/TuneChordsDialog';
import { ChartEditor } from './ChartEditor';
import { ConflictDialog } from './ConflictDialog';
import { BenchTools } from './dials/BenchTools';
import { Dials } from './dials/Dials';
import { KeyDialog } from './dials/KeyDialog';
import { RightHand } from './dials/RightHand';
import { RightHandDialog } from './dials/RightHandDialog';
import { TempoBar } from './dials/TempoBar';
import { TextureDial } from './dials/TextureDial';
import { TextureDialog } from './dials/TextureDialog';
import { TuneDial } from './dials/TuneDial';
import { TuningDialog } from './dials/TuningDialog';
import { KeysDialog } from './KeysDialog';
import { Fallen, FaultLine, FromFile, NoChords, PlayerGone } from './Notices';
import { PartChanged } from './PartChanged';
import { GuitarRoads } from './road/GuitarRoads';
import { CapoRuler } from './ruler/CapoRuler';
import { useBenchKeys } from './useBenchKeys';
import { useHeard } from './useHeard';
import { TuneLane } from './tune/TuneLane';
import { WhyPanel } from './why/WhyPanel';
import { WhySheet } from './why/WhySheet';
import { answer } from './answer';
import { Fold } from './Fold';
import { useRemembered } from '../../shared/useRemembered';
import { textureName } from '../../shared/words';
import useMediaQuery from '@mui/material/useMediaQuery';
import type { Theme } from '@mui/material/styles';
import { BenchWork, useWork, type Work } from './state/BenchWork';
import { useBench } from './state/useBench';

export function BenchView() {
  const id = Number(useParams().id);
  return <Bench key={id} id={id} />;
}

/** The main view: one song, its capo, its road, and why. */
function Bench({ id }: { id: number }) {
  const bench = useBench(id);
  const { song, state, dispatch, body, arrangement, arranged } = bench;
  const [selected, choose] = useState<number | null>(null);
  const data = arrangement.data;
  const place = selected !== null && data && selected < data.placements.length ? selected : null;
  const { decisions } = state.present;
  const decide = useCallback(
    (change: Partial<Decisions>) => dispatch({ type: 'decide', change }),
    [dispatch],
  );
  const work = useMemo<Work>(
    () => ({ decisions, body, arranged, arrangement: data, place, choose, decide, dispatch }),
    [decisions, body, arranged, data, place, decide, dispatch],
  );
  if (song.isError && !song.data) {
    return (
      <Box component="main" sx={{ p: 3 }}>
        <Problem error={song.error} onRetry={() => void song.refetch()} />
        <Typography sx={{ mt: 2 }}>
          <Link to="/">Back to the songbook</Link>
        </Typography>
      </Box>
    );
  }
  return (
    <BenchWork value={work}>
      <Handed playerId={decisions.playerId}>
        <Rooms id={id} bench={bench} />
      </Handed>
    </BenchWork>
  );
}

type Opened = 'keys' | 'another key' | 'tuning' | 'chart' | 'right hand' | 'texture' | 'tune chords' | null;

function Rooms({ id, bench }: { id: number; bench: ReturnType<typeof useBench> }) {
  const { song, ready, state, dispatch, arrangement, saving, settle } = bench;
  const work = useWork();
  const { arrangement: data, arranged, decisions, place, choose, decide } = work;
  const second = useSecond(arranged);
  const { part, playback, loop, setLoop, toggleLoop } = useHeard(id, work);
  const [opened, open] = useState<Opened>(null);
  // What an edit took away, and how many steps were behind it: only then the last step is the edit.
  const [fallen, setFallen] = useState<{ what: string[]; at: number } | null>(null);
  const close = () => open(null);
  const openHelp = useCallback(() => open('keys'), []);
  const openKey = useCallback(() => open('another key'), []);
  const openTuning = useCallback(() => open('tuning'), []);
  const openChart = useCallback(() => open('chart'), []);
  const openTexture = useCallback(() => open('texture'), []);
  const [writesTune, writeTune] = useState(false);
  const toggleTune = useCallback(() => writeTune((is) => !is), []);
  const [voices, showVoices] = useRemembered('voices', false);
  useBenchKeys({
    onHelp: openHelp,
    onLoop: toggleLoop,
    onPlay: playback.toggle,
    onTexture: openTexture,
    onTune: toggleTune,
    onVoices: () => showVoices(!voices),
  });
  const narrow = useMediaQuery((theme: Theme) => theme.breakpoints.down('md'));
  const there = data !== undefined;
  const hasTune = data?.hasTune ?? false;
  const allSung = data !== undefined && isAllSung(data);
  const unsure = data?.faults.filter((fault) => fault.kind !== 'told') ?? [];
  const more = useMemo(
    () => (
      <>
        {hasTune && <TuneDial solo={decisions.solo} second={decisions.second} onDecide={decide} />}
        {there && !allSung && (
          <>
            <TextureDial onOpen={openTexture} />
            <RightHand part={part} placement={place} onOpen={() => open('right hand')} />
          </>
        )}
      </>
    ),
    [part, place, there, hasTune, allSung, decisions.solo, decisions.second, decide, openTexture],
  );
  const onCapo = useCallback((capo: number | null) => decide({ capo }), [decide]);
  const write = (edited: SongWork, fell: string[]) => {
    dispatch({ type: 'write', work: edited });
    setFallen(fell.length > 0 ? { what: fell, at: state.past.length + 1 } : null);
    close();
  };
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', height: { md: '100%' }, minHeight: '100%' }}>
      <Box
        component="main"
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 348px' },
          alignContent: { xs: 'start', md: 'stretch' },
        }}
      >
        <Box sx={{ p: { xs: 2, md: 2.5 }, pt: { md: 2 }, minWidth: 0, overflowY: { md: 'auto' } }}>
          <Heading
            arrangement={data}
            arrangedAt={arrangement.isPlaceholderData ? 0 : arrangement.dataUpdatedAt}
            compared={!arrangement.isFetching}
            saved={!saving.waiting}
            title={song.data?.title}
          >
            <BenchTools
              ready={data !== undefined}
              canUndo={state.past.length > 0}
              canRedo={state.future.length > 0}
              onHelp={openHelp}
              onKey={openKey}
              onTuning={openTuning}
              onEdit={openChart}
              onTune={toggleTune}
              dispatch={dispatch}
            />
          </Heading>
          <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.25, mt: 0.25 }}>
            <FromFile />
            <PlayerGone playerId={decisions.playerId} />
            {fallen && (
              <Fallen
                what={fallen.what}
                onUndo={state.past.length === fallen.at ? () => dispatch({ type: 'undo' }) : undefined}
                onClose={() => setFallen(null)}
              />
            )}
            {data?.hasTune && data.placements.every((place) => place.chord === null) && (
              <NoChords onPropose={() => open('tune chords')} />
            )}
            <PartChanged id={id} version={song.data?.version} />
            {saving.error !== null && <Problem error={saving.error} />}
            {arrangement.isError && (
              <Problem error={arrangement.error} onRetry={() => void arrangement.refetch()} />
            )}
            {unsure.length > 0 && (
              <FaultLine count={unsure.length} first={unsure[0]?.message ?? ''} onOpen={openChart} />
            )}
            <Fold line={foldedLine(data)}>
              <Dials decisions={decisions} onDecide={decide}>
                {more}
              </Dials>
              {data && (
                <CapoRuler
                  neck={data.neck}
                  capo={data.capo}
                  decided={decisions.capo !== null}
                  onCapo={onCapo}
                />
              )}
            </Fold>
            {data ? (
              <>
                <GuitarRoads
                  second={second}
                  arrangement={data}
                  selected={place}
                  sounding={playback.place}
                  soundingBar={playback.clock?.bar ?? null}
                  loop={loop}
                  voices={voices}
                  topAsked={(decisions.wishes?.top ?? null) !== null}
                  onVoices={showVoices}
                  onSelect={choose}
                  onLoop={setLoop}
                />
              </>
            ) : (
              !arrangement.isError && <Loading />
            )}
            {writesTune && data && (
              <TuneLane source={state.present.source} arrangement={data} onClose={toggleTune} />
            )}
          </Box>
        </Box>
        {!narrow && (data ? <WhyPanel /> : <Box sx={{ bgcolor: 'draw.panel' }} />)}
      </Box>
      {data && (
        <TempoBar
          above={narrow && <WhySheet />}
          tempo={data.tempo}
          fastest={(loop && loopTempo(data, loop)) ?? data.fastestTempo}
          holds={loop ? `bars ${loop.from} to ${loop.to} hold` : 'holds'}
          onTempo={(tempo) => decide({ tempo })}
          onChartTempo={decisions.tempo === null ? undefined : () => decide({ tempo: null })}
        >
          <Transport playback={playback} ready={part !== undefined} second={second !== undefined} />
        </TempoBar>
      )}
      {saving.theirs && (
        <ConflictDialog
          mine={state.present}
          theirs={saving.theirs}
          onMine={() => saving.theirs && settle(saving.theirs, state.present)}
          onTheirs={() => saving.theirs && settle(saving.theirs, null)}
        />
      )}
      {opened === 'another key' && <KeyDialog onClose={close} />}
      {opened === 'tuning' && ready && (
        <TuningDialog source={state.present.source} onClose={close} onWrite={write} />
      )}
      {opened === 'right hand' && data && <RightHandDialog second={second?.arrangement} onClose={close} />}
      {opened === 'texture' && data && <TextureDialog second={second?.arrangement} onClose={close} />}
      {opened === 'tune chords' && ready && (
        <TuneChordsDialog
          source={state.present.source}
          onTake={(source) => dispatch({ type: 'write', work: { source, decisions } })}
          onClose={close}
        />
      )}
      {opened === 'keys' && <KeysDialog onClose={close} />}
      {opened === 'chart' && ready && (
        <ChartEditor
          name={song.data?.uid ?? String(id)}
          source={state.present.source}
          decisions={decisions}
          onClose={close}
          onWrite={write}
        />
      )}
    </Box>
  );
}

/** Whether the tune says everywhere what is plucked: no chord is left to a pattern or a texture. */
function isAllSung(arrangement: Arrangement): boolean {
  const sung = new Set(arrangement.moments.map((m) => m.place));
  return arrangement.octave !== null && arrangement.placements.every((p) => sung.has(p.index));
}

function Heading({
  arrangement,
  arrangedAt,
  compared,
  saved,
  title,
  children,
}: {
  arrangement: Arrangement | undefined;
  /** When it was made; 0 while the one before still stands. */
  arrangedAt: number;
  /** Whether all its capo positions have been. */
  compared: boolean;
  /** Whether the book has all that was decided. */
  saved: boolean;
  title: string | undefined;
  children: ReactNode;
}) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', justifyContent: 'flex-end' }}>
      <Box
        sx={{
          flex: '1 1 200px',
          minWidth: 0,
          display: 'flex',
          alignItems: 'baseline',
          columnGap: 2,
          flexWrap: 'wrap',
        }}
      >
        <Typography variant="h1">{title ?? <Skeleton width={220} />}</Typography>
        {arrangement && (
          <Typography color="text.secondary" data-testid="song-key">
            {arrangement.key} · {arrangement.metre} · {arrangement.tempo}
          </Typography>
        )}
      </Box>
      {children}
      {arrangement && (
        <Typography
          data-testid="song-facts"
          data-arranged-at={arrangedAt}
          data-compared={compared}
          data-saved={saved}
          sx={{ flexBasis: '100%', fontSize: '0.92rem', lineHeight: 1.25 }}
        >
          {answer(arrangement)}
        </Typography>
      )}
    </Box>
  );
}

/** What the dials say, in one line. */
function foldedLine(arrangement: Arrangement | undefined): string {
  if (!arrangement) {
    return 'Player, rung, capo';
  }
  const { capo, rung, texture, octave } = arrangement;
  const at = capo.chosen === 0 ? 'no capo' : `capo ${capo.chosen}`;
  return `rung ${rung} · ${at} · ${octave === null ? textureName(texture.chosen) : 'tune on top'}`;
}

function Loading() {
  return (
    <>
      <Skeleton variant="rounded" height={140} />
      <Skeleton variant="rounded" height={400} />
    </>
  );
}
