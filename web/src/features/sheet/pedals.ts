/** What a foot asks for. */
export type PedalAct = 'forward' | 'back' | 'loop';

const CONTROL_CHANGE = 0xb0;
const SUSTAIN = 64;
const SOSTENUTO = 66;
const SOFT = 67;
const PRESSED = 64;

/** What a message of a MIDI pedal asks for: the sustain pedal turns on, the soft one back, the one between loops. */
export function midiAct(data: Uint8Array | readonly number[]): PedalAct | null {
  const [status = 0, controller = 0, value = 0] = data;
  if ((status & 0xf0) !== CONTROL_CHANGE || value < PRESSED) {
    return null;
  }
  return controller === SUSTAIN
    ? 'forward'
    : controller === SOFT
      ? 'back'
      : controller === SOSTENUTO
        ? 'loop'
        : null;
}

/** Listens to every MIDI device there is; gives what stops it. */
export async function midiPedals(onAct: (act: PedalAct) => void): Promise<() => void> {
  const access = await navigator.requestMIDIAccess();
  const heard = (event: MIDIMessageEvent) => {
    const act = event.data && midiAct(event.data);
    if (act) {
      onAct(act);
    }
  };
  const listen = () => access.inputs.forEach((input) => (input.onmidimessage = heard));
  listen();
  access.onstatechange = listen;
  return () => {
    access.onstatechange = null;
    access.inputs.forEach((input) => (input.onmidimessage = null));
  };
}
