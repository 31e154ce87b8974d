import { expect, test } from 'vitest';
import { midiAct } from './pedals';

test('a MIDI pedal acts when it is pressed, on any channel', () => {
  expect(midiAct([0xb0, 64, 127])).toBe('forward');
  expect(midiAct([0xb3, 67, 100])).toBe('back');
  expect(midiAct([0xb0, 66, 127])).toBe('loop');
  expect(midiAct([0xb0, 64, 0])).toBeNull();
  expect(midiAct([0x90, 64, 127])).toBeNull();
});
