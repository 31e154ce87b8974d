// @vitest-environment jsdom
import { act, cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Part } from '../../api/client';
import { usePlayback } from './usePlayback';

const made = vi.hoisted(() => ({
  play: vi.fn(),
  stop: vi.fn(),
  volume: vi.fn(),
  dispose: vi.fn(),
  beat: vi.fn<() => number | null>(),
}));
vi.mock('./player', () => ({
  Player: class {
    play = made.play;
    stop = made.stop;
    volume = made.volume;
    dispose = made.dispose;
    beat = made.beat;
  },
}));

const part = {
  beats: 8,
  bars: [1, 2].map((number) => ({
    number,
    from: (number - 1) * 4,
    beats: 4,
    events: [
      {
        place: number - 1,
        beat: (number - 1) * 4,
        notes: [{ midi: 60, ring: 1 }],
        weight: 'normal',
        sound: 'ring',
      },
    ],
  })),
} as unknown as Part;
const parts = [part];

beforeEach(() => {
  made.play.mockResolvedValue(undefined);
  made.beat.mockReturnValue(5);
});
afterEach(() => {
  cleanup();
  vi.clearAllMocks();
});

function Bench({ loop = null, tempo = 80 }: { loop?: { from: number; to: number } | null; tempo?: number }) {
  const playback = usePlayback(parts, tempo, loop);
  return (
    <>
      <button onClick={playback.toggle}>{playback.playing ? 'stop' : 'play'}</button>
      <button onClick={() => playback.wish({ rate: 0.5 })}>half</button>
      <button onClick={() => playback.wish({ volume: 0.9 })}>louder</button>
      <output>
        {playback.clock ? `${playback.clock.bar}·${playback.clock.beat} place ${playback.place}` : '-'}
      </output>
      <p>{playback.failure}</p>
    </>
  );
}

test('plays quietly at first, and says where it is', async () => {
  const user = userEvent.setup();
  render(<Bench />);
  await user.click(screen.getByText('play'));
  await waitFor(() => expect(screen.getByRole('status')).toHaveTextContent('2·2 place 1'));
  expect(made.play).toHaveBeenCalledWith(
    expect.objectContaining({ parts, loop: null, tempo: 80, volume: 0.4, countIn: false }),
  );
  await user.click(screen.getByText('stop'));
  expect(made.stop).toHaveBeenCalled();
  expect(screen.getByRole('status')).toHaveTextContent('-');
});

test('a loop, a tempo and a speed take effect at once; the volume without starting anew', async () => {
  const user = userEvent.setup();
  const { rerender } = render(<Bench />);
  await user.click(screen.getByText('play'));
  await screen.findByText('stop');
  rerender(<Bench loop={{ from: 2, to: 2 }} tempo={100} />);
  await waitFor(() =>
    expect(made.play).toHaveBeenLastCalledWith(
      expect.objectContaining({ loop: { from: 2, to: 2 }, tempo: 100 }),
    ),
  );
  await user.click(screen.getByText('half'));
  expect(made.play).toHaveBeenLastCalledWith(expect.objectContaining({ tempo: 50 }));
  const plays = made.play.mock.calls.length;
  await user.click(screen.getByText('louder'));
  expect(made.volume).toHaveBeenLastCalledWith(0.9);
  expect(made.play).toHaveBeenCalledTimes(plays);
});

test('a browser without sound says so, and everything else goes on', async () => {
  made.play.mockRejectedValue(new Error('no audio'));
  const user = userEvent.setup();
  render(<Bench />);
  await user.click(screen.getByText('play'));
  expect(await screen.findByText(/gives no sound/)).toBeInTheDocument();
  expect(screen.getByText('play')).toBeInTheDocument();
});

test('the sound is given back when the page is left', async () => {
  const user = userEvent.setup();
  const { unmount } = render(<Bench />);
  await user.click(screen.getByText('play'));
  await screen.findByText('stop');
  act(() => unmount());
  expect(made.dispose).toHaveBeenCalled();
});
