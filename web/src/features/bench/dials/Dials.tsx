import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { memo, type ReactNode } from 'react';
import { api, type Decisions, type Player, type SecondGuitar } from '../../../api/client';
import { useGuitars, usePlayers } from '../../../api/useArrangement';
import { Pick } from './Pick';
import { TOUCHED } from '../../../theme/theme';

const SETTINGS = [
  ['alone', 'alone'],
  ['singer', 'with a singer'],
  ['bass', 'with a bass player'],
  ['second', 'second guitar'],
] as const;

/** What can be turned: who plays, on what, with whom and on which rung. */
export const Dials = memo(function Dials({
  decisions,
  onDecide,
  children,
}: {
  decisions: Decisions;
  onDecide: (change: Partial<Decisions>) => void;
  children?: ReactNode;
}) {
  const rungs = useQuery({ queryKey: ['rungs'], queryFn: api.rungs, staleTime: Infinity });
  const players = usePlayers();
  const guitars = useGuitars();
  const name = rungs.data?.find((r) => r.level === decisions.rung)?.name;
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1, rowGap: 0.5, alignItems: 'flex-end' }}>
      <Pick
        label="Player"
        value={String(decisions.playerId ?? '')}
        options={[
          ['', 'adult hand'],
          ...(players.data ?? []).map((p) => [String(p.id), p.limits.name] as const),
        ]}
        onPick={(id) => {
          const player = players.data?.find((p) => String(p.id) === id);
          onDecide(player ? { playerId: player.id, rung: player.limits.rung } : { playerId: null });
        }}
      />
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
      <Pick
        label="Setting"
        most={104}
        value={decisions.setting}
        options={SETTINGS}
        onPick={(setting) => onDecide({ setting })}
      />
      <Pick
        label="Guitar"
        value={String(decisions.guitarId ?? '')}
        options={[
          ['', 'an acoustic'],
          ...(guitars.data ?? []).map((g) => [String(g.id), g.build.name] as const),
        ]}
        onPick={(id) => onDecide({ guitarId: id === '' ? null : Number(id) })}
      />
      <Pick
        label="Second guitar"
        most={88}
        value={secondValue(decisions)}
        options={[
          ['none', 'nobody'],
          ['', 'adult hand'],
          ...(players.data ?? []).map((p) => [String(p.id), p.limits.name] as const),
        ]}
        onPick={(id) => onDecide({ second: id === 'none' ? null : besides(id, players.data, decisions) })}
      />
      {children}
    </Box>
  );
});

function secondValue({ second }: Decisions): string {
  return second === null ? 'none' : String(second.playerId ?? '');
}

/** A second guitar for a player, on their own rung. */
function besides(id: string, players: Player[] | undefined, decisions: Decisions): SecondGuitar {
  const player = players?.find((p) => String(p.id) === id);
  return {
    rung: player?.limits.rung ?? decisions.rung,
    capo: null,
    playerId: player?.id ?? null,
    guitarId: null,
    patterns: null,
    texture: null,
    solo: decisions.second?.solo ?? null,
  };
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
  label,
  onClick,
  children,
}: {
  chosen: boolean;
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
      onClick={onClick}
      sx={{
        minWidth: 28,
        minHeight: 36,
        px: 0.75,
        border: 0,
        borderBottom: 3,
        borderColor: chosen ? 'primary.main' : 'transparent',
        bgcolor: 'transparent',
        color: chosen ? 'primary.main' : 'text.primary',
        font: 'inherit',
        fontWeight: chosen ? 700 : 400,
        cursor: 'pointer',
        ...TOUCHED,
      }}
    >
      {children}
    </Box>
  );
}
