import createClient from 'openapi-fetch';
import { answered, unanswered } from './connection';
import type { components, paths } from './generated/schema';

import type {
  DrillCurveOf,
  EngravingOrder,
  OwnTexture,
  OwnTuning,
  Tune,
  MapAt,
  ChordsAt,
  OwnPattern,
  Decisions,
  PlayerLimits,
  GuitarBuild,
  Range,
  PreviewBody,
  RestorePlan,
  RestoreMode,
} from './types';

export type * from './types';

type Schemas = components['schemas'];

/** An answer of the server that is no success, as RFC 9457 has it. */
export class ProblemError extends Error {
  readonly status: number;
  readonly title: string;
  /** Everything the server said, such as both versions of a stale write. */
  readonly body: Record<string, unknown>;

  constructor(status: number, title: string, detail: string, body: Record<string, unknown> = {}) {
    super(detail);
    this.status = status;
    this.title = title;
    this.body = body;
  }
}

/** Asked once more when nobody answered or the server stumbled; what it refused, it would refuse again. */
export function worthRetrying(failures: number, error: unknown): boolean {
  const refused = error instanceof ProblemError && error.status >= 400 && error.status < 500;
  return failures < 1 && !refused;
}

const OFFLINE = new ProblemError(
  0,
  'No connection',
  'Underhand does not answer. Check that it is still running, then try again. What you typed is still here.',
);

const MOST_CARRIED = 20_000;

/** Who asks: this tab. Work of several tabs takes turns. */
const TAB = crypto.randomUUID?.() ?? String(Math.random());

/** What is answered, and nothing but that: whatever else comes of it is thrown. */
async function ask(request: Request): Promise<Response> {
  const response = await fetch(request).catch((error: unknown) => {
    if (request.signal.aborted) {
      throw error;
    }
    unanswered();
    throw OFFLINE;
  });
  answered();
  if (!response.ok) {
    const answer = (await response.json().catch(() => ({}))) as Record<string, unknown>;
    const detail = typeof answer.detail === 'string' ? answer.detail : 'The server gave no reason.';
    throw new ProblemError(response.status, String(answer.title ?? 'Not done'), detail, answer);
  }
  return response;
}

const { GET, POST, PUT, DELETE } = createClient<paths>({ fetch: ask, headers: { 'X-Client': TAB } });

/** The content of an answer; what is no answer was thrown before. */
async function sent<T>(answer: Promise<{ data?: T }>): Promise<T> {
  return (await answer).data as T;
}

/** A change on its way outlives the page it was made on; browsers carry only small ones so far. */
function carried(body: unknown): { keepalive: boolean } {
  return { keepalive: JSON.stringify(body).length < MOST_CARRIED };
}

/** A request that can be given up. */
function until(signal: AbortSignal | undefined): { signal?: AbortSignal } {
  return signal ? { signal } : {};
}

/** A shape on a neck: frets from the capo, strings from the lowest. */
export interface DeskAt {
  frets: string;
  tuning: string;
  capo: number;
  playerId: number | null;
}

/** Now, with the player's own offset: a day of practice is the player's. */
export function hereAndNow(now = new Date()): string {
  const minutes = -now.getTimezoneOffset();
  const local = new Date(now.getTime() + minutes * 60_000).toISOString().slice(0, 19);
  const two = (n: number) => String(Math.floor(Math.abs(n))).padStart(2, '0');
  return `${local}${minutes < 0 ? '-' : '+'}${two(minutes / 60)}:${two(minutes % 60)}`;
}

function ofPlayer(playerId: number | null): { playerId?: number } {
  return playerId === null ? {} : { playerId };
}

/** A file of a song and the name it is saved under. */
export interface TakenFile {
  name: string;
  blob: Blob;
}

/** What a file is written from. */
export type FileOrder = Schemas['FileRequest'];

async function takeFile(body: FileOrder): Promise<TakenFile> {
  const { data, response } = await POST('/api/v1/files', { body, parseAs: 'blob' });
  const disposition = response.headers.get('Content-Disposition') ?? '';
  const encoded = /filename\*=UTF-8''([^;]+)/.exec(disposition)?.[1];
  const plain = /filename="([^"]+)"/.exec(disposition)?.[1];
  return { name: encoded ? decodeURIComponent(encoded) : (plain ?? 'song'), blob: data as Blob };
}

const path = <T extends object>(values: T) => ({ params: { path: values } });

/** A backup put back: a file, or the name of one that was made by itself. */
function restore(from: Blob | string, mode: RestoreMode, preview: boolean): Promise<RestorePlan> {
  const query = { mode, preview };
  return typeof from === 'string'
    ? sent(POST('/api/v1/backups/{name}/restore', { params: { path: { name: from }, query } }))
    : sent(
        POST('/api/v1/restore', {
          params: { query },
          body: from as unknown as string,
          bodySerializer: (zip: unknown) => zip as Blob,
          headers: { 'Content-Type': 'application/zip' },
        }),
      );
}

export const api = {
  songs: () => sent(GET('/api/v1/songs')),
  song: (id: number) => sent(GET('/api/v1/songs/{id}', path({ id }))),
  efforts: (id: number, signal?: AbortSignal) =>
    sent(GET('/api/v1/songs/{id}/efforts', { ...path({ id }), ...until(signal) })),
  addSong: (source: string) => sent(POST('/api/v1/songs', { body: { source } })),
  changeSong: (id: number, version: number, source: string, decisions: Decisions) => {
    const body = { version, source, decisions };
    return sent(PUT('/api/v1/songs/{id}', { ...path({ id }), body, ...carried(body) }));
  },
  removeSong: (id: number) => sent(DELETE('/api/v1/songs/{id}', path({ id }))),
  removedSongs: () => sent(GET('/api/v1/removed-songs')),
  putBack: (id: number) => sent(POST('/api/v1/removed-songs/{id}/put-back', path({ id }))),
  backups: () => sent(GET('/api/v1/backups')),
  restore,
  undoRestore: () => sent(POST('/api/v1/restore/undo')),
  about: () => sent(GET('/api/v1/about')),
  licences: () => sent(GET('/api/v1/licences')),
  readChart: (source: string, signal?: AbortSignal) =>
    sent(POST('/api/v1/charts/read', { body: { source }, ...until(signal) })),
  carry: (before: string, after: string, decisions: Decisions) =>
    sent(POST('/api/v1/songs/carry', { body: { before, after, decisions } })),
  look: (id: number) => sent(POST('/api/v1/songs/{id}/look', path({ id }))),
  practised: (id: number) => sent(POST('/api/v1/songs/{id}/practice', path({ id }))),
  rungs: () => sent(GET('/api/v1/rungs')),
  reaches: () => sent(GET('/api/v1/reaches')),
  players: () => sent(GET('/api/v1/players')),
  addPlayer: (limits: PlayerLimits) => sent(POST('/api/v1/players', { body: { limits } })),
  changePlayer: (id: number, version: number, limits: PlayerLimits) => {
    const body = { version, limits };
    return sent(PUT('/api/v1/players/{id}', { ...path({ id }), body, ...carried(body) }));
  },
  putBackPlayer: (id: number) => sent(POST('/api/v1/players/{id}/put-back', path({ id }))),
  removePlayer: (id: number) => sent(DELETE('/api/v1/players/{id}', path({ id }))),
  guitars: () => sent(GET('/api/v1/guitars')),
  addGuitar: (build: GuitarBuild) => sent(POST('/api/v1/guitars', { body: { build } })),
  changeGuitar: (id: number, version: number, build: GuitarBuild) => {
    const body = { version, build };
    return sent(PUT('/api/v1/guitars/{id}', { ...path({ id }), body, ...carried(body) }));
  },
  putBackGuitar: (id: number) => sent(POST('/api/v1/guitars/{id}/put-back', path({ id }))),
  removeGuitar: (id: number) => sent(DELETE('/api/v1/guitars/{id}', path({ id }))),
  versions: (songId: number) => sent(GET('/api/v1/songs/{songId}/versions', path({ songId }))),
  keepVersion: (songId: number, name: string, source: string, decisions: Decisions) =>
    sent(POST('/api/v1/songs/{songId}/versions', { ...path({ songId }), body: { name, source, decisions } })),
  planned: (songId: number, id: number) =>
    sent(GET('/api/v1/songs/{songId}/versions/{id}/planned', path({ songId, id }))),
  putBackVersion: (songId: number, id: number) =>
    sent(POST('/api/v1/songs/{songId}/versions/{id}/put-back', path({ songId, id }))),
  removeVersion: (songId: number, id: number) =>
    sent(DELETE('/api/v1/songs/{songId}/versions/{id}', path({ songId, id }))),
  alternatives: (song: PreviewBody, index: number, signal?: AbortSignal) =>
    sent(POST('/api/v1/arrangements/alternatives', { body: { song, index }, ...until(signal) })),
  fingerings: (song: PreviewBody, index: number, signal?: AbortSignal) =>
    sent(POST('/api/v1/arrangements/fingerings', { body: { song, index }, ...until(signal) })),
  /** A shape of the player's own at a place, before it is taken. */
  trial: (song: PreviewBody, index: number, frets: string, fingers: string | null, signal?: AbortSignal) =>
    sent(POST('/api/v1/arrangements/trial', { body: { song, index, frets, fingers }, ...until(signal) })),
  readings: (song: PreviewBody, placement: number, signal?: AbortSignal) =>
    sent(POST('/api/v1/arrangements/readings', { body: { song, placement }, ...until(signal) })),
  ladder: (song: PreviewBody, section: number | null, signal?: AbortSignal) =>
    sent(POST('/api/v1/arrangements/rungs', { body: { song, section }, ...until(signal) })),
  /** The part of the song's second guitar beside its first. */
  second: (song: PreviewBody, signal?: AbortSignal) =>
    sent(POST('/api/v1/arrangements/second', { body: { song }, ...until(signal) })),
  keys: (song: PreviewBody, singing?: { tune: Range; voice: Range }) =>
    sent(POST('/api/v1/arrangements/keys', { body: { song, ...singing } })),
  part: (song: PreviewBody, second: boolean, signal?: AbortSignal) =>
    sent(POST('/api/v1/parts/preview', { body: { song, second }, ...until(signal) })),
  engraving: (order: EngravingOrder, signal?: AbortSignal) =>
    sent(POST('/api/v1/parts/engraving', { body: order, ...until(signal) })),
  patterns: () => sent(GET('/api/v1/picking-patterns')),
  rankPatterns: (
    song: PreviewBody,
    second: boolean,
    section: string,
    own: OwnPattern[],
    signal?: AbortSignal,
  ) => sent(POST('/api/v1/parts/patterns', { body: { song, second, section, own }, ...until(signal) })),
  checkPattern: (body: OwnPattern, signal?: AbortSignal) =>
    sent(POST('/api/v1/picking-patterns/check', { body, ...until(signal) })),
  fills: (song: PreviewBody, index: number, signal?: AbortSignal) =>
    sent(POST('/api/v1/parts/fills', { body: { song, index }, ...until(signal) })),
  variation: (song: PreviewBody) => sent(POST('/api/v1/parts/variation', { body: { song } })),
  ownPatterns: () => sent(GET('/api/v1/own-patterns')),
  addOwnPattern: (pattern: OwnPattern) => sent(POST('/api/v1/own-patterns', { body: { pattern } })),
  changeOwnPattern: (id: number, version: number, pattern: OwnPattern) => {
    const body = { version, pattern };
    return sent(PUT('/api/v1/own-patterns/{id}', { ...path({ id }), body, ...carried(body) }));
  },
  putBackOwnPattern: (id: number) => sent(POST('/api/v1/own-patterns/{id}/put-back', path({ id }))),
  removeOwnPattern: (id: number) => sent(DELETE('/api/v1/own-patterns/{id}', path({ id }))),
  ownTextures: () => sent(GET('/api/v1/own-textures')),
  addOwnTexture: (texture: OwnTexture) => sent(POST('/api/v1/own-textures', { body: { texture } })),
  removeOwnTexture: (id: number) => sent(DELETE('/api/v1/own-textures/{id}', path({ id }))),
  putBackOwnTexture: (id: number) => sent(POST('/api/v1/own-textures/{id}/put-back', path({ id }))),
  ownTunings: () => sent(GET('/api/v1/own-tunings')),
  addOwnTuning: (tuning: OwnTuning) => sent(POST('/api/v1/own-tunings', { body: { tuning } })),
  removeOwnTuning: (id: number) => sent(DELETE('/api/v1/own-tunings/{id}', path({ id }))),
  putBackOwnTuning: (id: number) => sent(POST('/api/v1/own-tunings/{id}/put-back', path({ id }))),
  file: takeFile,
  /**
   * A file as chart text.
   *
   * @param tune which voice of a MIDI file, moved by how many quarters
   */
  readFile: (file: string, source: string | null, tune?: { voice: number; shift: number }) =>
    sent(POST('/api/v1/files/read', { body: { file, source, ...tune } })),
  /** The text with its tune's last bars before the song. */
  intro: (source: string) => sent(POST('/api/v1/charts/intro', { body: { source } })),
  /** Chords for the bars of a tune that have none, others chosen for some of them by number. */
  tuneChords: (source: string, chosen: Record<string, string>, signal?: AbortSignal) =>
    sent(POST('/api/v1/charts/chords', { body: { source, chosen }, ...until(signal) })),
  arrange: (body: PreviewBody, signal?: AbortSignal) =>
    sent(
      POST('/api/v1/arrangements/preview', {
        params: { query: { alternatives: 0 } },
        body,
        ...until(signal),
      }),
    ),
  /**
   * The same for the capo asked for, or where it may sit meanwhile if it is left open; the other frets are compared with it
   * only if that is known already.
   */
  arrangeAsked: (body: PreviewBody, meanwhile: number, signal?: AbortSignal) =>
    sent(
      POST('/api/v1/arrangements/preview', {
        params: { query: { alternatives: 0, capos: 'asked', meanwhile } },
        body,
        ...until(signal),
      }),
    ),
  /**
   * What to practise today within some minutes; a player's own, or the adult hand's.
   *
   * @param said what the player says of today's plan, by ids of drills
   */
  drillPlan: (
    playerId: number | null,
    minutes: number,
    zone: string,
    said: { swapped: string[]; skipped: string[]; shortened: string[] },
    signal?: AbortSignal,
  ) =>
    sent(
      GET('/api/v1/drills/plan', {
        params: { query: { minutes, zone, ...said, ...ofPlayer(playerId) } },
        ...until(signal),
      }),
    ),
  /** Whole weeks around today, with what was run and what comes again. */
  drillCalendar: (playerId: number | null, zone: string, signal?: AbortSignal) =>
    sent(
      GET('/api/v1/drills/calendar', {
        params: { query: { ...ofPlayer(playerId), zone } },
        ...until(signal),
      }),
    ),
  /** How changes, songs or kinds of drills went from day to day. */
  drillCurves: (playerId: number | null, zone: string, of: DrillCurveOf, signal?: AbortSignal) =>
    sent(
      GET('/api/v1/drills/curves', {
        params: { query: { ...ofPlayer(playerId), zone, of } },
        ...until(signal),
      }),
    ),
  /** Six changes by which a hand is timed. */
  drillTimed: (playerId: number | null, zone: string, signal?: AbortSignal) =>
    sent(
      GET('/api/v1/drills/timed', {
        params: { query: { ...ofPlayer(playerId), zone } },
        ...until(signal),
      }),
    ),
  /** @param date year-month-day; null for none */
  setPlayedOn: (song: number, date: string | null) =>
    sent(PUT('/api/v1/songs/{id}/played-on', { params: { path: { id: song } }, body: { date } })),
  logDrill: (
    drill: string,
    result: 'clean' | 'rough' | 'missed' | 'discomfort',
    tempo: number,
    seconds: number | null,
    playerId: number | null,
  ) =>
    sent(POST('/api/v1/drills/log', { body: { drill, result, tempo, seconds, playerId, at: hereAndNow() } })),
  drillLog: (playerId: number | null, signal?: AbortSignal) =>
    sent(GET('/api/v1/drills/log', { params: { query: ofPlayer(playerId) }, ...until(signal) })),
  /** When each song that was practised of late will hold its tempo. */
  drillForecast: (playerId: number | null, zone: string, signal?: AbortSignal) =>
    sent(
      GET('/api/v1/drills/forecast', {
        params: { query: { ...ofPlayer(playerId), zone } },
        ...until(signal),
      }),
    ),
  /** Adds the runs of a table to the log. */
  takeDrillLog: (playerId: number | null, table: string) =>
    sent(
      POST('/api/v1/drills/log.csv', {
        params: { query: ofPlayer(playerId) },
        body: table,
        bodySerializer: (text: unknown) => text as string,
        headers: { 'Content-Type': 'text/csv' },
      }),
    ),
  drillCalibration: (playerId: number | null, signal?: AbortSignal) =>
    sent(GET('/api/v1/drills/calibration', { params: { query: ofPlayer(playerId) }, ...until(signal) })),
  /** What a shape is, and where else it lies. */
  desk: (at: DeskAt, signal?: AbortSignal) =>
    sent(POST('/api/v1/shapes/desk', { body: at, ...until(signal) })),
  neighbours: (at: DeskAt, key: string, fingers: number, signal?: AbortSignal) =>
    sent(POST('/api/v1/shapes/neighbours', { body: { ...at, key, fingers }, ...until(signal) })),
  ways: (at: DeskAt, chord: string, signal?: AbortSignal) =>
    sent(POST('/api/v1/shapes/ways', { body: { ...at, chord }, ...until(signal) })),
  /** A chord all over the neck, by how its shapes are built. */
  kinds: (at: Omit<DeskAt, 'frets'>, chord: string, signal?: AbortSignal) =>
    sent(
      POST('/api/v1/shapes/kinds', {
        body: { chord, tuning: at.tuning, capo: at.capo, playerId: at.playerId },
        ...until(signal),
      }),
    ),
  /** Two shapes side by side, and the change between them. */
  compare: (at: DeskAt, other: string, signal?: AbortSignal) =>
    sent(POST('/api/v1/shapes/compare', { body: { ...at, other }, ...until(signal) })),
  /** The tune of a chart's text, over all its lines of chords. */
  tune: (source: string, signal?: AbortSignal) =>
    sent(POST('/api/v1/charts/tune', { body: { source }, ...until(signal) })),
  writeTune: (source: string, notes: Tune['notes']) =>
    sent(POST('/api/v1/charts/tune/write', { body: { source, notes } })),
  /** A song in some tunings and its own, least effort first. */
  inTunings: (song: PreviewBody, tunings: string[]) =>
    sent(POST('/api/v1/arrangements/tunings', { body: { song, tunings } })),
  tunings: () => sent(GET('/api/v1/neck/tunings')),
  scales: () => sent(GET('/api/v1/neck/scales')),
  barres: (tuning: string, capo: number, signal?: AbortSignal) =>
    sent(GET('/api/v1/neck/barres', { params: { query: { tuning, capo } }, ...until(signal) })),
  /** Where a chord or a scale lies. */
  neckMap: (at: MapAt, signal?: AbortSignal) =>
    sent(POST('/api/v1/neck/map', { body: at, ...until(signal) })),
  /** The scales over the chords of a song, and their grips at a place. */
  neckChords: (at: ChordsAt, signal?: AbortSignal) =>
    sent(POST('/api/v1/neck/chords', { body: at, ...until(signal) })),
};
