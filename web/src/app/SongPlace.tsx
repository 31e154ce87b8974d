import { Outlet, useMatches, useParams } from 'react-router';
import { useSong } from '../api/useSong';
import { usePageTitle } from '../shared/usePageTitle';
import { NotFound } from './NotFound';

/** A number a song can have. */
const NUMBER = /^[1-9]\d{0,15}$/;

/** The views of one song; an address that can be none of any song is answered without asking. */
export function SongPlace() {
  const { id = '' } = useParams();
  return NUMBER.test(id) ? <Named id={Number(id)} /> : <NotFound />;
}

function Named({ id }: { id: number }) {
  const song = useSong(id);
  const view = useMatches().at(-1)?.handle as string | undefined;
  usePageTitle(song.data?.title, view);
  return <Outlet />;
}
