import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link as To, useParams } from 'react-router';
import type { Arrangement } from '../../../api/client';
import { useArranged, useWork } from '../state/BenchWork';
import { MeasuredHand } from './MeasuredHand';
import { MONO } from '../../../theme/theme';
import { mapLink } from '../../../shared/mapLink';
import { timeWords } from '../../../shared/words';

/** Keys whose scores lie closer than this are hard to tell apart. */
const CLOSE = 1;

/** What makes the song hard: its capo, its worst change, its shapes, its warnings. */
export function SongSummary() {
  const arrangement = useArranged();
  const { choose, decisions } = useWork();
  const { id } = useParams();
  const chosen = arrangement.capo.candidates.find((c) => c.capo === arrangement.capo.chosen);
  const worst = chosen?.worstChange;
  const from = worst && arrangement.placements[worst.from];
  const to = worst && arrangement.placements[worst.to];
  return (
    <>
      <Box>
        <Typography variant="h2" component="h2">
          The whole song
        </Typography>
        <Typography>
          {arrangement.capo.chosen === 0 ? 'Without a capo' : `Capo ${arrangement.capo.chosen}`}:{' '}
          {chosen?.reasons.join(', ')}.
        </Typography>
      </Box>
      {worst && to && (
        <Box>
          <Typography variant="h3" component="h3" color="text.secondary">
            Hardest change
          </Typography>
          <Typography sx={{ fontWeight: 700 }}>
            {from?.played} to {to.played}, bar {to.bar}
          </Typography>
          <Typography>{timeWords(worst).text}</Typography>
          <Button variant="outlined" sx={{ mt: 0.75 }} onClick={() => choose(worst.to)}>
            Show it
          </Button>
        </Box>
      )}
      {decisions.playerId !== null && <MeasuredHand playerId={decisions.playerId} />}
      <Keys arrangement={arrangement} />
      <Shapes arrangement={arrangement} />
      <Link component={To} to={mapLink(arrangement, Number(id))}>
        Its chords on the neck map
      </Link>
      {arrangement.warnings.map((warning) => (
        <Box
          key={warning.text}
          sx={{
            borderLeft: 4,
            borderColor: warning.kind === 'caution' ? 'error.main' : 'draw.moves',
            pl: 1.25,
          }}
        >
          <Typography variant="body2">{warning.text}</Typography>
          {warning.placements[0] !== undefined && (
            <Button size="small" onClick={() => choose(warning.placements[0] ?? 0)}>
              Show {warning.placements.length > 1 ? 'the first' : 'it'}
            </Button>
          )}
          {warning.kind === 'late' && <WaysOut arrangement={arrangement} />}
        </Box>
      ))}
      <Typography variant="caption" color="text.secondary">
        Choose a chord to see what each finger does into it, why, and what else you could take.
      </Typography>
    </>
  );
}

/** What gives a late part its time, each one click away. */
function WaysOut({ arrangement }: { arrangement: Arrangement }) {
  const { decisions, decide } = useWork();
  const ownHand = arrangement.rightHand.sections.some((hand) => hand.own);
  return (
    <>
      <Button size="small" onClick={() => decide({ tempo: arrangement.fastestTempo })}>
        Play it at {arrangement.fastestTempo}
      </Button>
      {ownHand && (
        <Button size="small" onClick={() => decide({ patterns: [] })}>
          A right hand that leaves time
        </Button>
      )}
      {decisions.rung > 1 && (
        <Button size="small" onClick={() => decide({ rung: decisions.rung - 1 })}>
          Rung {decisions.rung - 1}
        </Button>
      )}
    </>
  );
}

/** Sections that are in another key than the song, and how sure that is. */
function Keys({ arrangement }: { arrangement: Arrangement }) {
  const moved = arrangement.sections.filter((s) => s.key !== arrangement.key);
  // Without chords the key is the tune's own, and nothing else was compared.
  const hasChords = arrangement.placements.some((place) => place.chord !== null);
  const first = hasChords ? arrangement.sections[0] : undefined;
  return (
    <Box>
      <Typography variant="h3" component="h3" color="text.secondary">
        Key
      </Typography>
      <Typography>
        {arrangement.key}
        {first &&
          `; ${first.score - first.runnerUpScore < CLOSE ? 'it could almost as well be' : 'the next best guess, well behind, is'} ${first.runnerUp}`}
      </Typography>
      {moved.map((s) => (
        <Typography key={s.bar} variant="body2">
          {s.section || 'From'} bar {s.bar}: {s.key}
        </Typography>
      ))}
    </Box>
  );
}

/** Every different shape of the part, with how often it comes. */
function Shapes({ arrangement }: { arrangement: Arrangement }) {
  const shapes = new Map<string, { name: string; count: number; isNew: boolean }>();
  for (const { played, grip } of arrangement.placements) {
    if (grip) {
      const known = shapes.get(grip.shape);
      shapes.set(grip.shape, { name: played ?? '', count: 1 + (known?.count ?? 0), isNew: grip.isNew });
    }
  }
  return (
    <Box>
      <Typography variant="h3" component="h3" color="text.secondary">
        {shapes.size} {shapes.size === 1 ? 'shape' : 'shapes'}
      </Typography>
      {[...shapes].map(([shape, { name, count, isNew }]) => (
        <Box key={shape} sx={{ display: 'grid', gridTemplateColumns: '5em 8em 1fr', fontSize: '0.95rem' }}>
          <strong>{name}</strong>
          <Box component="span" sx={{ fontFamily: MONO }}>
            {shape}
          </Box>
          <Box component="span" sx={{ color: 'text.secondary' }}>
            {count}×{isNew && ' · new'}
          </Box>
        </Box>
      ))}
    </Box>
  );
}
