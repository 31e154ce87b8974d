// @vitest-environment jsdom
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api } from '../../api/client';
import { FilesMenu } from './FilesMenu';

const saved: string[] = [];

beforeEach(() => {
  URL.createObjectURL = vi.fn(() => 'blob:here');
  URL.revokeObjectURL = vi.fn();
  vi.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (this: HTMLAnchorElement) {
    saved.push(this.download);
  });
});
afterEach(() => {
  cleanup();
  saved.length = 0;
  vi.restoreAllMocks();
});

const order = { song: {}, paper: 'letter', layout: 'tab', big: false };

test('a file is ordered as the sheet is set, and saved under its name', async () => {
  const file = vi.spyOn(api, 'file').mockResolvedValue({ name: 'Slow Water.pdf', blob: new Blob() });
  const user = userEvent.setup();
  render(<FilesMenu order={order} onError={vi.fn()} />);
  await user.click(screen.getByRole('button', { name: 'Files' }));
  await user.click(screen.getByRole('menuitem', { name: 'PDF of this sheet' }));
  await waitFor(() => expect(saved).toEqual(['Slow Water.pdf']));
  expect(file).toHaveBeenCalledWith({ ...order, format: 'pdf' });
});

test('a file that cannot be written says why', async () => {
  const problem = new Error('no');
  vi.spyOn(api, 'file').mockRejectedValue(problem);
  const onError = vi.fn();
  const user = userEvent.setup();
  render(<FilesMenu order={order} onError={onError} />);
  await user.click(screen.getByRole('button', { name: 'Files' }));
  await user.click(screen.getByRole('menuitem', { name: 'MIDI' }));
  await waitFor(() => expect(onError).toHaveBeenCalledWith(problem));
  expect(saved).toEqual([]);
});

test('nothing can be taken before there is a song', () => {
  render(<FilesMenu order={undefined} onError={vi.fn()} />);
  expect(screen.getByRole('button', { name: 'Files' })).toBeDisabled();
});
