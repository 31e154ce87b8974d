import { useEffect, type RefObject } from 'react';

/** The key f goes to the search field. */
export function useSearchKey(field: RefObject<HTMLInputElement | null>) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && event.target.matches('input, textarea, select');
      if (event.key === 'f' && !typing && !event.ctrlKey && !event.metaKey && !event.altKey) {
        event.preventDefault();
        field.current?.focus();
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [field]);
}
