// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test, vi } from 'vitest';
import { Fallen } from './Notices';

afterEach(cleanup);

test('what fell with an edit is named, and the edit can be undone', async () => {
  const onUndo = vi.fn();
  const onClose = vi.fn();
  render(
    <Fallen
      what={['the grip kept at C in bar 3', 'the fill at C in bar 3']}
      onUndo={onUndo}
      onClose={onClose}
    />,
  );
  expect(screen.getByTestId('fallen')).toHaveTextContent(
    'the grip kept at C in bar 3; the fill at C in bar 3',
  );
  await userEvent.click(screen.getByRole('button', { name: 'Undo the edit' }));
  expect(onUndo).toHaveBeenCalledOnce();
  expect(onClose).toHaveBeenCalledOnce();
});

test('once something else was decided the last step is not the edit any more', () => {
  render(<Fallen what={['the reading at D in bar 2']} onUndo={undefined} onClose={vi.fn()} />);
  expect(screen.queryByRole('button', { name: 'Undo the edit' })).not.toBeInTheDocument();
  expect(screen.getByRole('button', { name: 'All right' })).toBeInTheDocument();
});
