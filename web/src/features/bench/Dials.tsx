import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { api, type Decisions } from '../../api/client';

/** What can be turned: the player's rung and where the capo comes from. */
export function Dials({
  decisions,
  onDecide,
}: {
  decisions: Decisions;
  onDecide: (change: Partial<Decisions>) => void;
}) {
  const rungs = useQuery({ queryKey: ['rungs'], queryFn: api.rungs, staleTime: Infinity });
  const name = rungs.data?.find((r) => r.level === decisions.rung)?.name;
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 4, rowGap: 0.5, alignItems: 'flex-end' }}>
      <Dial label={`Rung${name ? `: ${name}` : ''}`}>
        {[1, 2, 3, 4, 5].map((level) => (
          <Choice
            key={level}
            chosen={level === decisions.rung}
            label={`Rung ${level}`}
            onClick={() => onDecide({ rung: level })}
          >
            {level}
          </Choice>
        ))}
      </Dial>
      <Dial label="Capo">
        <Choice chosen={decisions.capo === null} onClick={() => onDecide({ capo: null })}>
          least effort
        </Choice>
        <Choice chosen={decisions.capo !== null} disabled onClick={() => undefined}>
          {decisions.capo === null ? 'or pick a fret below' : `fret ${decisions.capo}`}
        </Choice>
      </Dial>
    </Box>
  );
}

function Dial({ label, children }: { label: string; children: ReactNode }) {
  return (
    <Box role="group" aria-label={label}>
      <Typography variant="caption" color="text.secondary">
        {label}
      </Typography>
      <Box sx={{ display: 'flex', gap: 0.25 }}>{children}</Box>
    </Box>
  );
}

function Choice({
  chosen,
  disabled = false,
  label,
  onClick,
  children,
}: {
  chosen: boolean;
  disabled?: boolean;
  label?: string;
  onClick: () => void;
  children: ReactNode;
}) {
  return (
    <Box
      component="button"
      type="button"
      aria-pressed={chosen}
      aria-label={label}
      disabled={disabled}
      onClick={onClick}
      sx={{
        minWidth: 40,
        minHeight: 36,
        px: 1,
        border: 0,
        borderBottom: 3,
        borderColor: chosen ? 'primary.main' : 'transparent',
        bgcolor: 'transparent',
        color: chosen ? 'primary.main' : 'text.primary',
        font: 'inherit',
        fontWeight: chosen ? 700 : 400,
        cursor: disabled ? 'default' : 'pointer',
        '&:disabled': { color: chosen ? 'primary.main' : 'text.secondary' },
        '@media (pointer: coarse)': { minHeight: 44, minWidth: 44 },
      }}
    >
      {children}
    </Box>
  );
}
