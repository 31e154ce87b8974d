import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { worthRetrying } from '../api/client';
import { SongbookView } from '../features/songbook/SongbookView';
import { useEffect } from 'react';
import { songKeys } from '../api/queryKeys';
import { Saver, SongSaver } from '../api/songSaver';
import { Broken } from './Broken';
import { fetchLater } from './fetchLater';
import { NotFound } from './NotFound';
import { Shell } from './Shell';
import { SongPlace } from './SongPlace';
import { views } from './views';
import { theme } from '../theme/theme';

const queries: QueryClient = new QueryClient({
  defaultOptions: { queries: { retry: worthRetrying, refetchOnWindowFocus: false, staleTime: 30_000 } },
});

const saver = new SongSaver((song) => {
  queries.setQueryData(songKeys.one(song.id), song);
  void queries.invalidateQueries({ queryKey: songKeys.all, exact: true });
});

const router = createBrowserRouter([
  {
    element: <Shell />,
    errorElement: <Broken />,
    // Nothing is said while a view's code is on its way: it is there in a moment.
    HydrateFallback: () => null,
    children: [
      { path: '/', element: <SongbookView /> },
      {
        path: '/songs/:id',
        element: <SongPlace />,
        children: [
          { index: true, lazy: views.bench, handle: 'Bench' },
          { path: 'sheet', lazy: views.sheet, handle: 'Sheet' },
          { path: 'rungs', lazy: views.rungs, handle: 'Rungs' },
          { path: 'versions', lazy: views.versions, handle: 'Versions' },
          { path: '*', element: <NotFound /> },
        ],
      },
      { path: '/shapes', lazy: views.shapes },
      { path: '/map', lazy: views.neckmap },
      { path: '/drills', lazy: views.drills },
      { path: '/players', lazy: views.players },
      { path: '/book', lazy: views.book },
      { path: '*', element: <NotFound /> },
    ],
  },
]);

export function App() {
  useEffect(() => saver.start(), []);
  useEffect(fetchLater, []);
  return (
    <ThemeProvider theme={theme} defaultMode="system">
      <CssBaseline />
      <QueryClientProvider client={queries}>
        <Saver value={saver}>
          <RouterProvider router={router} />
        </Saver>
      </QueryClientProvider>
    </ThemeProvider>
  );
}
