// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ComponentProps } from 'react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api, ProblemError } from '../../api/client';
import { PatternEditor } from './PatternEditor';

beforeEach(() => {
  localStorage.clear();
  vi.spyOn(api, 'checkPattern').mockResolvedValue({} as never);
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

function edit(more: Partial<ComponentProps<typeof PatternEditor>> = {}) {
  const onKeep = vi.fn();
  render(
    <QueryClientProvider client={new QueryClient()}>
      <PatternEditor
        stored={null}
        metre="3/4"
        busy={false}
        error={null}
        onKeep={onKeep}
        onCancel={vi.fn()}
        {...more}
      />
    </QueryClientProvider>,
  );
  return onKeep;
}

test('keys alone write a pattern in the metre of the song', async () => {
  const user = userEvent.setup();
  const onKeep = edit();
  await user.type(screen.getByLabelText('Name'), 'Lock roll');
  screen.getByLabelText('Step 1: nothing').focus();
  await user.keyboard('r{ArrowRight}{ArrowRight}lmh{ArrowRight}{ArrowLeft}{ArrowLeft}5');
  await user.click(screen.getByRole('button', { name: 'Keep and play it' }));
  expect(onKeep).toHaveBeenCalledWith(
    {
      name: 'Lock roll',
      metre: '3/4',
      steps: 'r 5 lmh . . .',
      swing: false,
    },
    expect.any(Function),
  );
});

test('touch writes the same: a step is chosen, then what goes into it', async () => {
  const user = userEvent.setup();
  edit();
  await user.click(screen.getByLabelText('Step 2: nothing'));
  await user.click(screen.getByRole('button', { name: '↓' }));
  await user.click(screen.getByRole('button', { name: '>' }));
  expect(screen.getByLabelText('Step 2: D>')).toBeInTheDocument();
});

test('a pattern without a name or a stroke is not kept', async () => {
  const user = userEvent.setup();
  edit();
  const keep = screen.getByRole('button', { name: 'Keep and play it' });
  expect(keep).toBeDisabled();
  expect(screen.getByText('Put a stroke into at least one step.')).toBeInTheDocument();
  await user.click(screen.getByLabelText('Step 1: nothing'));
  await user.keyboard('d');
  expect(keep).toBeDisabled();
  await user.type(screen.getByLabelText('Name'), 'x');
  expect(keep).toBeEnabled();
});

test('what the server says against it is shown, and it cannot be kept', async () => {
  vi.mocked(api.checkPattern).mockRejectedValue(
    new ProblemError(422, 'Input not usable', 'Step 1 of the pattern, "U": the other way.'),
  );
  const user = userEvent.setup();
  edit();
  await user.type(screen.getByLabelText('Name'), 'x');
  await user.click(screen.getByLabelText('Step 1: nothing'));
  await user.keyboard('u');
  await waitFor(() => expect(screen.getByText(/the other way/)).toBeInTheDocument());
  expect(screen.getByRole('button', { name: 'Keep and play it' })).toBeDisabled();
});

test('a stored pattern is opened as it was, and divided anew on request', async () => {
  const user = userEvent.setup();
  const onKeep = edit({
    stored: { id: 7, version: 2, pattern: { name: 'Old', metre: '4/4', steps: 'D . D U', swing: true } },
  });
  expect(screen.getByLabelText('Step 4: U')).toBeInTheDocument();
  await user.selectOptions(screen.getByLabelText('Steps a beat'), '2');
  expect(screen.getByLabelText('Step 7: U')).toBeInTheDocument();
  await user.click(screen.getByRole('button', { name: 'Keep and play it' }));
  expect(onKeep).toHaveBeenCalledWith(
    expect.objectContaining({ swing: true, steps: 'D . . . D . U .' }),
    expect.any(Function),
  );
});
