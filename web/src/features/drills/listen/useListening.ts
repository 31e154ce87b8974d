import { useEffect, useRef, useState } from 'react';
import type { Recording } from './microphone';
import type { Loop } from './simulatedHand';
import type { Proposal } from './verdict';

/** A recording ends by itself after so many seconds. */
const LONGEST = 150;
const LOOK_MS = 150;

/** Bars a simulated player plays, and how long a change takes it, as a part of a beat. */
const BARS = 9;
const AT_EASE = 0.9;
const RATE = 44_100;
const ROOM = 0.1;

export type Listening =
  | { is: 'idle' }
  | { is: 'on'; level: number; seconds: number }
  | { is: 'judging' }
  | { is: 'told'; proposal: Proposal }
  | { is: 'unheard' }
  | { is: 'failed'; error: Error };

/** Listens to a loop of two chords and judges it when it is over; the sound of a simulated player is judged the same way. */
export function useListening(loop: Loop, onPropose: (proposal: Proposal) => void) {
  const [state, setState] = useState<Listening>({ is: 'idle' });
  const [file, setFile] = useState<string | null>(null);
  /** What is recorded, and the loop as it was when that began. */
  const recorded = useRef<{ recording: Recording; loop: Loop } | null>(null);

  const gone = useRef(false);

  const judge = async (samples: Float32Array, sampleRate: number, played: Loop) => {
    setState({ is: 'judging' });
    const [{ hear }, { verdict }] = await Promise.all([import('./ear'), import('./verdict')]);
    const proposal = verdict(hear(samples, sampleRate, played), played.tempo);
    setState(proposal ? { is: 'told', proposal } : { is: 'unheard' });
    if (proposal) {
      onPropose(proposal);
    }
  };
  const stop = () => {
    const over = recorded.current;
    recorded.current = null;
    if (over) {
      const { samples, sampleRate } = over.recording.stop();
      void judge(samples, sampleRate, over.loop);
    }
  };
  const start = async () => {
    try {
      const { record } = await import('./microphone');
      const recording = await record();
      if (gone.current) {
        recording.stop();
      } else {
        recorded.current = { recording, loop };
        setState({ is: 'on', level: 0, seconds: 0 });
      }
    } catch (error) {
      setState({ is: 'failed', error: error as Error });
    }
  };
  const look = () => {
    const recording = recorded.current?.recording;
    if (recording && recording.seconds() > LONGEST) {
      stop();
    } else if (recording) {
      setState({ is: 'on', level: recording.level(), seconds: recording.seconds() });
    }
  };
  const latest = useRef(look);
  useEffect(() => {
    latest.current = look;
  });
  const isOn = state.is === 'on';
  useEffect(() => {
    const timer = isOn ? setInterval(() => latest.current(), LOOK_MS) : undefined;
    return () => clearInterval(timer);
  }, [isOn]);
  useEffect(() => {
    gone.current = false;
    return () => {
      gone.current = true;
      recorded.current?.recording.stop();
      recorded.current = null;
    };
  }, []);
  useEffect(() => () => (file === null ? undefined : URL.revokeObjectURL(file)), [file]);

  const simulate = async () => {
    setState({ is: 'judging' });
    const [{ simulatedHand }, { wav }] = await Promise.all([import('./simulatedHand'), import('./wav')]);
    const played = simulatedHand(loop, {
      bars: BARS,
      seconds: (AT_EASE * 60) / loop.tempo,
      noise: ROOM,
      seed: Math.round(loop.tempo),
      sampleRate: RATE,
    });
    setFile(URL.createObjectURL(wav(played.samples, RATE)));
    await judge(played.samples, RATE, loop);
  };
  return {
    state,
    /** The sound of the simulated player, to be saved; null until it has played. */
    file,
    toggle: () => (recorded.current ? stop() : void start()),
    simulate: () => void simulate(),
  };
}
