// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test, vi } from 'vitest';
import { ProblemError } from '../api/client';
import { useRemoval } from './useRemoval';

afterEach(cleanup);

const remove = vi.fn<(name: string) => Promise<unknown>>();
const putBack = vi.fn<(name: string) => Promise<unknown>>();

function Shelf() {
  const removal = useRemoval<string>({ remove, putBack, said: (n) => `${n} was removed.`, reread: [] });
  return (
    <>
      <button onClick={() => removal.remove('A guest')}>Remove</button>
      {removal.notice}
    </>
  );
}

function show() {
  render(
    <QueryClientProvider client={new QueryClient()}>
      <Shelf />
    </QueryClientProvider>,
  );
}

test('what was removed is named, and put back by one click', async () => {
  remove.mockResolvedValue(undefined);
  putBack.mockResolvedValue(undefined);
  show();
  await userEvent.click(screen.getByRole('button', { name: 'Remove' }));
  expect(await screen.findByText('A guest was removed.')).toBeInTheDocument();
  await userEvent.click(screen.getByRole('button', { name: 'Undo' }));
  expect(putBack.mock.calls[0]?.[0]).toBe('A guest');
  await waitFor(() => expect(screen.queryByRole('button', { name: 'Undo' })).not.toBeInTheDocument());
});

test('what could not be removed is said, and nothing is offered to be put back', async () => {
  remove.mockRejectedValue(new ProblemError(507, 'Full', 'The disk is full; nothing was stored.'));
  show();
  await userEvent.click(screen.getByRole('button', { name: 'Remove' }));
  expect(await screen.findByRole('alert')).toHaveTextContent('The disk is full');
  expect(screen.queryByRole('button', { name: 'Undo' })).not.toBeInTheDocument();
});
