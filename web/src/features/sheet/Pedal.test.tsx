// @vitest-environment jsdom
import { cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, expect, test, vi } from 'vitest';
import { Pedal } from './Pedal';

afterEach(() => {
  cleanup();
  Reflect.deleteProperty(navigator, 'requestMIDIAccess');
});

test('turns pages by screen and by keys', async () => {
  const user = userEvent.setup();
  const onAct = vi.fn();
  render(<Pedal onAct={onAct} />);
  await user.click(screen.getByRole('button', { name: 'Page on' }));
  await user.click(screen.getByRole('button', { name: 'Loop this section' }));
  await user.keyboard('{PageUp}');
  expect(onAct.mock.calls.map(([act]) => act as string)).toEqual(['forward', 'loop', 'back']);
  expect(screen.queryByText('Use a MIDI pedal')).toBeNull();
});

test('listens to a MIDI pedal when it is asked to, and stops when it leaves', async () => {
  const input: { onmidimessage: ((event: unknown) => void) | null } = { onmidimessage: null };
  const access = { inputs: new Map([['pedal', input]]), onstatechange: null };
  Object.defineProperty(navigator, 'requestMIDIAccess', {
    configurable: true,
    value: vi.fn().mockResolvedValue(access),
  });
  const user = userEvent.setup();
  const onAct = vi.fn();
  const { unmount } = render(<Pedal onAct={onAct} />);
  await user.click(screen.getByRole('button', { name: 'Use a MIDI pedal' }));
  await waitFor(() => expect(input.onmidimessage).not.toBeNull());
  input.onmidimessage?.({ data: Uint8Array.from([0xb0, 64, 127]) });
  expect(onAct).toHaveBeenCalledWith('forward');
  unmount();
  expect(input.onmidimessage).toBeNull();
});

test('says so when no MIDI pedal can be reached, and leaves keys in fields alone', async () => {
  Object.defineProperty(navigator, 'requestMIDIAccess', {
    configurable: true,
    value: vi.fn().mockRejectedValue(new Error('refused')),
  });
  const user = userEvent.setup();
  const onAct = vi.fn();
  render(
    <>
      <input aria-label="field" />
      <Pedal onAct={onAct} />
    </>,
  );
  await user.click(screen.getByRole('button', { name: 'Use a MIDI pedal' }));
  expect(await screen.findByText('No MIDI pedal can be reached')).toBeInTheDocument();
  fireEvent.keyDown(screen.getByLabelText('field'), { key: 'o' });
  expect(onAct).not.toHaveBeenCalled();
});
