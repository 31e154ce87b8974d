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

/**
 * The same of a form that is being filled in.
 *
 * @param given what it starts from; the fields of a draft are laid over it
 */
export function useDraftOf<T extends object>(name: string, given: T) {
  const start = JSON.stringify(given);
  const { text, write, forget, isOld } = useDraft(name, start);
  const set = useCallback((next: T) => write(JSON.stringify(next)), [write]);
  return { value: laidOver(given, text), set, forget, isOld, isChanged: text !== start };
}

function laidOver<T extends object>(given: T, text: string): T {
  try {
    return { ...given, ...(JSON.parse(text) as Partial<T>) };
  } catch {
    return given;
  }
}
