import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type {
  Alternative,
  Arrangement,
  Change,
  Decisions,
  Fills,
  Grip,
  HouseRules,
  Placement,
  PreviewBody,
  Readings,
} from '../../api/client';
import { MONO } from '../../app/theme';
import { GripFrame } from '../../shared/GripFrame';
import { EffortBar } from './EffortBar';
import { FillsPanel } from './FillsPanel';
import { MyShape } from './MyShape';
import { OtherGrips } from './OtherGrips';
import { RegionLock } from './RegionLock';
import { HouseRulesPanel } from '../../shared/HouseRulesPanel';
import type { Scope, Stand } from './readings';
import { ReadingsPanel } from './ReadingsPanel';
import { SecondTime } from './SecondTime';
import { SongSummary } from './SongSummary';
import { Taste } from './Taste';
import { actWords, timeWords } from './words';

/** What the panel may change. */
export interface WhyActions {
  onDecide: (change: Partial<Decisions>) => void;
  onTake: (placement: Placement, shape: string) => void;
  onRelease: (placement: Placement) => void;
  onKeepRegion: (placement: Placement, low: number, high: number, wholeSection: boolean) => void;
  onSelect: (index: number) => void;
  onFill: (placement: Placement, fill: string | null) => void;
  onReading: (placement: Placement, reading: string, stand: Stand | null, scope: Scope) => void;
}

/** Why the chosen placement is played as it is, or what makes the song hard when none is chosen. */
export function WhyPanel({
  arrangement,
  alternatives,
  readings,
  fills,
  decisions,
  body,
  rules,
  selected,
  actions,
}: {
  arrangement: Arrangement;
  /** Every other grip of the chosen placement. */
  alternatives: Alternative[];
  /** What may stand in its place; undefined while it is asked for. */
  readings: Readings | undefined;
  /** What may fill the gap after it; undefined while it is asked for. */
  fills: Fills | undefined;
  decisions: Decisions;
  body: PreviewBody | undefined;
  /** The house rules that hold: the song's, else the player's. */
  rules: HouseRules;
  selected: number | null;
  actions: WhyActions;
}) {
  const placement = selected === null ? undefined : arrangement.placements[selected];
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
      {placement ? (
        <PlacementWhy
          key={placement.index}
          arrangement={arrangement}
          placement={placement}
          alternatives={alternatives}
          readings={readings}
          fills={fills}
          decisions={decisions}
          actions={actions}
        />
      ) : (
        <>
          <SongSummary arrangement={arrangement} onSelect={actions.onSelect} />
          {body && <SecondTime song={body} decisions={decisions} onDecide={actions.onDecide} />}
          <Taste
            rules={rules}
            onDecide={(change) => actions.onDecide({ houseRules: { ...decisions.houseRules, ...change } })}
          />
          <HouseRulesPanel
            rules={rules}
            decided={decisions.houseRules}
            inherited={decisions.playerId === null ? 'usual' : 'as the player'}
            onDecide={(change) => actions.onDecide({ houseRules: { ...decisions.houseRules, ...change } })}
          />
        </>
      )}
    </Box>
  );
}

function PlacementWhy({
  arrangement,
  placement,
  alternatives,
  readings,
  fills,
  decisions,
  actions,
}: {
  arrangement: Arrangement;
  placement: Placement;
  alternatives: Alternative[];
  readings: Readings | undefined;
  fills: Fills | undefined;
  decisions: Decisions;
  actions: WhyActions;
}) {
  const change = arrangement.changes.find((c) => c.to === placement.index);
  const before = change && arrangement.placements[change.from];
  const { grip } = placement;
  const title = before
    ? `${before.played ?? ''} to ${placement.played ?? ''}`
    : (placement.played ?? 'No chord');
  const lock = decisions.locks.find(
    (l) => l.placement === placement.placement && (l.part ?? 0) === placement.part,
  );
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
      {grip && (
        <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
          <GripFrame grip={grip} />
          <Box sx={{ flex: 1 }}>
            <Typography sx={{ fontFamily: MONO, fontWeight: 700, fontSize: '1.15rem' }}>
              {grip.shape}
            </Typography>
            <Typography variant="caption" color="text.secondary">
              {grip.tags.join(', ')}
            </Typography>
            <Box>
              {placement.locked ? (
                <Button variant="outlined" onClick={() => actions.onRelease(placement)}>
                  Unlock (l)
                </Button>
              ) : (
                <Button variant="outlined" onClick={() => actions.onTake(placement, grip.shape)}>
                  Lock (l)
                </Button>
              )}
            </Box>
            {grip.isNew && <MyShape shape={grip.shape} playerId={decisions.playerId} />}
          </Box>
        </Box>
      )}
      <OtherGrips
        placement={placement}
        alternatives={alternatives}
        onTake={(shape) => actions.onTake(placement, shape)}
      />
      {placement.chord !== null && (
        <ReadingsPanel
          readings={readings}
          placement={placement.placement}
          choices={decisions.readings}
          onDecide={(reading, stand, scope) => actions.onReading(placement, reading, stand, scope)}
        />
      )}
      {grip && (
        <FillsPanel
          fills={fills}
          chosen={
            decisions.fills.find(
              (f) => f.placement === placement.placement && (f.part ?? 0) === placement.part,
            )?.fill
          }
          onFill={(fill) => actions.onFill(placement, fill)}
        />
      )}
      {grip && <EffortBar effort={grip.effort} title="What makes this grip cost" />}
      {change && <EffortBar effort={change.effort} title="What makes this change cost" />}
      <RegionLock
        lock={lock?.lowestFret ? lock : undefined}
        section={placement.section}
        onKeep={(low, high, all) => actions.onKeepRegion(placement, low, high, all)}
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
