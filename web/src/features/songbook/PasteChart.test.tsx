// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render as draw, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { ReactElement } from 'react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api, ProblemError, type Fault } from '../../api/client';
import { PasteChart } from './PasteChart';

const FAULT: Fault = {
  kind: 'unread',
  line: 1,
  column: 7,
  input: 'Zz7',
  message: "'Zz7' is no chord name here.",
  suggestion: 'C7',
  mends: [{ label: 'Write C7', fromLine: 1, fromColumn: 7, toLine: 1, toColumn: 10, text: 'C7' }],
};

beforeEach(() => {
  localStorage.clear();
  vi.spyOn(api, 'readChart').mockImplementation((source) =>
    Promise.resolve({
      title: '',
      key: 'C major',
      parts: 1,
      bars: 2,
      waiting: 0,
      chords: 2,
      faults: source.includes('Zz7') ? [FAULT] : [],
      spans: [],
    }),
  );
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

const render = (view: ReactElement) => {
  const queries = new QueryClient();
  return draw(view, {
    wrapper: ({ children }) => <QueryClientProvider client={queries}>{children}</QueryClientProvider>,
  });
};

test('hands on what was typed, and nothing while there is nothing', async () => {
  const onAdd = vi.fn();
  render(<PasteChart busy={false} error={null} onAdd={onAdd} onFiles={vi.fn()} />);
  const button = screen.getByRole('button', { name: 'Put it on the bench' });
  expect(button).toBeDisabled();
  await userEvent.type(screen.getByLabelText('Paste a chart'), 'G D Em C');
  await userEvent.click(button);
  expect(onAdd).toHaveBeenCalledWith('G D Em C', expect.any(Function));
});

test('what was understood is counted, and an unsure place is found and mended by a click', async () => {
  render(<PasteChart busy={false} error={null} onAdd={vi.fn()} onFiles={vi.fn()} />);
  const field = screen.getByLabelText<HTMLTextAreaElement>('Paste a chart');
  await userEvent.type(field, '| C | Zz7 |');
  expect(await screen.findByText(/1 part, 2 bars, 2 chords, key C major\. 1 place/)).toBeInTheDocument();
  await userEvent.click(screen.getByRole('button', { name: FAULT.message }));
  expect(field.value.slice(field.selectionStart, field.selectionEnd)).toBe('Zz7');
  await userEvent.click(screen.getByRole('button', { name: 'Write C7' }));
  expect(field).toHaveValue('| C | C7 |');
  await waitFor(() => expect(screen.queryByText(FAULT.message)).not.toBeInTheDocument());
});

test('what was pasted is there when the page comes back, until it is kept', async () => {
  const add = vi.fn((_: string, kept: () => void) => kept());
  const first = render(<PasteChart busy={false} error={null} onAdd={vi.fn()} onFiles={vi.fn()} />);
  await userEvent.type(screen.getByLabelText('Paste a chart'), 'G D');
  first.unmount();
  const second = render(<PasteChart busy={false} error={null} onAdd={add} onFiles={vi.fn()} />);
  expect(screen.getByLabelText('Paste a chart')).toHaveValue('G D');
  await userEvent.click(screen.getByRole('button', { name: 'Put it on the bench' }));
  second.unmount();
  render(<PasteChart busy={false} error={null} onAdd={vi.fn()} onFiles={vi.fn()} />);
  expect(screen.getByLabelText('Paste a chart')).toHaveValue('');
});

test('a chosen file is handed on', async () => {
  const onFiles = vi.fn();
  const { container } = render(<PasteChart busy={false} error={null} onAdd={vi.fn()} onFiles={onFiles} />);
  const file = new File(['[G]la'], 'song.txt', { type: 'text/plain' });
  const input = container.querySelector('input[type=file]');
  await userEvent.upload(input as HTMLInputElement, file);
  expect(onFiles).toHaveBeenCalledWith([file]);
});

test('an error keeps the text and says what to do', async () => {
  const { rerender } = render(<PasteChart busy={false} error={null} onAdd={vi.fn()} onFiles={vi.fn()} />);
  await userEvent.type(screen.getByLabelText('Paste a chart'), 'words only');
  rerender(
    <PasteChart
      busy={false}
      error={new ProblemError(422, 'Input not usable', 'There is no chord here.')}
      onAdd={vi.fn()}
      onFiles={vi.fn()}
    />,
  );
  expect(screen.getByRole('alert')).toHaveTextContent('There is no chord here.');
  expect(screen.getByLabelText('Paste a chart')).toHaveValue('words only');
});
