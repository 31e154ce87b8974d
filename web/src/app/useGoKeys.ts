import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { isTyping } from '../shared/keys';

const WAIT_MS = 1500;

/** Places a letter after `g` goes to: of the whole book, and of the song that is open. */
export const PLACES = { s: '/', p: '/players', k: '/book' } as const;
export const SONG_PLACES = { b: '', r: '/rungs', v: '/versions', h: '/sheet' } as const;

/** `g`, then a letter, goes to a view. */
export function useGoKeys(songBase: string | null) {
  const navigate = useNavigate();
  useEffect(() => {
    let since = -Infinity;
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) {
        return;
      }
      if (event.key === 'g') {
        since = event.timeStamp;
        return;
      }
      const target = event.timeStamp - since < WAIT_MS ? placeOf(event.key, songBase) : null;
      since = -Infinity;
      if (target !== null) {
        event.preventDefault();
        event.stopImmediatePropagation();
        void navigate(target);
      }
    };
    window.addEventListener('keydown', onKey, { capture: true });
    return () => window.removeEventListener('keydown', onKey, { capture: true });
  }, [navigate, songBase]);
}

export function placeOf(key: string, songBase: string | null): string | null {
  if (key in PLACES) {
    return PLACES[key as keyof typeof PLACES];
  }
  return songBase !== null && key in SONG_PLACES
    ? songBase + SONG_PLACES[key as keyof typeof SONG_PLACES]
    : null;
}
