import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Arrangement, Change, Decisions, Grip, Placement } from '../../api/client';
import { MONO } from '../../app/theme';
import { GripFrame } from '../../shared/GripFrame';
import { EffortBar } from './EffortBar';
import { SongSummary } from './SongSummary';
import { Taste } from './Taste';
import { actWords, timeWords } from './words';

/** Why the chosen placement is played as it is, or what makes the song hard when none is chosen. */
export function WhyPanel({
  arrangement,
  decisions,
  selected,
  onDecide,
  onTake,
  onRelease,
  onSelect,
}: {
  arrangement: Arrangement;
  decisions: Decisions;
  selected: number | null;
  onDecide: (change: Partial<Decisions>) => void;
  onTake: (placement: number, shape: string) => void;
  onRelease: (placement: number) => void;
  onSelect: (placement: number) => void;
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
          arrangement={arrangement}
          placement={placement}
          onTake={(shape) => onTake(placement.index, shape)}
          onRelease={() => onRelease(placement.index)}
        />
      ) : (
        <>
          <SongSummary arrangement={arrangement} onSelect={onSelect} />
          <Taste decisions={decisions} onDecide={onDecide} />
        </>
      )}
    </Box>
  );
}

function PlacementWhy({
  arrangement,
  placement,
  onTake,
  onRelease,
}: {
  arrangement: Arrangement;
  placement: Placement;
  onTake: (shape: string) => void;
  onRelease: () => void;
}) {
  const change = arrangement.changes.find((c) => c.to === placement.index);
  const before = change && arrangement.placements[change.from];
  const { grip } = placement;
  const title = before
    ? `${before.played ?? ''} to ${placement.played ?? ''}`
    : (placement.played ?? 'No chord');
  return (
    <>
      <Box>
        <Typography variant="h2" component="h2">
          Why: {title}
        </Typography>
        {change && <TimeLine change={change} />}
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
                <Button variant="outlined" onClick={onRelease}>
                  Unlock (l)
                </Button>
              ) : (
                <Button variant="outlined" onClick={() => onTake(grip.shape)}>
                  Lock (l)
                </Button>
              )}
            </Box>
          </Box>
        </Box>
      )}
      <OtherGrips placement={placement} onTake={onTake} />
      {grip && <EffortBar effort={grip.effort} title="What makes this grip cost" />}
      {change && <EffortBar effort={change.effort} title="What makes this change cost" />}
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

function OtherGrips({ placement, onTake }: { placement: Placement; onTake: (shape: string) => void }) {
  if (placement.alternatives.length === 0) {
    return null;
  }
  return (
    <Box>
      <Typography variant="h3" component="h3" sx={{ color: 'text.secondary', mb: 0.5 }}>
        Other grips for {placement.played}
      </Typography>
      {placement.alternatives.slice(0, 5).map(({ grip, price }) => (
        <Box
          key={grip.shape}
          component="button"
          type="button"
          onClick={() => onTake(grip.shape)}
          sx={{
            display: 'grid',
            gridTemplateColumns: '8.2em 4em 1fr',
            alignItems: 'center',
            width: '100%',
            minHeight: 44,
            px: 1.25,
            mb: 0.5,
            font: 'inherit',
            fontSize: '0.92rem',
            textAlign: 'left',
            color: 'text.primary',
            bgcolor: 'draw.sheet',
            border: 1,
            borderColor: 'draw.rule',
            borderRadius: 1,
            cursor: 'pointer',
            '&:hover': { borderColor: 'primary.main' },
          }}
        >
          <Box component="span" sx={{ fontFamily: MONO, fontWeight: 700 }}>
            {grip.shape}
          </Box>
          <Box component="span" sx={{ color: 'primary.main', fontWeight: 700 }}>
            {price < 0 ? '−' : '+'}
            {Math.abs(price).toFixed(1)}
          </Box>
          <Box component="span" sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
            {[grip.isNew ? 'new shape' : '', ...grip.tags].filter(Boolean).slice(0, 2).join(', ')}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
