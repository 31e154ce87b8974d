import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import FormControlLabel from '@mui/material/FormControlLabel';
import Skeleton from '@mui/material/Skeleton';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useState, type ReactNode } from 'react';
import type { Arrangement, PatternChoice, PatternFit, PreviewBody, StoredPattern } from '../../api/client';
import { MONO } from '../../theme/theme';
import { Problem } from '../../shared/Problem';
import { choiceFor, withChoice } from './choices';
import { PatternEditor } from './PatternEditor';
import { fingersAtAGlance, glance } from './patternSteps';
import { useOwnPatterns, useRanking } from './usePatterns';

const SHOWN_FIRST = 7;

/** Id of the stroke a beat where the table of patterns has none for a metre. */
const BEAT = 'beat';

/** What the right hand may play in the song or in one of its sections: the patterns that fit, the best first. */
export function PatternDialog({
  song,
  second = false,
  whose,
  arrangement,
  choices,
  firstSection,
  onChoose,
  onTakeGrip,
  onClose,
}: {
  song: PreviewBody;
  /** Whether the patterns are for the second guitar. */
  second?: boolean;
  /** Which guitar's hand it is, where there are two. */
  whose?: ReactNode;
  arrangement: Arrangement;
  choices: PatternChoice[];
  /** Section that is looked at first; null for the whole song. */
  firstSection: string | null;
  onChoose: (choices: PatternChoice[]) => void;
  /** Takes a grip that can carry a pattern; a second guitar has no locks. */
  onTakeGrip?: (place: number, shape: string) => void;
  onClose: () => void;
}) {
  const sections = [...new Set(arrangement.placements.map((p) => p.section))];
  const [section, setSection] = useState<string | null>(firstSection);
  const [editing, setEditing] = useState<StoredPattern | 'new' | null>(null);
  const [all, setAll] = useState(false);
  const { own, keep, removal } = useOwnPatterns();
  const ranking = useRanking(
    song,
    second,
    section ?? sections[0] ?? '',
    own.map((o) => o.pattern),
  );
  const chosen = choiceFor(choices, section);
  const fits = ranking.data ?? [];
  const take = (fit: PatternFit) => {
    const stored = own.find((o) => o.pattern.name === fit.pattern.name && fit.pattern.id === 'own');
    const vary = chosen?.vary ?? false;
    const { name, metre, steps, swing } = fit.pattern;
    const choice: PatternChoice = stored
      ? { own: stored.pattern, vary }
      : fit.pattern.id === BEAT
        ? { own: { name, metre, steps, swing }, vary }
        : { pattern: fit.pattern.id, vary };
    onChoose(withChoice(choices, section, choice));
  };
  const hands = arrangement.rightHand.sections;
  const given = hands.find((hand) => hand.section === section) ?? hands[0];
  const isChosen = (fit: PatternFit) =>
    chosen === undefined
      ? fit.pattern.id === given?.pattern
      : chosen.own
        ? (fit.pattern.id === 'own' || fit.pattern.id === BEAT) && fit.pattern.name === chosen.own.name
        : fit.pattern.id === chosen.pattern;
  const shown = fits.filter((fit, rank) => all || rank < SHOWN_FIRST || isChosen(fit));
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="pattern-title">
      <Box sx={{ p: 2.5, display: 'flex', flexDirection: 'column', gap: 1.5 }}>
        <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
          <Typography id="pattern-title" variant="h2" sx={{ flex: 1 }}>
            What the right hand plays
          </Typography>
          <Button onClick={onClose}>Done</Button>
        </Box>
        {whose}
        {sections.length > 1 && (
          <ToggleButtonGroup
            exclusive
            size="small"
            value={section ?? ''}
            aria-label="Where it is played"
            onChange={(_, value: string | null) => value !== null && setSection(value === '' ? null : value)}
            sx={{ flexWrap: 'wrap' }}
          >
            <ToggleButton value="">whole song</ToggleButton>
            {sections
              .filter((s) => s !== '')
              .map((s) => (
                <ToggleButton key={s} value={s}>
                  {s}
                </ToggleButton>
              ))}
          </ToggleButtonGroup>
        )}
        {editing ? (
          <PatternEditor
            stored={editing === 'new' ? null : editing}
            metre={arrangement.metre}
            busy={keep.isPending}
            error={keep.error}
            onCancel={() => setEditing(null)}
            onKeep={(pattern, stored) =>
              keep.mutate(
                { stored: editing === 'new' ? null : editing, pattern },
                {
                  onSuccess: (kept) => {
                    stored();
                    setEditing(null);
                    onChoose(withChoice(choices, section, { own: kept.pattern }));
                  },
                },
              )
            }
          />
        ) : (
          <>
            {ranking.isError && <Problem error={ranking.error} onRetry={() => void ranking.refetch()} />}
            {ranking.isPending && <Skeleton variant="rounded" height={220} />}
            {ranking.data && fits.length === 0 && (
              <Alert severity="info">
                No pattern of this rung fits this metre and tempo. A stroke a beat is played; write your own,
                or choose another tempo.
              </Alert>
            )}
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
              <Button
                variant={chosen === undefined ? 'contained' : 'outlined'}
                aria-pressed={chosen === undefined}
                onClick={() => onChoose(withChoice(choices, section, null))}
              >
                Chosen with the part
              </Button>
              {chosen === undefined && given && (
                <Typography variant="body2" sx={{ flex: '1 1 14em' }}>
                  <strong>{given.name}</strong>: {given.reason}
                </Typography>
              )}
            </Box>
            <Box component="ol" aria-label="Patterns, best first" sx={{ listStyle: 'none', m: 0, p: 0 }}>
              {shown.map((fit) => (
                <Fit
                  key={`${fit.pattern.id} ${fit.pattern.name}`}
                  fit={fit}
                  chosen={isChosen(fit)}
                  onTake={() => take(fit)}
                  onTakeGrip={onTakeGrip}
                />
              ))}
            </Box>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
              {fits.length > SHOWN_FIRST && (
                <Button onClick={() => setAll(!all)}>
                  {all ? 'Show fewer' : `Show all ${fits.length} that fit`}
                </Button>
              )}
              <Button variant="outlined" onClick={() => setEditing('new')}>
                Write a pattern
              </Button>
              {chosen && !chosen.own && (
                <FormControlLabel
                  control={
                    <Checkbox
                      checked={chosen.vary ?? false}
                      onChange={(_, vary) => onChoose(withChoice(choices, section, { ...chosen, vary }))}
                    />
                  }
                  label="vary every fourth bar"
                />
              )}
            </Box>
            {own.length > 0 && (
              <Box>
                <Typography variant="h3" component="h3" color="text.secondary">
                  Your own
                </Typography>
                {own.map((stored) => (
                  <Box key={stored.id} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
                    <Box sx={{ flex: 1 }}>
                      {stored.pattern.name} · {stored.pattern.metre}
                    </Box>
                    <Button size="small" onClick={() => setEditing(stored)}>
                      Change
                    </Button>
                    <Button size="small" color="error" onClick={() => removal.remove(stored)}>
                      Remove
                    </Button>
                  </Box>
                ))}
              </Box>
            )}
            {removal.notice}
          </>
        )}
      </Box>
    </Dialog>
  );
}

function Fit({
  fit,
  chosen,
  onTake,
  onTakeGrip,
}: {
  fit: PatternFit;
  chosen: boolean;
  onTake: () => void;
  onTakeGrip: ((place: number, shape: string) => void) | undefined;
}) {
  const { pattern, breaks, hands } = fit;
  const better = breaks?.better;
  return (
    <Box
      component="li"
      data-pattern={pattern.id}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr auto', sm: '12em 1fr auto' },
        columnGap: 2,
        alignItems: 'center',
        py: 0.75,
        borderBottom: 1,
        borderColor: 'divider',
      }}
    >
      <Box>
        <Box component="strong">{pattern.name}</Box>
        <Typography variant="caption" color="text.secondary" sx={{ display: 'block' }}>
          rung {pattern.rung} · {pattern.strummed ? 'strummed' : 'picked'}
          {pattern.swing && ' · swing'}
        </Typography>
      </Box>
      <Box sx={{ gridRow: { xs: 2, sm: 'auto' }, gridColumn: { xs: '1 / -1', sm: 'auto' }, minWidth: 0 }}>
        <Box sx={{ fontFamily: MONO, fontWeight: 700, overflowX: 'auto', whiteSpace: 'nowrap' }}>
          {glance(pattern.steps)}
        </Box>
        {hands.map(({ school, fingers }) => (
          <Box key={school} sx={{ display: 'flex', gap: 1.5, alignItems: 'baseline', overflowX: 'auto' }}>
            <Box component="span" sx={{ fontFamily: MONO, whiteSpace: 'pre' }}>
              {fingersAtAGlance(pattern.steps, fingers)}
            </Box>
            <Typography component="span" variant="caption" color="text.secondary">
              {school}
            </Typography>
          </Box>
        ))}
        <Box sx={{ fontSize: '0.88rem', color: breaks ? 'error.main' : 'text.secondary' }}>
          {fit.reasons.join('; ')}
        </Box>
        {breaks && better && onTakeGrip && (
          <Button size="small" onClick={() => onTakeGrip(breaks.place, better)}>
            Take {better} there
          </Button>
        )}
      </Box>
      <Button
        variant={chosen ? 'contained' : 'outlined'}
        aria-pressed={chosen}
        aria-label={`Play ${pattern.name}`}
        onClick={onTake}
      >
        {chosen ? 'Played' : 'Play it'}
      </Button>
    </Box>
  );
}
