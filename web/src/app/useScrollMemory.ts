import { useEffect, type RefObject } from 'react';
import { useLocation } from 'react-router';

/** How long a view may take to be as high as it was. */
const PATIENCE_MS = 1500;

const places = new Map<string, number>();

/** Brings every view back to where it was scrolled to when it was left. */
export function useScrollMemory(scroller: RefObject<HTMLElement | null>): void {
  const { pathname } = useLocation();
  useEffect(() => {
    const element = scroller.current;
    if (!element) {
      return;
    }
    const wanted = places.get(pathname) ?? 0;
    element.scrollTo({ top: wanted });
    let waiting = element.scrollTop < wanted;
    const grown = new ResizeObserver(() => {
      if (waiting) {
        element.scrollTo({ top: wanted });
        waiting = element.scrollTop < wanted;
      }
    });
    for (const child of element.children) {
      grown.observe(child);
    }
    const giveUp = setTimeout(() => (waiting = false), PATIENCE_MS);
    const note = () => {
      if (!waiting) {
        places.set(pathname, element.scrollTop);
      }
    };
    element.addEventListener('scroll', note, { passive: true });
    return () => {
      clearTimeout(giveUp);
      grown.disconnect();
      element.removeEventListener('scroll', note);
    };
  }, [pathname, scroller]);
}
