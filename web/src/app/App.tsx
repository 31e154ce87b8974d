import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { BenchView } from '../features/bench/BenchView';
import { worthRetrying } from '../api/client';
import { BookView } from '../features/book/BookView';
import { PlayersView } from '../features/players/PlayersView';
import { SheetView } from '../features/sheet/SheetView';
import { RungsView } from '../features/rungs/RungsView';
import { SongbookView } from '../features/songbook/SongbookView';
import { VersionsView } from '../features/versions/VersionsView';
import { NotFound } from './NotFound';
import { Shell } from './Shell';
import { theme } from '../theme/theme';

const queries = new QueryClient({
  defaultOptions: { queries: { retry: worthRetrying, refetchOnWindowFocus: false, staleTime: 30_000 } },
});

const router = createBrowserRouter([
  {
    element: <Shell />,
    children: [
      { path: '/', element: <SongbookView /> },
      { path: '/songs/:id', element: <BenchView /> },
      { path: '/songs/:id/sheet', element: <SheetView /> },
      { path: '/songs/:id/rungs', element: <RungsView /> },
      { path: '/songs/:id/versions', element: <VersionsView /> },
      { path: '/players', element: <PlayersView /> },
      { path: '/book', element: <BookView /> },
      { path: '*', element: <NotFound /> },
    ],
  },
]);

export function App() {
  return (
    <ThemeProvider theme={theme} defaultMode="system">
      <CssBaseline />
      <QueryClientProvider client={queries}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </ThemeProvider>
  );
}
