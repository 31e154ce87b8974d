import { useCallback, useMemo, useState } from 'react';
import type { Part } from '../../api/client';
import { usePart, useSecondPart } from '../../api/usePart';
import { loopTempo, sectionLoop, type Loop } from '../../shared/loop';
import { useSettled } from '../../shared/useSettled';
import { usePlayback } from '../sound/usePlayback';
import { usePractised } from '../sound/usePractised';
import type { Work } from './state/BenchWork';

const PART_AFTER_MS = 600;

/** What is heard of the song on the bench, and the bars that are looped. */
export function useHeard(songId: number, { arrangement, arranged, place }: Work) {
  const [asked, setLoop] = useState<Loop | null>(null);
  // A loop ends with the bars it named.
  const loop = asked && arrangement && asked.to <= (arrangement.placements.at(-1)?.bar ?? 0) ? asked : null;
  // The notes are for the ear: they may come a moment after the road.
  const heard = useSettled(arranged, PART_AFTER_MS);
  const part = usePart(heard, arrangement !== undefined);
  const second = useSecondPart(heard);
  const parts = useMemo<Part[]>(() => [part, second].filter((p) => p !== undefined), [part, second]);
  const tempo = arrangement?.tempo ?? 92;
  const holds = (arrangement && loop && loopTempo(arrangement, loop)) ?? arrangement?.fastestTempo ?? tempo;
  const playback = usePlayback({ parts, tempo, holds, loop, place });
  usePractised(songId, playback.playing);
  const toggleLoop = useCallback(() => {
    const bar = arrangement?.placements[place ?? 0]?.bar;
    setLoop((now) => (now || !arrangement || bar === undefined ? null : sectionLoop(arrangement, bar)));
  }, [arrangement, place]);
  return { part, playback, loop, setLoop, toggleLoop };
}
