import { useCallback, useState } from 'react';

/** Names of drafts in the page's storage. */
const PREFIX = 'underhand.draft.';

function stored(name: string): string | null {
  try {
    return localStorage.getItem(PREFIX + name);
  } catch {
    return null;
  }
}

function store(name: string, text: string | null) {
  try {
    if (text === null) {
      localStorage.removeItem(PREFIX + name);
    } else {
      localStorage.setItem(PREFIX + name, text);
    }
  } catch {
    // A full or forbidden storage keeps no drafts; the text is still on the page.
  }
}

/**
 * A text that is being typed and outlives leaving and reloading the page until it is used or given up.
 *
 * @param given the text it starts from; a draft that says the same is none
 */
export function useDraft(name: string, given: string) {
  const [kept] = useState(() => stored(name));
  const [text, setText] = useState(kept ?? given);
  const write = useCallback(
    (next: string) => {
      setText(next);
      store(name, next === given || next.trim() === '' ? null : next);
    },
    [name, given],
  );
  const forget = useCallback(() => store(name, null), [name]);
  return { text, write, forget, isOld: kept !== null && kept !== given };
}
