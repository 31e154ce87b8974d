/** What the page's storage has under a key; null where there is nothing that can be read. */
export function readKept<T>(key: string): T | null {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null') as T | null;
  } catch {
    return null;
  }
}

/** Keeps something in the page's storage; nothing is kept where it is full or shut. Null forgets it. */
export function writeKept(key: string, value: unknown) {
  try {
    if (value === null) {
      localStorage.removeItem(key);
    } else {
      localStorage.setItem(key, JSON.stringify(value));
    }
  } catch {
    // What is on the page stays there.
  }
}
