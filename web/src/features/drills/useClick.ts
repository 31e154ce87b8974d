import { useEffect, useState } from 'react';

const BEATS = 4;
const SECONDS = 0.03;

/** Where a click is. */
export interface ClickBeat {
  /** Of its bar, from 0. */
  beat: number;
  /** Whether it still counts in: the first bar after it was turned on. */
  countsIn: boolean;
}

/** A click by the browser's own sound, which counts a bar in; silent while it is off. */
export function useClick(tempo: number, on: boolean): ClickBeat {
  const [at, setAt] = useState(0);
  useEffect(() => {
    if (!on) {
      return;
    }
    const audio = new AudioContext();
    let at = -1;
    const click = () => {
      at++;
      setAt(at);
      const tone = audio.createOscillator();
      const level = audio.createGain();
      tone.frequency.value = at % BEATS === 0 ? 1760 : 1320;
      level.gain.setValueAtTime(0.25, audio.currentTime);
      level.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + SECONDS);
      tone.connect(level).connect(audio.destination);
      tone.start();
      tone.stop(audio.currentTime + SECONDS);
    };
    click();
    const timer = setInterval(click, 60_000 / tempo);
    return () => {
      clearInterval(timer);
      void audio.close();
    };
  }, [tempo, on]);
  return { beat: at % BEATS, countsIn: at < BEATS };
}
