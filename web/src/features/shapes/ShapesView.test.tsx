// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api } from '../../api/client';
import { ShapesView } from './ShapesView';

const STRINGS = ['E2', 'A2', 'D3', 'G3', 'B3', 'E4'].map((note, i) => ({ note, midi: 40 + 5 * i }));

afterEach(cleanup);

beforeEach(() => {
  vi.spyOn(api, 'players').mockResolvedValue([]);
  vi.spyOn(api, 'desk').mockImplementation(({ frets }) =>
    Promise.resolve({
      shape: frets,
      strings: STRINGS,
      neckFrets: 20,
      names: [],
      overBass: [],
      grips: [],
      sameNotes: [],
      sameGrip: [],
    }),
  );
  vi.spyOn(api, 'neighbours').mockResolvedValue({ neighbours: [] });
});

function open(address: string) {
  const router = createMemoryRouter([{ path: '/shapes', element: <ShapesView /> }], {
    initialEntries: [address],
  });
  render(
    <QueryClientProvider client={new QueryClient()}>
      <RouterProvider router={router} />
    </QueryClientProvider>,
  );
  return router;
}

const KEYS = ['x', 'ArrowUp', '3', 'ArrowUp', '2', 'ArrowUp', 'o', 'ArrowUp', '1', 'ArrowUp', 'o'];

test('no key is lost on the neck, however fast they come, and the neck keeps the focus', async () => {
  const router = open('/shapes');
  const neck = await screen.findByTestId('desk-neck');
  neck.focus();
  KEYS.forEach((key) => fireEvent.keyDown(document.activeElement ?? document.body, { key }));
  expect(document.activeElement).toBe(neck);
  await act(() => Promise.resolve());
  expect(router.state.location.search).toContain('frets=x32010');
  expect((await screen.findByLabelText<HTMLInputElement>('Shape')).value).toBe('x32010');
});

test('keys that take their time are kept as well', async () => {
  const router = open('/shapes');
  const neck = await screen.findByTestId('desk-neck');
  neck.focus();
  for (const key of KEYS) {
    fireEvent.keyDown(document.activeElement ?? document.body, { key });
    await act(() => new Promise((done) => setTimeout(done, 20)));
  }
  expect(document.activeElement).toBe(neck);
  expect(router.state.location.search).toContain('frets=x32010');
});

test('another address is another shape', async () => {
  const router = open('/shapes?frets=x32010');
  await screen.findByTestId('desk-neck');
  await act(() => router.navigate('/shapes?frets=320003'));
  expect((await screen.findByLabelText<HTMLInputElement>('Shape')).value).toBe('320003');
});
