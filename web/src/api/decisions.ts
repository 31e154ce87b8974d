import type { Decisions } from './client';

/** What holds while nothing has been decided. */
export const NO_DECISIONS: Decisions = {
  rung: 1,
  setting: 'alone',
  capo: null,
  tempo: null,
  transpose: 0,
  locks: [],
  readings: [],
  patterns: [],
  fills: [],
  playerId: null,
  guitarId: null,
  houseRules: {},
  voice: null,
  texture: null,
  textures: [],
  wishes: null,
  solo: null,
  second: null,
};
