import type { Decisions } from './client';

/** What holds while nothing has been decided. */
export const NO_DECISIONS: Decisions = {
  rung: 1,
  setting: 'alone',
  capo: null,
  tempo: null,
  locks: [],
  playerId: null,
  guitarId: null,
  ring: 0,
  motion: 0,
};
