import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { useMutation, useQueryClient, type InvalidateQueryFilters } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Problem } from './Problem';

export interface Removal<T> {
  remove: (thing: T) => void;
  busy: boolean;
  /** Says what was removed and puts it back; or what went wrong. */
  notice: ReactNode;
}

/**
 * Removes things at a click and puts the last one back at another.
 *
 * @param said what is said of a removed one
 * @param reread what is read again after either
 */
export function useRemoval<T>({
  remove,
  putBack,
  said,
  reread,
}: {
  remove: (thing: T) => Promise<unknown>;
  putBack: (thing: T) => Promise<unknown>;
  said: (thing: T) => string;
  reread: InvalidateQueryFilters[];
}): Removal<T> {
  const queries = useQueryClient();
  const onSuccess = () => Promise.all(reread.map((what) => queries.invalidateQueries(what)));
  const removing = useMutation({ mutationFn: remove, onSuccess });
  const back = useMutation({ mutationFn: putBack, onSuccess });
  const removed = removing.isSuccess && !back.isSuccess ? removing.variables : null;
  return {
    remove: (thing) => {
      back.reset();
      removing.mutate(thing);
    },
    busy: removing.isPending || back.isPending,
    notice: (
      <>
        {removing.isError && <Problem error={removing.error} />}
        {back.isError && <Problem error={back.error} />}
        <Snackbar
          open={removed !== null}
          message={removed === null ? '' : said(removed)}
          action={
            <Button color="inherit" onClick={() => removed !== null && back.mutate(removed)}>
              Undo
            </Button>
          }
        />
      </>
    ),
  };
}
