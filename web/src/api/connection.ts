import { useSyncExternalStore } from 'react';

/** Whether the application answers. Set by every call, and asked after on its own while it does not. */
let answers = true;
let asking: ReturnType<typeof setInterval> | undefined;
const listeners = new Set<() => void>();

const ASK_EVERY_MS = 2000;

function set(now: boolean) {
  if (now !== answers) {
    answers = now;
    listeners.forEach((listener) => listener());
  }
}

/** A call was answered. */
export function answered() {
  clearInterval(asking);
  asking = undefined;
  set(true);
}

/** A call reached nobody: asks again until somebody answers. */
export function unanswered() {
  set(false);
  asking ??= setInterval(() => {
    fetch('/actuator/health').then(
      // One that cannot store anything says so with an error, but it answers.
      () => answered(),
      () => undefined,
    );
  }, ASK_EVERY_MS);
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Tells when the application answers again; ends with the function it gives. */
export function onAnswered(listener: () => void): () => void {
  return subscribe(() => answers && listener());
}

export function useConnected(): boolean {
  return useSyncExternalStore(subscribe, () => answers);
}
