// @vitest-environment jsdom
import { act, cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Part } from '../../api/client';
import { usePlayback } from './usePlayback';

const made = vi.hoisted(() => ({
  play: vi.fn(),
  stop: vi.fn(),
  update: vi.fn(),
  counted: vi.fn<() => number | null>(),
  hasEnded: vi.fn<() => boolean>(),
  dispose: vi.fn(),
  beat: vi.fn<() => number | null>(),
}));
vi.mock('./player', () => ({
  Player: class {
    play = made.play;
    stop = made.stop;
    update = made.update;
    counted = made.counted;
    hasEnded = made.hasEnded;
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
    metre: '4/4',
  })),
  heard: [0, 1].map((place) => ({ place, beat: 4 * place, seconds: 0, beats: 1, midi: 60 })),
} as unknown as Part;
const parts = [part];

beforeEach(() => {
  made.play.mockResolvedValue(undefined);
  made.beat.mockReturnValue(5);
  made.counted.mockReturnValue(null);
  made.hasEnded.mockReturnValue(false);
});
afterEach(() => {
  cleanup();
  vi.clearAllMocks();
});

interface Asked {
  loop?: { from: number; to: number } | null;
  tempo?: number;
  place?: number | null;
}

function Bench({ loop = null, tempo = 80, place = null }: Asked) {
  const playback = usePlayback({ parts, tempo, holds: 90, loop, place });
  const at = playback.clock && `${playback.clock.bar}·${playback.clock.beat} place ${playback.place}`;
  return (
    <>
      <button onClick={playback.toggle}>{playback.playing ? 'stop' : 'play'}</button>
      <button onClick={() => playback.wish({ rate: 0.5 })}>half</button>
      <button onClick={() => playback.wish({ buildUp: true })}>build up</button>
      <output>{playback.counted !== null ? `count ${playback.counted}` : (at ?? '-')}</output>
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
    expect.objectContaining({ parts, loop: null, tempo: 80, volume: 0.4, click: false }),
    0,
    false,
    expect.any(Function),
  );
  await user.click(screen.getByText('stop'));
  expect(made.stop).toHaveBeenCalled();
  expect(screen.getByRole('status')).toHaveTextContent('-');
});

test('a loop, a tempo and a speed take effect without starting anew', async () => {
  const user = userEvent.setup();
  const { rerender } = render(<Bench />);
  await user.click(screen.getByText('play'));
  await screen.findByText('stop');
  rerender(<Bench loop={{ from: 2, to: 2 }} tempo={100} />);
  await waitFor(() =>
    expect(made.update).toHaveBeenLastCalledWith(
      expect.objectContaining({ loop: { from: 2, to: 2 }, tempo: 100 }),
    ),
  );
  await user.click(screen.getByText('half'));
  expect(made.update).toHaveBeenLastCalledWith(expect.objectContaining({ tempo: 50 }));
  expect(made.play).toHaveBeenCalledTimes(1);
});

test('begins at the chord that is chosen, else with the loop', async () => {
  const user = userEvent.setup();
  const { rerender } = render(<Bench place={1} />);
  await user.click(screen.getByText('play'));
  await user.click(await screen.findByText('stop'));
  expect(made.play.mock.lastCall?.[1]).toBe(4);
  rerender(<Bench loop={{ from: 2, to: 2 }} />);
  await user.click(screen.getByText('play'));
  expect(made.play.mock.lastCall?.[1]).toBe(4);
});

test('shows the count before the song, not a bar of it', async () => {
  made.beat.mockReturnValue(-2);
  made.counted.mockReturnValue(3);
  const user = userEvent.setup();
  render(<Bench />);
  await user.click(screen.getByText('play'));
  await waitFor(() => expect(screen.getByRole('status')).toHaveTextContent('count 3'));
});

test('each time round is a little faster, up to the tempo it holds', async () => {
  const user = userEvent.setup();
  render(<Bench tempo={100} loop={{ from: 1, to: 2 }} />);
  await user.click(screen.getByText('half'));
  await user.click(screen.getByText('build up'));
  await user.click(screen.getByText('play'));
  await screen.findByText('stop');
  const round = made.play.mock.lastCall?.[3] as () => void;
  act(round);
  expect(made.update).toHaveBeenLastCalledWith(
    expect.objectContaining({ tempo: expect.closeTo(55) as number }),
  );
  for (let i = 0; i < 20; i++) {
    act(round);
  }
  expect(made.update).toHaveBeenLastCalledWith(
    expect.objectContaining({ tempo: expect.closeTo(90) as number }),
  );
});

test('at the end of the song it stops by itself', async () => {
  const user = userEvent.setup();
  render(<Bench />);
  await user.click(screen.getByText('play'));
  await screen.findByText('stop');
  made.hasEnded.mockReturnValue(true);
  await screen.findByText('play');
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
