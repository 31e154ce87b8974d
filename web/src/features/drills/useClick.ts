import { useEffect, useState } from 'react';

const BEATS = 4;
const SECONDS = 0.03;

/** A click by the browser's own sound, and the beat it is on, from 0; silent while it is off. */
export function useClick(tempo: number, on: boolean): number {
  const [beat, setBeat] = useState(0);
  useEffect(() => {
    if (!on) {
      return;
    }
    const audio = new AudioContext();
    let at = -1;
    const click = () => {
      at = (at + 1) % BEATS;
      setBeat(at);
      const tone = audio.createOscillator();
      const level = audio.createGain();
      tone.frequency.value = at === 0 ? 1760 : 1320;
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
  return beat;
}
