// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test, vi } from 'vitest';
import type { FillOffer } from '../../../api/client';
import { FillsPanel } from './FillsPanel';

afterEach(cleanup);

const fill = (id: string, needed: number, chromatic = 0): FillOffer => ({
  id,
  name: id.replace('-', ' '),
  reason: `Because of ${id}.`,
  notes: '5/2 5/0',
  chromatic,
  from: 3,
  effort: 1,
  neededSeconds: needed,
  availableSeconds: 0.5,
});

test('each fill says its notes, its reason and its time', () => {
  render(
    <FillsPanel
      fills={{ fills: [fill('bass-walk', 0.31, 1), fill('run', 0.7)], refusal: '', refused: [] }}
      chosen={undefined}
      onFill={vi.fn()}
    />,
  );
  expect(screen.getByText(/Because of bass-walk. With a chromatic approach./)).toBeInTheDocument();
  expect(screen.getByText('needs 0.31 s, has 0.50 s')).toBeInTheDocument();
  expect(screen.getAllByText('5/2 5/0')).toHaveLength(2);
});

test('a fill is taken, and given up again', async () => {
  const user = userEvent.setup();
  const onFill = vi.fn();
  const fills = { fills: [fill('bass-walk', 0.3), fill('run', 0.3)], refusal: '', refused: [] };
  const { rerender } = render(<FillsPanel fills={fills} chosen={undefined} onFill={onFill} />);
  await user.click(screen.getByRole('button', { name: 'Play the run' }));
  expect(onFill).toHaveBeenLastCalledWith('run');
  rerender(<FillsPanel fills={fills} chosen="run" onFill={onFill} />);
  await user.click(screen.getByRole('button', { name: 'Leave out the run' }));
  expect(onFill).toHaveBeenLastCalledWith(null);
});

test('the chosen one stands first, the rest is one touch away', async () => {
  const user = userEvent.setup();
  const many = ['a', 'b', 'c', 'd', 'e'].map((id) => fill(id, 0.1));
  render(<FillsPanel fills={{ fills: many, refusal: '', refused: [] }} chosen="e" onFill={vi.fn()} />);
  expect(screen.getAllByText(/^Because of/).map((e) => e.textContent)).toEqual([
    'Because of e.',
    'Because of a.',
    'Because of b.',
  ]);
  await user.click(screen.getByRole('button', { name: 'Show all 5 fills' }));
  expect(screen.getAllByText(/^Because of/)).toHaveLength(5);
});

test('why there is nothing is said', () => {
  render(
    <FillsPanel
      fills={{ fills: [], refusal: 'The words need this space.', refused: [] }}
      chosen={undefined}
      onFill={vi.fn()}
    />,
  );
  expect(screen.getByText('The words need this space.')).toBeInTheDocument();
});

test('what does not fit says why, when asked', async () => {
  const user = userEvent.setup();
  const refused = [{ name: 'hammer-on', why: 'The chord has no third.' }];
  render(<FillsPanel fills={{ fills: [], refusal: '', refused }} chosen={undefined} onFill={vi.fn()} />);
  expect(screen.queryByText(/has no third/)).not.toBeInTheDocument();
  await user.click(screen.getByRole('button', { name: '1 that does not fit' }));
  expect(screen.getByText(/has no third/)).toBeInTheDocument();
});
