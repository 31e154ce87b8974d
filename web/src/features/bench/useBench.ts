import { keepPreviousData, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useReducer, useRef, useState } from 'react';
import { api, type Song } from '../../api/client';
import { arrangementKey, songKeys } from '../../api/queryKeys';
import { benchReducer, type BenchAction, type BenchState, type Work } from './benchState';

const NOTHING: BenchState = {
  past: [],
  present: { source: '', decisions: { rung: 1, setting: 'alone', capo: null, tempo: null, locks: [] } },
  future: [],
};

/** A song on the bench: its arrangement, its decisions with undo, and the saving of them. */
export function useBench(id: number) {
  const song = useQuery({ queryKey: songKeys.one(id), queryFn: () => api.song(id) });
  const [state, dispatch] = useReducer(benchReducer, NOTHING);
  const [opened, setOpened] = useState<Song>();
  if (song.data && song.data.id !== opened?.id) {
    setOpened(song.data);
    dispatch({ type: 'open', work: { source: song.data.source, decisions: song.data.decisions } });
  }
  const ready = opened?.id === id;
  const arrangement = useQuery({
    queryKey: arrangementKey(state.present.source, state.present.decisions),
    queryFn: ({ signal }) => api.arrange(state.present.source, state.present.decisions, signal),
    enabled: ready,
    placeholderData: keepPreviousData,
  });
  const saving = useSaving(ready ? opened : undefined, state.present);
  return { song, ready, state, dispatch, arrangement, saving };
}

export type BenchDispatch = (action: BenchAction) => void;

/** Writes every change to the book, one after the other, each over the version the one before it made. */
function useSaving(opened: Song | undefined, work: Work) {
  const queries = useQueryClient();
  const [error, setError] = useState<unknown>(null);
  const saved = useRef<{ id: number; version: number; work: string }>(undefined);
  const queue = useRef<Promise<void>>(Promise.resolve());

  useEffect(() => {
    if (!opened) {
      return;
    }
    const wanted = JSON.stringify(work);
    if (saved.current?.id !== opened.id) {
      saved.current = { id: opened.id, version: opened.version, work: wanted };
      return;
    }
    queue.current = queue.current.then(async () => {
      const last = saved.current;
      if (!last || last.id !== opened.id || last.work === wanted) {
        return;
      }
      try {
        const song = await api.changeSong(opened.id, last.version, work.source, work.decisions);
        saved.current = { id: song.id, version: song.version, work: wanted };
        queries.setQueryData(songKeys.one(song.id), song);
        void queries.invalidateQueries({ queryKey: songKeys.all, exact: true });
        setError(null);
      } catch (problem) {
        setError(problem);
      }
    });
  }, [opened, work, queries]);

  return { error };
}
