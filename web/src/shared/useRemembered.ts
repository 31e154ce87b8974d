import { useCallback, useState } from 'react';

const PREFIX = 'underhand.view.';

/** How a view was set, which stays so when it is opened again; what is stored and no longer fits is forgotten. */
export function useRemembered(name: string, first: boolean): readonly [boolean, (value: boolean) => void];
export function useRemembered<T extends string>(name: string, first: T): readonly [T, (value: T) => void];
export function useRemembered<T>(name: string, first: T): readonly [T, (value: T) => void] {
  const [value, setValue] = useState<T>(() => stored(name, first));
  const set = useCallback(
    (next: T) => {
      setValue(next);
      try {
        localStorage.setItem(PREFIX + name, JSON.stringify(next));
      } catch {
        // It stays as it is set until the page is left.
      }
    },
    [name],
  );
  return [value, set] as const;
}

const here = new Map<string, string>();

/** What was typed into a view, until the page is loaded anew: a search that outlives the day would hide songs. */
export function useRememberedHere(name: string): readonly [string, (value: string) => void] {
  const [value, setValue] = useState(() => here.get(name) ?? '');
  const set = useCallback(
    (next: string) => {
      setValue(next);
      here.set(name, next);
    },
    [name],
  );
  return [value, set] as const;
}

function stored<T>(name: string, first: T): T {
  try {
    const value: unknown = JSON.parse(localStorage.getItem(PREFIX + name) ?? 'null');
    return typeof value === typeof first ? (value as T) : first;
  } catch {
    return first;
  }
}
