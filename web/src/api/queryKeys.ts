import type { Decisions } from './client';

export const songKeys = {
  all: ['songs'] as const,
  one: (id: number) => ['songs', id] as const,
};

export const arrangementKey = (source: string, decisions: Decisions) =>
  ['arrangement', source, decisions] as const;
