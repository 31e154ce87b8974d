import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { api } from '../api/client';
import { useSettled } from './useSettled';

const AFTER_MS = 250;

/** What is understood of a chart's text, a moment after it was typed; that of the text before stays until then. */
export function useReading(source: string) {
  const settled = useSettled(source, AFTER_MS);
  const { data } = useQuery({
    queryKey: ['reading', settled],
    queryFn: async ({ signal }) => ({ source: settled, ...(await api.readChart(settled, signal)) }),
    enabled: settled.trim() !== '',
    placeholderData: keepPreviousData,
    gcTime: 60_000,
  });
  return source.trim() === '' ? undefined : data;
}

export type Reading = NonNullable<ReturnType<typeof useReading>>;
