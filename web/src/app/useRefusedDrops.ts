import { useEffect } from 'react';
import { useMatch, useNavigate } from 'react-router';

/** A file dropped beside the songbook would replace the page: it goes to the songbook, which takes it or says why not. */
export function useRefusedDrops(): void {
  const navigate = useNavigate();
  const inSongbook = useMatch('/') !== null;
  useEffect(() => {
    const over = (event: DragEvent) => event.preventDefault();
    const drop = (event: DragEvent) => {
      const files = [...(event.dataTransfer?.files ?? [])];
      if (!event.defaultPrevented && files.length > 0 && !inSongbook) {
        void navigate('/', { state: { files } });
      }
      event.preventDefault();
    };
    window.addEventListener('dragover', over);
    window.addEventListener('drop', drop);
    return () => {
      window.removeEventListener('dragover', over);
      window.removeEventListener('drop', drop);
    };
  }, [navigate, inSongbook]);
}
