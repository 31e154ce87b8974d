import { useQuery } from '@tanstack/react-query';
import { useEffect, useEffectEvent, useState } from 'react';
import { api, type Tune } from '../../../api/client';
import type { TuneNote } from '../../../shared/tune';

/** After so much rest what was written goes into the chart. */
const REST_MS = 450;

interface Written {
  /** The text the notes belong to. */
  source: string;
  notes: TuneNote[];
  /** Notes that are in the text. */
  stored: TuneNote[];
}

/**
 * The tune of a chart while it is written: the page leads, the text follows when the hand rests, one step of undo each time. A
 * text that somebody else changed, or that was undone, leads again.
 */
export function useTune(source: string, onWrite: (source: string) => void) {
  const asked = useQuery({
    queryKey: ['tune', source],
    queryFn: ({ signal }) => api.tune(source, signal),
    staleTime: Infinity,
    retry: false,
  });
  const [written, setWritten] = useState<Written | null>(null);
  const [bars, setBars] = useState<Tune['bars']>([]);
  const [error, setError] = useState<unknown>(null);
  if (asked.data && written?.source !== source) {
    setWritten({ source, notes: asked.data.notes, stored: asked.data.notes });
    setBars(asked.data.bars);
  }
  const store = useEffectEvent(async (from: Written) => {
    try {
      const { source: text } = await api.writeTune(from.source, from.notes);
      setError(null);
      setWritten((now) => now && { ...now, source: text, stored: from.notes });
      onWrite(text);
    } catch (failed) {
      setError(failed);
    }
  });
  useEffect(() => {
    if (written && written.notes !== written.stored && written.source === source) {
      const timer = setTimeout(() => void store(written), REST_MS);
      return () => clearTimeout(timer);
    }
  }, [written, source]);
  const edit = (change: (notes: TuneNote[]) => TuneNote[]) =>
    setWritten((now) => now && { ...now, notes: change(now.notes) });
  return {
    bars,
    notes: written?.notes ?? [],
    edit,
    error: error ?? asked.error,
    isStored: written === null || written.notes === written.stored,
  };
}
