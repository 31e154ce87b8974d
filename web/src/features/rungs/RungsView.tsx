import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import NativeSelect from '@mui/material/NativeSelect';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { api, type Decisions, type RungStep, type Song } from '../../api/client';
import { NO_DECISIONS } from '../../api/decisions';
import { useSongSaver } from '../../api/songSaver';
import { useSong } from '../../api/useSong';
import { keyOf } from '../../api/songBody';
import { useArrangement, useSongBody } from '../../api/useArrangement';
import { MONO } from '../../theme/theme';
import { GripFrame } from '../../shared/GripFrame';
import { Handed } from '../../shared/Handed';
import { Problem } from '../../shared/Problem';
import { useTextureName } from '../../shared/ownTextures';
import { onSection, sectionsOf } from './ladder';

/** One section on all five rungs, under one another: what each adds, what it asks, how fast it holds. */
export function RungsView() {
  const id = Number(useParams().id);
  const song = useSong(id);
  const decisions = song.data?.decisions ?? NO_DECISIONS;
  const source = song.data?.source ?? '';
  const arrangement = useArrangement(source, decisions, song.data !== undefined);
  const body = useSongBody(source, decisions);
  const sections = arrangement.data ? sectionsOf(arrangement.data) : [];
  const [section, setSection] = useState<number | null>(0);
  const steps = useQuery({
    queryKey: ['ladder', keyOf(body), section],
    queryFn: ({ signal }) => api.ladder(body ?? {}, section, signal),
    enabled: body !== undefined && song.data !== undefined,
  });
  const choose = useChoose(id);
  const error = song.error ?? steps.error;
  const most = Math.max(1, ...(steps.data ?? []).map((s) => s.effort));
  return (
    <Box component="main" sx={{ p: { xs: 2, md: 3 }, maxWidth: 1160 }}>
      <Typography variant="h1">Rungs of {song.data?.title ?? '…'}</Typography>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', my: 1, flexWrap: 'wrap' }}>
        <label htmlFor="rungs-section">Section</label>
        <NativeSelect
          id="rungs-section"
          value={section ?? ''}
          onChange={(event) => setSection(event.target.value === '' ? null : Number(event.target.value))}
          sx={{ fontWeight: 700, minHeight: 44 }}
        >
          {sections.map((name, i) => (
            <option key={i} value={i}>
              {name}
            </option>
          ))}
          <option value="">the whole song</option>
        </NativeSelect>
        <Typography variant="body2" color="text.secondary">
          Effort is what the part would ask of a beginner, a bar: one measure for all five.
        </Typography>
      </Box>
      {error && <Problem error={error} onRetry={() => void steps.refetch()} />}
      <Handed playerId={decisions.playerId}>
        {steps.data?.map((step) => (
          <Rung
            key={step.rung}
            step={step}
            most={most}
            chosen={step.rung === decisions.rung}
            onChoose={() => {
              if (song.data) {
                const readings = onSection(song.data.decisions.readings, step, arrangement.data, section);
                const { ring, motion } = step.arrangement.houseRules;
                const houseRules = { ...decisions.houseRules, ring, motion };
                choose(song.data, {
                  ...decisions,
                  rung: step.rung,
                  capo: step.arrangement.capo.chosen,
                  readings,
                  houseRules,
                });
              }
            }}
          />
        )) ??
          (!error &&
            [0, 1, 2, 3, 4].map((i) => <Skeleton key={i} variant="rounded" height={120} sx={{ my: 1 }} />))}
      </Handed>
    </Box>
  );
}

function useChoose(id: number) {
  const saver = useSongSaver();
  const navigate = useNavigate();
  return (song: Song, decisions: Decisions) => {
    saver.change(song, { source: song.source, decisions });
    void navigate(`/songs/${id}`);
  };
}

function Rung({
  step,
  most,
  chosen,
  onChoose,
}: {
  step: RungStep;
  most: number;
  chosen: boolean;
  onChoose: () => void;
}) {
  const nameOf = useTextureName();
  const { arrangement } = step;
  const { capo } = arrangement;
  return (
    <Box
      component="section"
      aria-label={`Rung ${step.rung}`}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', md: '250px minmax(0, 1fr)' },
        gap: { xs: 1, md: 3 },
        py: 1.5,
        borderTop: 1,
        borderColor: 'divider',
        borderLeft: chosen ? '4px solid var(--mui-palette-primary-main)' : '4px solid transparent',
        pl: 1.5,
      }}
    >
      <Box>
        <Typography variant="h2" component="h2">
          {step.rung} {step.name}
        </Typography>
        <Typography sx={{ lineHeight: 1.3 }} data-testid="adds">
          {step.adds}
        </Typography>
        <Box sx={{ height: 8, bgcolor: 'divider', my: 0.75 }}>
          <Box sx={{ height: 8, width: `${(100 * step.effort) / most}%`, bgcolor: 'draw.stays' }} />
        </Box>
        <Typography variant="body2" data-testid="figures">
          {nameOf(arrangement.texture.chosen)} · effort {step.effort.toFixed(1)} · holds up to{' '}
          {arrangement.fastestTempo} · {capo.chosen === 0 ? 'no capo' : `capo ${capo.chosen}`}
        </Typography>
        <Button variant={chosen ? 'contained' : 'outlined'} onClick={onChoose} sx={{ mt: 0.75 }}>
          Play it on rung {step.rung}
        </Button>
      </Box>
      <Box
        sx={{ display: 'flex', overflowX: 'auto', gap: 0.5, alignItems: 'flex-start', pb: 0.5 }}
        tabIndex={0}
      >
        {arrangement.placements.map((placement) => (
          <Box key={placement.index} sx={{ flex: 'none', textAlign: 'center', minWidth: 92 }}>
            <Box sx={{ fontWeight: 700 }}>{placement.played ?? 'N.C.'}</Box>
            {placement.grip && <GripFrame grip={placement.grip} size={0.78} />}
            <Box sx={{ fontFamily: MONO, fontSize: '0.78rem' }}>{placement.grip?.shape}</Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
