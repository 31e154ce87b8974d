// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test, vi } from 'vitest';
import { ProblemError } from '../../api/client';
import { PasteChart } from './PasteChart';

afterEach(cleanup);

test('hands on what was typed, and nothing while there is nothing', async () => {
  const onAdd = vi.fn();
  render(<PasteChart busy={false} error={null} onAdd={onAdd} onFile={vi.fn()} />);
  const button = screen.getByRole('button', { name: 'Put it on the bench' });
  expect(button).toBeDisabled();
  await userEvent.type(screen.getByLabelText('Paste a chart'), 'G D Em C');
  await userEvent.click(button);
  expect(onAdd).toHaveBeenCalledWith('G D Em C');
});

test('a chosen file is handed on', async () => {
  const onFile = vi.fn();
  const { container } = render(<PasteChart busy={false} error={null} onAdd={vi.fn()} onFile={onFile} />);
  const file = new File(['[G]la'], 'song.txt', { type: 'text/plain' });
  const input = container.querySelector('input[type=file]');
  await userEvent.upload(input as HTMLInputElement, file);
  expect(onFile).toHaveBeenCalledWith(file);
});

test('an error keeps the text and says what to do', async () => {
  const { rerender } = render(<PasteChart busy={false} error={null} onAdd={vi.fn()} onFile={vi.fn()} />);
  await userEvent.type(screen.getByLabelText('Paste a chart'), 'words only');
  rerender(
    <PasteChart
      busy={false}
      error={new ProblemError(422, 'Input not usable', 'There is no chord here.')}
      onAdd={vi.fn()}
      onFile={vi.fn()}
    />,
  );
  expect(screen.getByRole('alert')).toHaveTextContent('There is no chord here.');
  expect(screen.getByLabelText('Paste a chart')).toHaveValue('words only');
});
