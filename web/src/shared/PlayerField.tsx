import TextField from '@mui/material/TextField';
import { usePlayers } from '../api/useArrangement';

/** Whose hand it is; an adult's where nobody is chosen. */
export function PlayerField({
  playerId,
  onTake,
}: {
  playerId: number | null;
  onTake: (playerId: number | null) => void;
}) {
  const players = usePlayers();
  return (
    <TextField
      select
      size="small"
      label="Player"
      // As wide before the players are known: what stands beside it must not move away from under a finger.
      sx={{ width: 176 }}
      value={String(playerId ?? '')}
      onChange={(event) => onTake(Number(event.target.value) || null)}
      slotProps={{ select: { native: true }, inputLabel: { shrink: true } }}
    >
      <option value="">adult hand</option>
      {(players.data ?? []).map((player) => (
        <option key={player.id} value={player.id}>
          {player.limits.name}
        </option>
      ))}
    </TextField>
  );
}
