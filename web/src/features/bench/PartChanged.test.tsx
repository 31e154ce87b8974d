// @vitest-environment jsdom
import { act, cleanup, render, screen } from '@testing-library/react';
import { MemoryRouter } from 'react-router';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api } from '../../api/client';
import { PartChanged } from './PartChanged';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => {
  cleanup();
  vi.useRealTimers();
  vi.restoreAllMocks();
});

async function shown(version: number) {
  const view = render(<PartChanged id={7} version={version} />, { wrapper: MemoryRouter });
  await act(() => vi.advanceTimersByTimeAsync(3000));
  return view;
}

test('a part another planner made otherwise says so, with its capo and its grips', async () => {
  vi.spyOn(api, 'look').mockResolvedValue({ change: { capoBefore: 7, capo: 0, grips: 5, places: 24 } });
  await shown(1);
  expect(screen.getByTestId('part-changed')).toHaveTextContent(
    'The capo is off, it was at fret 7. 5 of 24 grips are other ones.',
  );
});

test('what was said stays while decisions are made, and a part as before says nothing', async () => {
  const look = vi.spyOn(api, 'look').mockResolvedValue({ change: null });
  const view = await shown(1);
  expect(screen.queryByTestId('part-changed')).not.toBeInTheDocument();
  look.mockResolvedValue({ change: { capoBefore: 2, capo: 2, grips: 1, places: 8 } });
  view.rerender(<PartChanged id={7} version={2} />);
  await act(() => vi.advanceTimersByTimeAsync(3000));
  look.mockResolvedValue({ change: null });
  view.rerender(<PartChanged id={7} version={3} />);
  await act(() => vi.advanceTimersByTimeAsync(3000));
  expect(look).toHaveBeenCalledTimes(3);
  expect(screen.getByTestId('part-changed')).toHaveTextContent('1 of 8 grips');
});

test('a server that does not answer is no error here', async () => {
  vi.spyOn(api, 'look').mockRejectedValue(new Error('gone'));
  await shown(1);
  expect(screen.queryByTestId('part-changed')).not.toBeInTheDocument();
});
