import type { RefObject } from 'react';
import { useKey } from '../../shared/useKey';

/** A key goes to the search field. */
export function useSearchKey(field: RefObject<HTMLInputElement | null>) {
  useKey('find', () => field.current?.focus());
}
