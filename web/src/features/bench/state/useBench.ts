import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useReducer, useRef, useState } from 'react';
import { api, ProblemError, type Song } from '../../../api/client';
import { NO_DECISIONS } from '../../../api/decisions';
import { useConnected } from '../../../api/connection';
import { songKeys } from '../../../api/queryKeys';
import { useSong } from '../../../api/useSong';
import { useBodyOf, useSongBody } from '../../../api/useArrangement';
import { useFollowedArrangement } from './useFollowedArrangement';
import { benchReducer, type BenchAction, type BenchState, type Work } from './benchState';

/** The road follows a dial before the book does. */
const SAVE_AFTER_MS = 250;

const NOTHING: BenchState = { past: [], present: { source: '', decisions: NO_DECISIONS }, future: [] };

/** A song on the bench: its arrangement, its decisions with undo, and the saving of them. */
export function useBench(id: number) {
  const song = useSong(id);
  const [state, reduce] = useReducer(benchReducer, NOTHING);
  const [opened, setOpened] = useState<Song>();
  if (song.data && !song.isFetching && song.data.id !== opened?.id) {
    setOpened(song.data);
    reduce({ type: 'open', work: { source: song.data.source, decisions: song.data.decisions } });
  }
  const ready = opened?.id === id;
  const bodyOf = useBodyOf();
  const { source, decisions } = state.present;
  const body = useSongBody(source, decisions);
  const { arrangement, arranged, ask } = useFollowedArrangement(ready ? body : undefined);
  const latest = useRef(state);
  useEffect(() => {
    latest.current = state;
  }, [state]);
  const dispatch = useCallback(
    (action: BenchAction) => {
      const { present } = (latest.current = benchReducer(latest.current, action));
      const next = bodyOf(present.source, present.decisions);
      if (next) {
        ask(next);
      }
      reduce(action);
    },
    [ask, bodyOf],
  );
  const saving = useSaving(ready ? opened : undefined, state.present);
  return { song, ready, state, dispatch, body, arrangement, arranged, saving };
}

export type BenchDispatch = (action: BenchAction) => void;

interface Saved {
  id: number;
  version: number;
  work: string;
}

/** Writes every change to the book, one after the other, each over the version the one before it made. */
function useSaving(opened: Song | undefined, work: Work) {
  const queries = useQueryClient();
  const [error, setError] = useState<unknown>(null);
  const saved = useRef<Saved>(undefined);
  const queue = useRef<Promise<void>>(Promise.resolve());
  const pending = useRef<() => void>(undefined);

  const save = useCallback(
    (id: number, wanted: Work) => {
      const text = JSON.stringify(wanted);
      queue.current = queue.current.then(async () => {
        const last = saved.current;
        if (!last || last.id !== id || last.work === text) {
          return;
        }
        try {
          const song = await api.changeSong(id, last.version, wanted.source, wanted.decisions);
          saved.current = { id, version: song.version, work: text };
          queries.setQueryData(songKeys.one(id), song);
          void queries.invalidateQueries({ queryKey: songKeys.all, exact: true });
          setError(null);
        } catch (problem) {
          setError(problem);
        }
      });
    },
    [queries],
  );

  useEffect(() => {
    if (!opened) {
      return;
    }
    if (saved.current?.id !== opened.id) {
      saved.current = { id: opened.id, version: opened.version, work: JSON.stringify(work) };
      return;
    }
    const write = () => {
      pending.current = undefined;
      save(opened.id, work);
    };
    pending.current = write;
    const timer = setTimeout(write, SAVE_AFTER_MS);
    return () => clearTimeout(timer);
  }, [opened, work, save]);

  // Whoever leaves within that moment loses nothing.
  useEffect(() => {
    const leave = () => pending.current?.();
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      leave();
    };
  }, []);

  // What could not be written while nobody answered is written as soon as somebody does.
  const connected = useConnected();
  useEffect(() => {
    if (connected && opened && saved.current?.id === opened.id) {
      save(opened.id, work);
    }
    // Only a connection that comes back writes here; work that changes is written above.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [connected]);

  const theirs = error instanceof ProblemError && error.status === 409 ? (error.body.current as Song) : null;

  /** Settles a refused write: writes this work over the other version, or goes on from that one. */
  const settle = useCallback(
    (current: Song, mine: Work | null) => {
      saved.current = {
        id: current.id,
        version: current.version,
        work: JSON.stringify({ source: current.source, decisions: current.decisions }),
      };
      setError(null);
      if (mine) {
        save(current.id, mine);
      }
    },
    [save],
  );

  const unanswered = error instanceof ProblemError && error.status === 0;
  return { error: theirs || unanswered ? null : error, theirs, settle };
}
