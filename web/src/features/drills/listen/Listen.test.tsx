// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { Listen } from './Listen';
import * as microphone from './microphone';
import { simulatedHand, type Loop } from './simulatedHand';

const LOOP: Loop = {
  from: [48, 52, 55, 60, 64].map((midi) => ({ midi, isOpen: midi === 55 || midi === 64 })),
  to: [45, 52, 57, 60, 64].map((midi) => ({ midi, isOpen: midi === 45 || midi === 64 })),
  tempo: 110,
};
const RATE = 22_050;

afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

beforeEach(() => {
  URL.createObjectURL = () => 'blob:sound';
  URL.revokeObjectURL = () => undefined;
});

function hearing(samples: Float32Array) {
  const stop = vi.fn(() => ({ samples, sampleRate: RATE }));
  vi.spyOn(microphone, 'record').mockResolvedValue({ level: () => 0.4, seconds: () => 12, stop });
  return stop;
}

test('what is played is proposed when listening stops', async () => {
  const played = simulatedHand(LOOP, { bars: 7, seconds: 0.3, noise: 0.05, seed: 3, sampleRate: RATE });
  const stop = hearing(played.samples);
  const propose = vi.fn();
  render(<Listen loop={LOOP} onPropose={propose} />);
  fireEvent.click(screen.getByRole('button', { name: 'Listen (m)' }));
  fireEvent.click(await screen.findByRole('button', { name: 'Stop listening (m)' }));
  expect(await screen.findByText(/^Proposed: /)).toBeTruthy();
  expect(stop).toHaveBeenCalledOnce();
  expect(propose).toHaveBeenCalledOnce();
});

test('silence is said to be too little, and nothing is proposed', async () => {
  hearing(new Float32Array(8 * RATE));
  const propose = vi.fn();
  render(<Listen loop={LOOP} onPropose={propose} />);
  fireEvent.click(screen.getByRole('button', { name: 'Listen (m)' }));
  fireEvent.click(await screen.findByRole('button', { name: 'Stop listening (m)' }));
  expect(await screen.findByText(/^Too little was heard/)).toBeTruthy();
  expect(propose).not.toHaveBeenCalled();
});

test('a microphone that cannot be used is said in words', async () => {
  vi.spyOn(microphone, 'record').mockRejectedValue(new Error('The microphone cannot be used.'));
  render(<Listen loop={LOOP} onPropose={vi.fn()} />);
  fireEvent.click(screen.getByRole('button', { name: 'Listen (m)' }));
  expect(await screen.findByText(/The microphone cannot be used/)).toBeTruthy();
});

test('a drill that is left gives the microphone back', async () => {
  const stop = hearing(new Float32Array(RATE));
  const { unmount } = render(<Listen loop={LOOP} onPropose={vi.fn()} />);
  fireEvent.click(screen.getByRole('button', { name: 'Listen (m)' }));
  await screen.findByRole('button', { name: 'Stop listening (m)' });
  unmount();
  expect(stop).toHaveBeenCalledOnce();
});
