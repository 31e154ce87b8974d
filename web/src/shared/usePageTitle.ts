import { useEffect } from 'react';

const HOUSE = 'Underhand';

/** Names the tab after what is in it, the most particular first; what is not known yet is left out. */
export function usePageTitle(...names: (string | undefined)[]): void {
  const title = [...names, HOUSE].filter((name) => name !== undefined && name !== '').join(' · ');
  useEffect(() => {
    document.title = title;
    return () => {
      document.title = HOUSE;
    };
  }, [title]);
}
