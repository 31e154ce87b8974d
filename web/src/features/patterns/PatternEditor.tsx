import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import NativeSelect from '@mui/material/NativeSelect';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { api, type OwnPattern, type StoredPattern } from '../../api/client';
import { MONO } from '../../theme/theme';
import { Problem } from '../../shared/Problem';
import { useDraftOf } from '../../shared/useDraft';
import { divided, glance, STEP_KEYS, stepAfter } from './patternSteps';

const DIVISIONS = [1, 2, 3, 4] as const;

/** A pattern written step by step, by keys or by touch. */
export function PatternEditor({
  stored,
  metre,
  busy,
  error,
  onKeep,
  onCancel,
}: {
  stored: StoredPattern | null;
  /** Metre of a new pattern. */
  metre: string;
  busy: boolean;
  error: unknown;
  /** @param kept to be called once it is stored */
  onKeep: (pattern: OwnPattern, kept: () => void) => void;
  onCancel: () => void;
}) {
  const its = stored?.pattern.metre ?? metre;
  const beats = Number(its.split('/')[0]);
  const given = {
    name: stored?.pattern.name ?? '',
    swing: stored?.pattern.swing ?? false,
    steps: stored?.pattern.steps?.split(' ') ?? Array.from({ length: beats * 2 }, () => '.'),
  };
  const draft = useDraftOf(`pattern.${stored ? `${stored.id}.${stored.version}` : `new.${its}`}`, given);
  const { name, swing, steps } = draft.value;
  const [at, setAt] = useState(0);
  const cells = useRef<(HTMLButtonElement | null)[]>([]);
  const pattern: OwnPattern = {
    name: name.trim() || 'My pattern',
    metre: its,
    steps: steps.join(' '),
    swing,
  };
  const empty = steps.every((s) => s === '.');
  const check = useQuery({
    queryKey: ['check-pattern', pattern],
    queryFn: ({ signal }) => api.checkPattern(pattern, signal),
    enabled: !empty,
    retry: false,
  });
  const division = Math.max(1, Math.round(steps.length / beats));
  const go = (index: number) => {
    const next = Math.max(0, Math.min(steps.length - 1, index));
    setAt(next);
    cells.current[next]?.focus();
  };
  const press = (key: string, index: number) => {
    const next = stepAfter(steps[index] ?? '.', key);
    if (next === null) {
      return false;
    }
    draft.set({ ...draft.value, steps: steps.map((s, i) => (i === index ? next : s)) });
    return true;
  };
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.5 }} data-testid="pattern-editor">
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center' }}>
        <TextField
          size="small"
          label="Name"
          value={name}
          onChange={(event) => draft.set({ ...draft.value, name: event.target.value })}
          slotProps={{ htmlInput: { maxLength: 60 } }}
        />
        <Typography>a bar of {its}</Typography>
        <NativeSelect
          value={division}
          inputProps={{ 'aria-label': 'Steps a beat' }}
          onChange={(event) =>
            draft.set({ ...draft.value, steps: divided(steps, beats, Number(event.target.value)) })
          }
        >
          {DIVISIONS.map((d) => (
            <option key={d} value={d}>
              {d} {d === 1 ? 'step' : 'steps'} a beat
            </option>
          ))}
        </NativeSelect>
        <FormControlLabel
          control={
            <Checkbox checked={swing} onChange={(_, on) => draft.set({ ...draft.value, swing: on })} />
          }
          label="swing"
        />
      </Box>
      <Box role="group" aria-label="Steps" sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5 }}>
        {steps.map((step, index) => (
          <Box
            key={index}
            component="button"
            type="button"
            ref={(element: HTMLButtonElement | null) => {
              cells.current[index] = element;
            }}
            aria-label={`Step ${index + 1}: ${step === '.' ? 'nothing' : step}`}
            onFocus={() => setAt(index)}
            onClick={() => go(index)}
            onKeyDown={(event) => {
              if (event.key === 'ArrowRight' || event.key === 'ArrowLeft') {
                event.preventDefault();
                go(index + (event.key === 'ArrowRight' ? 1 : -1));
              } else if (!event.ctrlKey && !event.metaKey && press(event.key, index)) {
                event.preventDefault();
              }
            }}
            sx={{
              minWidth: 48,
              minHeight: 52,
              border: 2,
              borderColor: index === at ? 'primary.main' : 'divider',
              ml: index % division === 0 && index > 0 ? 1 : 0,
              borderRadius: 1,
              bgcolor: 'draw.sheet',
              color: 'text.primary',
              fontFamily: MONO,
              fontSize: '1.05rem',
              fontWeight: 700,
              cursor: 'pointer',
            }}
          >
            {glance(step)}
          </Box>
        ))}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5 }} role="group" aria-label="Put into the step">
        {['r', 'b', 'l', 'm', 'h', 'D', 'U', '>', 'x', '_', '^', '.'].map((key) => (
          <Button
            key={key}
            size="small"
            variant="outlined"
            sx={{ minWidth: 44, fontFamily: MONO }}
            onClick={() => press(key, at)}
          >
            {glance(key)}
          </Button>
        ))}
      </Box>
      <Box
        component="dl"
        sx={{ m: 0, display: 'flex', flexWrap: 'wrap', columnGap: 2.5, fontSize: '0.85rem' }}
      >
        {STEP_KEYS.map(([key, words]) => (
          <Box key={key} sx={{ display: 'flex', gap: 0.75 }}>
            <Box component="dt" sx={{ fontFamily: MONO, fontWeight: 700 }}>
              {key}
            </Box>
            <Box component="dd" sx={{ m: 0, color: 'text.secondary' }}>
              {words}
            </Box>
          </Box>
        ))}
      </Box>
      {empty && <Alert severity="info">Put a stroke into at least one step.</Alert>}
      {check.isError && <Problem error={check.error} />}
      {error !== null && error !== undefined && <Problem error={error} />}
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button
          variant="contained"
          disabled={busy || empty || check.isError || name.trim() === ''}
          onClick={() => onKeep(pattern, draft.forget)}
        >
          Keep and play it
        </Button>
        <Button onClick={onCancel}>Back</Button>
        {draft.isChanged && <Button onClick={() => draft.set(given)}>Start afresh</Button>}
        {name.trim() === '' && <Typography sx={{ alignSelf: 'center' }}>Give it a name first.</Typography>}
      </Box>
    </Box>
  );
}
