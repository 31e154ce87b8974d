import { views } from './views';

/** Fetches what a view needs only when somebody wants it, once the first view stands: later the server may be away. */
export function fetchLater(): void {
  const fetchAll = () => {
    void Promise.allSettled([
      ...Object.values(views).map((view) => view()),
      import('../features/sound/player'),
      import('../features/sheet/musicFont').then(({ fetchMusicFont }) => fetchMusicFont()),
      import('../shared/ChartField'),
    ]);
  };
  if ('requestIdleCallback' in window) {
    requestIdleCallback(fetchAll, { timeout: 4000 });
  } else {
    setTimeout(fetchAll, 2000);
  }
}
