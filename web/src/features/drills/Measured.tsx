import Button from '@mui/material/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api, type Player } from '../../api/client';
import { drillKeys, playerKeys } from '../../api/queryKeys';
import { Problem } from '../../shared/Problem';

const NOT_LIMITED = { barreMinutes: null, stretchMinutes: null };

/** Forgets at a click how fast a player was measured to be, and counts all runs again at another; the log stays. */
export function Measured({ player }: { player: Player }) {
  const queries = useQueryClient();
  const since = player.limits.practice?.measuredFrom ?? null;
  const change = useMutation({
    mutationFn: (measuredFrom: string | null) =>
      api.changePlayer(player.id, player.version, {
        ...player.limits,
        practice: { ...(player.limits.practice ?? NOT_LIMITED), measuredFrom },
      }),
    onSettled: () =>
      Promise.all([
        queries.invalidateQueries({ queryKey: playerKeys.players }),
        queries.invalidateQueries({ queryKey: drillKeys.all }),
      ]),
  });
  return (
    <>
      <Button
        disabled={change.isPending}
        onClick={() => change.mutate(since === null ? new Date().toISOString() : null)}
      >
        {since === null ? 'Forget how fast I was measured' : 'Count all runs again'}
      </Button>
      {change.isError && <Problem error={change.error} />}
    </>
  );
}
