import { useCallback, useEffect, useReducer, useRef } from 'react';
import type { Song } from '../../../api/client';
import { NO_DECISIONS } from '../../../api/decisions';
import { useSaving, useSongSaver, type Work } from '../../../api/songSaver';
import { useSong } from '../../../api/useSong';
import { useBodyOf, useSongBody } from '../../../api/useArrangement';
import { historyOf, keepHistory } from './history';
import { useFollowedArrangement } from './useFollowedArrangement';
import { benchReducer, type BenchAction, type BenchState } from './benchState';

const NOTHING: BenchState = { past: [], present: { source: '', decisions: NO_DECISIONS }, future: [] };

/** A song on the bench: its arrangement, its decisions with undo, and the saving of them. */
export function useBench(id: number) {
  const song = useSong(id);
  const [state, reduce] = useReducer(benchReducer, NOTHING);
  const saver = useSongSaver();
  const { data, isFetching } = song;
  useEffect(() => {
    if (data && !isFetching && state === NOTHING) {
      reduce({ type: 'open', state: historyOf(data.uid, saver.opened(data)) });
    }
  }, [data, isFetching, state, saver]);
  const ready = state !== NOTHING;
  const uid = data?.uid;
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
  useEffect(() => {
    if (ready && uid !== undefined) {
      keepHistory(uid, state);
      saver.want(id, state.present);
    }
  }, [ready, uid, id, state, saver]);
  const saving = useSaving(id);
  const settle = useCallback(
    (theirs: Song, mine: Work | null) => {
      saver.settle(theirs, mine);
      if (!mine) {
        dispatch({ type: 'write', work: theirs });
      }
    },
    [saver, dispatch],
  );
  return { song, ready, state, dispatch, body, arrangement, arranged, saving, settle };
}

export type BenchDispatch = (action: BenchAction) => void;
