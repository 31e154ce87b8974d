import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { ReadingChoice, ReadingOffer, Readings } from '../../../api/client';
import { merged, notOffered, standOf, type Scope, type Stand } from './readings';
import { priceWords } from '../../../shared/words';
import { TOUCHED } from '../../../theme/theme';

const SHOWN_FIRST = 6;

/** What may stand in a chord's place: each reading with its reason, its price, and what was said to it. */
export function ReadingsPanel({
  readings,
  placement,
  choices,
  onDecide,
}: {
  readings: Readings | undefined;
  /** Place in the chart. */
  placement: number;
  choices: ReadingChoice[];
  onDecide: (reading: string, stand: Stand | null, scope: Scope) => void;
}) {
  const [scope, setScope] = useState<Scope>('here');
  const [all, setAll] = useState(false);
  const [whyNot, setWhyNot] = useState(false);
  if (!readings) {
    return <Skeleton variant="rounded" height={120} />;
  }
  const said = (offer: ReadingOffer) => standOf(choices, placement, offer.id);
  const decided = (offer: ReadingOffer) => said(offer) !== null;
  const sorted = merged(
    [...readings.readings].sort((a, b) => Number(decided(b)) - Number(decided(a))),
    decided,
  );
  const shown = all ? sorted : sorted.slice(0, SHOWN_FIRST);
  return (
    <Box component="section" aria-label="Other readings">
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mb: 0.5, flexWrap: 'wrap' }}>
        <Typography
          variant="h3"
          component="h3"
          sx={{ color: 'text.secondary', flex: 1, whiteSpace: 'nowrap' }}
        >
          Other readings
        </Typography>
        <ToggleButtonGroup
          exclusive
          size="small"
          value={scope}
          aria-label="Where a decision holds"
          onChange={(_, value: Scope | null) => value && setScope(value)}
        >
          <ToggleButton value="here">here</ToggleButton>
          <ToggleButton value="section">section</ToggleButton>
          <ToggleButton value="alike">all alike</ToggleButton>
        </ToggleButtonGroup>
      </Box>
      {notOffered(choices, readings, placement).map((id) => (
        <Box
          key={id}
          data-testid="not-offered"
          sx={{ borderLeft: 4, borderColor: 'draw.moves', pl: 1.25, mb: 1 }}
        >
          <Typography variant="body2">
            “{id.replaceAll('-', ' ')}” was taken here; this rung does not offer it.
          </Typography>
          <Button size="small" onClick={() => onDecide(id, null, 'here')}>
            Give it up
          </Button>
        </Box>
      ))}
      {shown.map((offer) => (
        <Offer
          key={offer.id}
          offer={offer}
          stand={said(offer)}
          onStand={(s) => onDecide(offer.id, s, scope)}
        />
      ))}
      {sorted.length > SHOWN_FIRST && (
        <Button size="small" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? 'Show fewer' : `Show all ${sorted.length} readings`}
        </Button>
      )}
      {readings.refusals.length > 0 && (
        <Button size="small" aria-expanded={whyNot} onClick={() => setWhyNot(!whyNot)}>
          {whyNot ? 'Hide why not' : 'Why not another'}
        </Button>
      )}
      {whyNot && (
        <Box component="ul" sx={{ m: 0, pl: 2.25, fontSize: '0.88rem' }}>
          {readings.refusals.map((refusal) => (
            <li key={refusal.rule}>
              <strong>{refusal.name}:</strong> {refusal.why}
              {refusal.clashing.map((clash) => {
                const pinned = standOf(choices, placement, clash.id) === 'pinned';
                return (
                  <Button
                    key={clash.id}
                    size="small"
                    aria-pressed={pinned}
                    onClick={() => onDecide(clash.id, pinned ? null : 'pinned', scope)}
                  >
                    {pinned ? `Give up ${clash.chords}` : `Take ${clash.chords} all the same`}
                  </Button>
                );
              })}
            </li>
          ))}
        </Box>
      )}
    </Box>
  );
}

function Offer({
  offer,
  stand,
  onStand,
}: {
  offer: ReadingOffer;
  stand: Stand | null;
  onStand: (stand: Stand | null) => void;
}) {
  const chords = offer.chords.map((c) => c.chord).join(' ');
  return (
    <Box
      data-reading={offer.id}
      sx={{
        borderLeft: 4,
        borderColor: stand === 'pinned' ? 'primary.main' : stand === 'refused' ? 'error.main' : 'divider',
        pl: 1.25,
        mb: 1,
        opacity: stand === 'refused' ? 0.75 : 1,
      }}
    >
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
        <Box component="strong" sx={{ fontSize: '1.05rem' }}>
          {chords}
        </Box>
        <Box component="span" sx={{ color: 'text.secondary', fontSize: '0.85rem', flex: 1 }}>
          {offer.name}
        </Box>
        <Box component="span" sx={{ color: 'primary.main', fontWeight: 700, whiteSpace: 'nowrap' }}>
          {offer.price === null ? 'no grip' : priceWords(offer.price)}
        </Box>
      </Box>
      <Box sx={{ fontSize: '0.88rem', lineHeight: 1.3 }}>{offer.reason}</Box>
      <Box sx={{ display: 'flex' }}>
        <Say stand="pinned" now={stand} words="Take it" label={`Take ${chords}`} onStand={onStand} />
        <Say
          stand="accepted"
          now={stand}
          words="If easier"
          label={`Take ${chords} where it is easier`}
          onStand={onStand}
        />
        <Say stand="refused" now={stand} words="Never" label={`Never ${chords}`} onStand={onStand} />
      </Box>
    </Box>
  );
}

function Say({
  stand,
  now,
  words,
  label,
  onStand,
}: {
  stand: Stand;
  now: Stand | null;
  words: string;
  label: string;
  onStand: (stand: Stand | null) => void;
}) {
  const chosen = stand === now;
  return (
    <Button
      size="small"
      aria-pressed={chosen}
      aria-label={label}
      variant={chosen ? 'contained' : 'text'}
      sx={{ minWidth: 0, px: 1, py: 0, ...TOUCHED }}
      onClick={() => onStand(chosen ? null : stand)}
    >
      {words}
    </Button>
  );
}
