import { useState } from 'react';

/** The last answer there was, so that a mistyped question does not empty the page. */
export function useLast<T>(answer: T | undefined): T | undefined {
  const [last, keep] = useState(answer);
  if (answer !== undefined && answer !== last) {
    keep(answer);
  }
  return answer ?? last;
}
