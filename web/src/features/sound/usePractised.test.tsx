// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api } from '../../api/client';
import { PRACTISED_AFTER_MS, usePractised } from './usePractised';

beforeEach(() => {
  vi.useFakeTimers();
  vi.spyOn(api, 'practised').mockResolvedValue(undefined);
});
afterEach(() => {
  cleanup();
  vi.useRealTimers();
  vi.restoreAllMocks();
});

const played = (playing: boolean) =>
  renderHook((now: boolean) => usePractised(7, now), {
    initialProps: playing,
    wrapper: ({ children }) => (
      <QueryClientProvider client={new QueryClient()}>{children}</QueryClientProvider>
    ),
  });

test('a song that is played for a while is noted once', () => {
  played(true);
  vi.advanceTimersByTime(3 * PRACTISED_AFTER_MS);
  expect(api.practised).toHaveBeenCalledExactlyOnceWith(7);
});

test('a song that is only tried is not', () => {
  const hook = played(true);
  vi.advanceTimersByTime(PRACTISED_AFTER_MS - 1);
  hook.rerender(false);
  vi.advanceTimersByTime(3 * PRACTISED_AFTER_MS);
  expect(api.practised).not.toHaveBeenCalled();
});
