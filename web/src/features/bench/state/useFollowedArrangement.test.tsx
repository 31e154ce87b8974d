// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { afterEach, expect, test, vi } from 'vitest';
import { api, type Arrangement, type PreviewBody } from '../../../api/client';
import { useFollowedArrangement } from './useFollowedArrangement';

const body = (tempo: number) => ({ tempo }) as PreviewBody;

function follow() {
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: 30_000 } } });
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={queries}>{children}</QueryClientProvider>
  );
  return renderHook(({ now }) => useFollowedArrangement(now), {
    wrapper,
    initialProps: { now: body(90) },
  });
}

function answering() {
  const made = (asked: PreviewBody) =>
    Promise.resolve({ tempo: asked.tempo, capo: { swept: true, chosen: 0, leastEffort: 0 } } as Arrangement);
  vi.spyOn(api, 'arrange').mockImplementation(made);
  return vi.spyOn(api, 'arrangeAsked').mockImplementation(made);
}

afterEach(() => vi.restoreAllMocks());

test('what was asked for before the page was drawn is not asked for again', async () => {
  const asked = answering();
  const { result, rerender } = follow();
  await waitFor(() => expect(result.current.arranged).toEqual(body(90)));

  act(() => result.current.ask(body(100)));
  expect(asked).toHaveBeenCalledTimes(1);
  expect(result.current.arrangement.data?.tempo).toBe(90);

  rerender({ now: body(100) });
  await waitFor(() => expect(result.current.arranged).toEqual(body(100)));
  expect(result.current.arrangement.data?.tempo).toBe(100);
  expect(asked).toHaveBeenCalledTimes(1);
});

test('what was asked for in vain is told when it is looked at', async () => {
  const asked = answering();
  const { result, rerender } = follow();
  await waitFor(() => expect(result.current.arranged).toEqual(body(90)));

  asked.mockRejectedValue(new Error('no answer'));
  vi.spyOn(api, 'arrange').mockRejectedValue(new Error('no answer'));
  act(() => result.current.ask(body(100)));
  rerender({ now: body(100) });
  await waitFor(() => expect(result.current.arrangement.isError).toBe(true));
});
