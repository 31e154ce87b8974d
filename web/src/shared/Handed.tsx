import type { ReactNode } from 'react';
import { usePlayers } from '../api/useArrangement';
import { LeftHanded } from './hand';

/** Draws what is in it for a player's hand; for a right-handed one where no player is chosen. */
export function Handed({ playerId, children }: { playerId: number | null; children: ReactNode }) {
  const player = usePlayers().data?.find((p) => p.id === playerId);
  return <LeftHanded value={player?.limits.leftHanded ?? false}>{children}</LeftHanded>;
}
