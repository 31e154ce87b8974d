import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link as To, useParams } from 'react-router';
import type { Change, Grip, HouseRules, Placement } from '../../../api/client';
import { MONO } from '../../../theme/theme';
import { GripFrame } from '../../../shared/GripFrame';
import { EffortBar } from './EffortBar';
import { FillsPanel } from './FillsPanel';
import { MyShape } from '../../../shared/MyShape';
import { OtherFingers } from './OtherFingers';
import { OtherGrips } from './OtherGrips';
import { RegionLock } from './RegionLock';
import { HouseRulesPanel } from '../../../shared/HouseRulesPanel';
import { ReadingsPanel } from './ReadingsPanel';
import { SecondTime } from './SecondTime';
import { useAlternatives } from './useAlternatives';
import { useFills } from './useFills';
import { useReadings } from './useReadings';
import { useWhyActions } from './useWhyActions';
import { useArranged, usePlacement, useWork } from '../state/BenchWork';
import { SongSummary } from './SongSummary';
import { Taste } from './Taste';
import { VoiceLedger } from './VoiceLedger';
import { TopNotes } from './TopNotes';
import { TypeShape } from './TypeShape';
import { deskLink } from '../../../shared/deskLink';
import { actWords, timeWords } from '../../../shared/words';

/** Why the chosen placement is played as it is, or what makes the song hard when none is chosen. */
export function WhyPanel() {
  const placement = usePlacement();
  return (
    <Box
      component="aside"
      aria-label="Why"
      sx={{
        bgcolor: 'draw.panel',
        p: 2.25,
        overflowY: 'auto',
        display: 'flex',
        flexDirection: 'column',
        gap: 2.25,
      }}
    >
      {placement ? <PlacementWhy key={placement.index} placement={placement} /> : <SongWhy />}
    </Box>
  );
}

function SongWhy() {
  const { decisions, decide } = useWork();
  const rules = useArranged().houseRules;
  const onDecide = (change: HouseRules) => decide({ houseRules: { ...decisions.houseRules, ...change } });
  return (
    <>
      <SongSummary />
      <SecondTime />
      <Taste rules={rules} onDecide={onDecide} />
      <HouseRulesPanel
        rules={rules}
        decided={decisions.houseRules}
        inherited={decisions.playerId === null ? 'usual' : 'as the player'}
        onDecide={onDecide}
      />
    </>
  );
}

function PlacementWhy({ placement }: { placement: Placement }) {
  const { arranged, decisions } = useWork();
  const { id } = useParams();
  const arrangement = useArranged();
  const actions = useWhyActions(placement);
  const alternatives = useAlternatives(arranged, placement);
  const readings = useReadings(arranged, placement);
  const fills = useFills(arranged, placement);
  const change = arrangement.changes.find((c) => c.to === placement.index);
  const before = change && arrangement.placements[change.from];
  const { grip } = placement;
  const title = before
    ? `${before.played ?? ''} to ${placement.played ?? ''}`
    : (placement.played ?? 'No chord');
  const isHere = (at: { placement?: number; part?: number | null }) =>
    at.placement === placement.placement && (at.part ?? 0) === placement.part;
  const lock = decisions.locks.find(isHere);
  const lockedInSection = arrangement.placements.filter(
    (p) => p.section === placement.section && p.locked,
  ).length;
  return (
    <>
      <Box>
        <Typography variant="h2" component="h2">
          Why: {title}
        </Typography>
        {change && <TimeLine change={change} />}
        <Harmony placement={placement} />
      </Box>
      {change && grip && <Acts change={change} grip={grip} before={before?.grip ?? null} />}
      <TopNotes placement={placement} />
      {change && grip && <VoiceLedger voices={change.voices} />}
      {grip && (
        <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
          <GripFrame grip={grip} />
          <Box sx={{ flex: 1 }}>
            <Typography sx={{ fontFamily: MONO, fontWeight: 700, fontSize: '1.15rem' }}>
              {grip.shape}
            </Typography>
            <Typography variant="caption" color="text.secondary">
              {[grip.form, ...new Set([...grip.families, ...grip.tags])].filter(Boolean).join(', ')}
            </Typography>
            {placement.fallback !== null && (
              <Typography variant="body2" data-testid="fallback">
                {placement.fallback.reason}
              </Typography>
            )}
            {placement.keeps !== null && <Typography variant="body2">{placement.keeps}</Typography>}
            {placement.singer !== null && <Typography variant="body2">{placement.singer}</Typography>}
            <Box>
              {placement.locked ? (
                <>
                  <Button variant="outlined" onClick={actions.release}>
                    Unlock (l)
                  </Button>
                  {lockedInSection > 1 && (
                    <Button onClick={actions.releaseSection}>
                      All {lockedInSection} of {placement.section === '' ? 'the song' : placement.section}
                    </Button>
                  )}
                </>
              ) : (
                <Button variant="outlined" onClick={() => actions.take(grip.shape)}>
                  Lock (l)
                </Button>
              )}
            </Box>
            <Link component={To} to={deskLink(arrangement, placement, Number(id))}>
              On the shape desk
            </Link>
            {grip.isNew && <MyShape shape={grip.shape} playerId={decisions.playerId} />}
          </Box>
        </Box>
      )}
      {grip && (
        <OtherFingers body={arranged} placement={placement} grip={grip} onTake={actions.takeFingered} />
      )}
      <OtherGrips placement={placement} alternatives={alternatives} onTake={actions.take} />
      {placement.chord !== null && (
        <TypeShape body={arranged} placement={placement} onTake={actions.takeFingered} />
      )}
      {placement.chord !== null && (
        <ReadingsPanel
          readings={readings}
          placement={placement.placement}
          choices={decisions.readings}
          onDecide={(reading, stand, scope) => readings && actions.read(readings, reading, stand, scope)}
        />
      )}
      {grip && <FillsPanel fills={fills} chosen={decisions.fills.find(isHere)?.fill} onFill={actions.fill} />}
      {grip && <EffortBar effort={grip.effort} title="What makes this grip cost" />}
      {change && <EffortBar effort={change.effort} title="What makes this change cost" />}
      <RegionLock
        lock={lock?.lowestFret ? lock : undefined}
        section={placement.section}
        onKeep={actions.keepRegion}
      />
    </>
  );
}

/** What the chord does in its key, and why another stands in its place. */
function Harmony({ placement }: { placement: Placement }) {
  const { reading } = placement;
  const words = placement.function?.words ?? '';
  return (
    <>
      {reading.id !== 'original' && <Typography variant="body2">{reading.reason}</Typography>}
      {words !== '' && (
        <Typography variant="body2" color="text.secondary">
          {reading.original}: {words}
        </Typography>
      )}
    </>
  );
}

function TimeLine({ change }: { change: Change }) {
  const { text, verdict } = timeWords(change);
  const colour = verdict === 'late' ? 'error.main' : verdict === 'tight' ? 'draw.movesText' : 'primary.main';
  return <Typography sx={{ color: colour, fontWeight: 700 }}>{text}</Typography>;
}

function Acts({ change, grip, before }: { change: Change; grip: Grip; before: Grip | null }) {
  return (
    <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }} aria-label="What each finger does">
      {change.acts.map((act) => (
        <Box
          component="li"
          key={act.finger}
          sx={{ display: 'flex', alignItems: 'center', gap: 1, minHeight: 32 }}
        >
          <Box
            sx={{
              width: 22,
              height: 22,
              borderRadius: '50%',
              display: 'grid',
              placeItems: 'center',
              fontSize: '0.82rem',
              fontWeight: 700,
              border: 2,
              borderColor: 'text.primary',
              bgcolor: act.act === 'lands' ? 'transparent' : 'text.primary',
              color: act.act === 'lands' ? 'text.primary' : 'background.default',
            }}
          >
            {act.finger}
          </Box>
          <span>{actWords(act, before, grip)}</span>
        </Box>
      ))}
    </Box>
  );
}
