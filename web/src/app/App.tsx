import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { BenchView } from '../features/bench/BenchView';
import { worthRetrying } from '../api/client';
import { BookView } from '../features/book/BookView';
import { PlayersView } from '../features/players/PlayersView';
import { DrillsView } from '../features/drills/DrillsView';
import { NeckMapView } from '../features/neckmap/NeckMapView';
import { ShapesView } from '../features/shapes/ShapesView';
import { SheetView } from '../features/sheet/SheetView';
import { RungsView } from '../features/rungs/RungsView';
import { SongbookView } from '../features/songbook/SongbookView';
import { VersionsView } from '../features/versions/VersionsView';
import { useEffect } from 'react';
import { songKeys } from '../api/queryKeys';
import { Saver, SongSaver } from '../api/songSaver';
import { Broken } from './Broken';
import { fetchLater } from './fetchLater';
import { NotFound } from './NotFound';
import { Shell } from './Shell';
import { SongPlace } from './SongPlace';
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
    children: [
      { path: '/', element: <SongbookView /> },
      {
        path: '/songs/:id',
        element: <SongPlace />,
        children: [
          { index: true, element: <BenchView />, handle: 'Bench' },
          { path: 'sheet', element: <SheetView />, handle: 'Sheet' },
          { path: 'rungs', element: <RungsView />, handle: 'Rungs' },
          { path: 'versions', element: <VersionsView />, handle: 'Versions' },
          { path: '*', element: <NotFound /> },
        ],
      },
      { path: '/shapes', element: <ShapesView /> },
      { path: '/map', element: <NeckMapView /> },
      { path: '/drills', element: <DrillsView /> },
      { path: '/players', element: <PlayersView /> },
      { path: '/book', element: <BookView /> },
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
