import { useCallback, useEffect, useRef, useState } from 'react';

/** Keeps the screen awake while a stage is on, where the browser can. */
function useAwake(on: boolean): void {
  useEffect(() => {
    if (!on || !('wakeLock' in navigator)) {
      return;
    }
    let lock: WakeLockSentinel | null = null;
    let gone = false;
    // The lock is lost whenever the page is out of sight.
    const hold = () => {
      if (document.visibilityState === 'visible') {
        navigator.wakeLock.request('screen').then(
          (held) => (gone ? void held.release() : (lock = held)),
          // Without one the screen dims as it always does.
          () => undefined,
        );
      }
    };
    hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', hold);
      void lock?.release();
    };
  }, [on]);
}

/** Whether the sheet fills the screen. Leaving the full screen by the browser's own key leaves the stage too. */
export function useStage() {
  const [on, setOn] = useState(false);
  const full = useRef(false);
  useAwake(on);
  const begin = useCallback(() => {
    setOn(true);
    document.documentElement.requestFullscreen?.().then(
      () => (full.current = true),
      // A stage in a window is a stage as well.
      () => undefined,
    );
  }, []);
  const end = useCallback(() => {
    setOn(false);
    if (document.fullscreenElement) {
      void document.exitFullscreen();
    }
    full.current = false;
  }, []);
  useEffect(() => {
    const changed = () => {
      if (full.current && !document.fullscreenElement) {
        full.current = false;
        setOn(false);
      }
    };
    document.addEventListener('fullscreenchange', changed);
    return () => document.removeEventListener('fullscreenchange', changed);
  }, []);
  return { on, begin, end };
}
