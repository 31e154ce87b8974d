// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test, vi } from 'vitest';
import { Transport } from './Transport';
import { FIRST_WISHES, type Playback } from './usePlayback';

afterEach(cleanup);

const playback = (more: Partial<Playback> = {}): Playback => ({
  playing: false,
  toggle: vi.fn(),
  stop: vi.fn(),
  wishes: FIRST_WISHES,
  sounds: 92,
  counted: null,
  wish: vi.fn(),
  clock: null,
  place: null,
  failure: null,
  ...more,
});

test('plays when there is something to play', async () => {
  const user = userEvent.setup();
  const idle = playback();
  const { rerender } = render(<Transport playback={idle} ready={false} />);
  expect(screen.getByRole('button', { name: 'Play' })).toBeDisabled();
  rerender(<Transport playback={idle} ready />);
  await user.click(screen.getByRole('button', { name: 'Play' }));
  expect(idle.toggle).toHaveBeenCalled();
});

test('shows where it is, and what went wrong', () => {
  render(
    <Transport
      ready
      playback={playback({
        playing: true,
        clock: { bar: 12, beat: 3 },
        failure: 'This browser gives no sound.',
      })}
    />,
  );
  expect(screen.getByTestId('clock')).toHaveTextContent('12 · 3');
  expect(screen.getByRole('button', { name: 'Stop' })).toBeEnabled();
  expect(screen.getByText('This browser gives no sound.')).toBeInTheDocument();
});

test('slows down to thirty in a hundred, clicks and counts in', async () => {
  const user = userEvent.setup();
  const wished = playback();
  render(<Transport playback={wished} ready />);
  await user.selectOptions(screen.getByLabelText('Speed'), '0.3');
  await user.click(screen.getByRole('button', { name: 'click' }));
  await user.click(screen.getByRole('button', { name: 'count in' }));
  expect(vi.mocked(wished.wish).mock.calls.map(([change]) => change)).toEqual([
    { rate: 0.3 },
    { click: true },
    { countIn: true },
  ]);
});

test('shows how far it has counted', () => {
  render(<Transport ready playback={playback({ playing: true, counted: 2 })} />);
  expect(screen.getByTestId('clock')).toHaveTextContent('count 2');
});

test('levels of two guitars, and how a loop is practised', async () => {
  const user = userEvent.setup();
  const wished = playback();
  const { rerender } = render(<Transport playback={wished} ready />);
  await user.click(screen.getByRole('button', { name: 'Levels and practice' }));
  expect(screen.queryByLabelText('Level of second guitar')).toBeNull();
  rerender(<Transport playback={wished} ready second />);
  expect(screen.getByLabelText('Level of first guitar')).toBeInTheDocument();
  expect(screen.getByLabelText('Level of second guitar')).toBeInTheDocument();
  await user.click(screen.getByLabelText(/A little faster each time round/));
  await user.click(screen.getByLabelText(/One counted bar/));
  expect(vi.mocked(wished.wish).mock.calls.map(([change]) => change)).toEqual([
    { buildUp: true },
    { rest: true },
  ]);
});
