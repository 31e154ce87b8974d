import { useNavigate } from 'react-router';
import type { KeyId } from '../shared/keyTable';
import { useKey } from '../shared/useKey';

/** `g`, then a letter, goes to a view: of the whole book, or of the song that is open. */
export function useGoKeys(songBase: string | null): void {
  useGo('goSongs', '/');
  useGo('goShapes', '/shapes');
  useGo('goMap', '/map');
  useGo('goDrills', '/drills');
  useGo('goPlayers', '/players');
  useGo('goBook', '/book');
  useGo('goBench', songBase);
  useGo('goSheet', songBase && `${songBase}/sheet`);
  useGo('goRungs', songBase && `${songBase}/rungs`);
  useGo('goVersions', songBase && `${songBase}/versions`);
}

function useGo(id: KeyId, to: string | null): void {
  const navigate = useNavigate();
  useKey(id, () => to !== null && void navigate(to), to !== null);
}
