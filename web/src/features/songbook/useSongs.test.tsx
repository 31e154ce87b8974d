// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, expect, test, vi } from 'vitest';
import { api, type RungEffort, type SongSummary } from '../../api/client';
import { useEfforts } from './useSongs';

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

const song = (id: number, efforts: RungEffort[] | null) => ({ id, efforts }) as SongSummary;
const rungs = [{ rung: 1 }] as unknown as RungEffort[];

function efforts(songs: SongSummary[]) {
  const client = new QueryClient();
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={client}>{children}</QueryClientProvider>
  );
  return renderHook(() => useEfforts(songs), { wrapper });
}

test('efforts that are not stored are asked for one song after the other', async () => {
  const ask = vi.spyOn(api, 'efforts').mockResolvedValue(rungs);
  const { result } = efforts([song(1, null), song(2, rungs), song(3, null)]);
  await waitFor(() => expect([...result.current.keys()].sort()).toEqual([1, 2, 3]));
  expect(ask.mock.calls.map(([id]) => id)).toEqual([1, 3]);
});

test('who leaves the book waits for nothing: the server may go on with what is asked next', async () => {
  const ask = vi.spyOn(api, 'efforts').mockReturnValue(new Promise(() => {}));
  const { unmount } = efforts([song(1, null), song(2, null)]);
  await waitFor(() => expect(ask).toHaveBeenCalledOnce());
  const signal = ask.mock.calls[0]?.[1];
  expect(signal?.aborted).toBe(false);
  unmount();
  await waitFor(() => expect(signal?.aborted).toBe(true));
});
