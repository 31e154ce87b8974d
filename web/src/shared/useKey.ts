import { useHotkeys } from 'react-hotkeys-hook';
import { KEYS, type KeyId } from './keyTable';

/** Where keys go into a text, a choice or a menu, and are no commands. */
const FIELDS =
  'input, textarea, select, [contenteditable="true"], [role="slider"], [role="menu"], [role="listbox"]';

function isTaken(event: KeyboardEvent): boolean {
  const { target } = event;
  return (
    document.querySelector('[role="dialog"]') !== null ||
    (target instanceof Element &&
      (target.closest(FIELDS) !== null ||
        ((event.key === ' ' || event.key === 'Enter') && target.closest('button, a') !== null)))
  );
}

/**
 * Does something when the key of a command is pressed.
 *
 * @param act answers false where the key means nothing now, and keeps its own meaning
 */
export function useKey(id: KeyId, act: (event: KeyboardEvent) => unknown, enabled = true): void {
  const key = KEYS[id];
  useHotkeys(
    key.press,
    (event) => {
      if (!isTaken(event) && act(event) !== false) {
        event.preventDefault();
      }
    },
    {
      enabled,
      enableOnFormTags: true,
      useKey: !('byPlace' in key),
      sequenceTimeoutMs: 1500,
    },
    [act],
  );
}
