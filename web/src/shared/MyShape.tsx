import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { api } from '../api/client';
import { playerKeys } from '../api/queryKeys';
import { usePlayers } from '../api/useArrangement';

/** A shape that is new to the player; one touch makes it theirs, and it no longer costs as new. */
export function MyShape({ shape, playerId }: { shape: string; playerId: number | null }) {
  const queries = useQueryClient();
  const player = usePlayers().data?.find((p) => p.id === playerId);
  const own = useMutation({
    mutationFn: async () => {
      if (player) {
        await api.changePlayer(player.id, player.version, {
          ...player.limits,
          shapes: [...player.limits.shapes, shape],
        });
      }
    },
    onSettled: () => queries.invalidateQueries({ queryKey: playerKeys.players }),
  });
  return (
    <>
      <Typography variant="caption" sx={{ display: 'block' }}>
        a new shape
      </Typography>
      {player && (
        <Button size="small" disabled={own.isPending} onClick={() => own.mutate()}>
          I have this shape
        </Button>
      )}
    </>
  );
}
