// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { expect, test, vi } from 'vitest';
import { api, type Song } from './client';
import { songKeys } from './queryKeys';
import { useSong } from './useSong';

const song = (version: number) => ({ id: 7, version, title: `version ${version}` }) as Song;

test('an answer from before a change does not undo it, one from after it counts', async () => {
  const answers: ((song: Song) => void)[] = [];
  vi.spyOn(api, 'song').mockImplementation(() => new Promise((answer) => answers.push(answer)));
  const queries = new QueryClient();
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={queries}>{children}</QueryClientProvider>
  );
  const { result } = renderHook(() => useSong(7), { wrapper });
  await waitFor(() => expect(answers).toHaveLength(1));
  queries.setQueryData(songKeys.one(7), song(2));
  answers[0]?.(song(1));
  await waitFor(() => expect(result.current.isFetching).toBe(false));
  expect(result.current.data?.version).toBe(2);

  void result.current.refetch();
  await waitFor(() => expect(answers).toHaveLength(2));
  answers[1]?.(song(3));
  await waitFor(() => expect(result.current.data?.version).toBe(3));
});
