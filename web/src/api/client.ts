import { answered, unanswered } from './connection';
import type { components } from './generated/schema';

type Schemas = components['schemas'];
export type Arrangement = Schemas['ArrangementView'];
export type Neck = Arrangement['neck'];
export type Placement = Schemas['PlacementView'];
export type Change = Schemas['ChangeView'];
export type Grip = Schemas['GripView'];
export type Alternative = Schemas['AlternativeView'];
export type CapoCandidate = Schemas['CandidateView'];
export type Effort = Schemas['EffortView'];
export type Fault = Schemas['FaultView'];
export type Song = Schemas['SongView'];
export type SongSummary = Schemas['SongSummary'];
export type SecondGuitar = Schemas['SecondGuitar'];
export type OwnPattern = Schemas['OwnPattern'];
export type PatternChoice = Schemas['PatternChoiceRequest'];
export type FillChoice = Schemas['FillChoiceRequest'];
export type Decisions = Schemas['Decisions'];
export type Rung = Schemas['RungView'];
export type RungEffort = Schemas['RungEffort'];
export type Reach = Schemas['ReachView'];
export type Player = Schemas['PlayerView'];
export type PlayerLimits = Schemas['PlayerLimits'];
export type Guitar = Schemas['GuitarView'];
export type GuitarBuild = Schemas['GuitarBuild'];
export type HouseRules = Schemas['HouseRulesRequest'];
export type Lock = Schemas['LockRequest'];
export type PairReach = Schemas['PairReach'];
export type Version = Schemas['VersionView'];
export type PlannedPart = Schemas['PlannedPart'];
export type Planned = Schemas['PlannedView'];
export type KeyOption = Schemas['KeyView'];
export type Range = Schemas['RangeRequest'];
export type ReadingChoice = Schemas['ReadingChoiceRequest'];
export type Readings = Schemas['ReadingsView'];
export type ReadingOffer = Schemas['OfferView'];
export type RungStep = Schemas['RungStepView'];
export type SecondPart = Schemas['SecondView'];
/** A song's chart with what has been decided; the server works out what holds. */
export type PreviewBody = Omit<Schemas['PreviewRequest'], keyof Decisions> & Partial<Decisions>;
export type Part = Schemas['PartView'];
export type PartBar = Schemas['BarView'];
export type PartEvent = Schemas['EventView'];
export type Pattern = Schemas['PatternView'];
export type PatternFit = Schemas['FitView'];
export type Fills = Schemas['FillsView'];
export type FillOffer = Schemas['FillView'];
export type StoredPattern = Schemas['OwnPatternView'];
export type ReadFile = Schemas['ReadView'];
export type RemovedSong = Schemas['RemovedSongView'];
export type KeptBackup = Schemas['KeptBackupView'];
export type RestorePlan = Schemas['RestorePlan'];
export type RestoreMode = RestorePlan['mode'];
export type About = Schemas['AboutView'];
export type Licence = Schemas['LicenceView'];

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

async function ask(method: string, path: string, body?: unknown, signal?: AbortSignal): Promise<Response> {
  const isFile = body instanceof Blob;
  const request: RequestInit = {
    method,
    headers: { 'Content-Type': isFile ? 'application/zip' : 'application/json', 'X-Client': TAB },
  };
  if (body !== undefined) {
    request.body = isFile ? body : JSON.stringify(body);
  }
  if (signal) {
    request.signal = signal;
  }
  // A change on its way outlives the page it was made on; browsers carry only small ones so far.
  request.keepalive = method === 'PUT' && !isFile && String(request.body).length < MOST_CARRIED;
  const response = await fetch(`/api/v1${path}`, request).catch((error: unknown) => {
    if (signal?.aborted) {
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

async function call<T>(method: string, path: string, body?: unknown, signal?: AbortSignal): Promise<T> {
  const response = await ask(method, path, body, signal);
  return response.status === 204 ? (undefined as T) : ((await response.json().catch(() => ({}))) as T);
}

/** A file of a song and the name it is saved under. */
export interface TakenFile {
  name: string;
  blob: Blob;
}

/** What a file is written from. */
export interface FileOrder {
  format: string;
  song: PreviewBody;
  paper?: string;
  layout?: string;
  big?: boolean;
}

async function takeFile(order: FileOrder): Promise<TakenFile> {
  const response = await ask('POST', '/files', order);
  const disposition = response.headers.get('Content-Disposition') ?? '';
  const encoded = /filename\*=UTF-8''([^;]+)/.exec(disposition)?.[1];
  const plain = /filename="([^"]+)"/.exec(disposition)?.[1];
  return { name: encoded ? decodeURIComponent(encoded) : (plain ?? 'song'), blob: await response.blob() };
}

export const api = {
  songs: () => call<SongSummary[]>('GET', '/songs'),
  song: (id: number) => call<Song>('GET', `/songs/${id}`),
  efforts: (id: number) => call<RungEffort[]>('GET', `/songs/${id}/efforts`),
  addSong: (source: string) => call<Song>('POST', '/songs', { source }),
  changeSong: (id: number, version: number, source: string, decisions: Decisions) =>
    call<Song>('PUT', `/songs/${id}`, { version, source, decisions }),
  removeSong: (id: number) => call<undefined>('DELETE', `/songs/${id}`),
  removedSongs: () => call<RemovedSong[]>('GET', '/removed-songs'),
  putBack: (id: number) => call<Song>('POST', `/removed-songs/${id}/put-back`),
  backups: () => call<KeptBackup[]>('GET', '/backups'),
  /** A backup put back: a file, or the name of one that was made by itself. */
  restore: (from: Blob | string, mode: RestoreMode, preview: boolean) => {
    const query = `?mode=${mode}&preview=${preview}`;
    return typeof from === 'string'
      ? call<RestorePlan>('POST', `/backups/${from}/restore${query}`)
      : call<RestorePlan>('POST', `/restore${query}`, from);
  },
  undoRestore: () => call<RestorePlan>('POST', '/restore/undo'),
  about: () => call<About>('GET', '/about'),
  licences: () => call<Licence[]>('GET', '/licences'),
  practised: (id: number) => call<undefined>('POST', `/songs/${id}/practice`),
  rungs: () => call<Rung[]>('GET', '/rungs'),
  players: () => call<Player[]>('GET', '/players'),
  reaches: () => call<Reach[]>('GET', '/reaches'),
  addPlayer: (limits: PlayerLimits) => call<Player>('POST', '/players', { limits }),
  changePlayer: (id: number, version: number, limits: PlayerLimits) =>
    call<Player>('PUT', `/players/${id}`, { version, limits }),
  removePlayer: (id: number) => call<undefined>('DELETE', `/players/${id}`),
  guitars: () => call<Guitar[]>('GET', '/guitars'),
  addGuitar: (build: GuitarBuild) => call<Guitar>('POST', '/guitars', { build }),
  changeGuitar: (id: number, version: number, build: GuitarBuild) =>
    call<Guitar>('PUT', `/guitars/${id}`, { version, build }),
  removeGuitar: (id: number) => call<undefined>('DELETE', `/guitars/${id}`),
  versions: (songId: number) => call<Version[]>('GET', `/songs/${songId}/versions`),
  keepVersion: (songId: number, name: string, source: string, decisions: Decisions) =>
    call<Version>('POST', `/songs/${songId}/versions`, { name, source, decisions }),
  planned: (songId: number, id: number) => call<Planned>('GET', `/songs/${songId}/versions/${id}/planned`),
  removeVersion: (songId: number, id: number) => call<undefined>('DELETE', `/songs/${songId}/versions/${id}`),
  alternatives: (song: PreviewBody, index: number, signal?: AbortSignal) =>
    call<Alternative[]>('POST', '/arrangements/alternatives', { song, index }, signal),
  readings: (song: PreviewBody, placement: number, signal?: AbortSignal) =>
    call<Readings>('POST', '/arrangements/readings', { song, placement }, signal),
  ladder: (song: PreviewBody, section: number | null, signal?: AbortSignal) =>
    call<RungStep[]>('POST', '/arrangements/rungs', { song, section }, signal),
  /** The part of the song's second guitar beside its first. */
  second: (song: PreviewBody, signal?: AbortSignal) =>
    call<SecondPart>('POST', '/arrangements/second', { song }, signal),
  keys: (song: PreviewBody, tune?: Range, voice?: Range) =>
    call<KeyOption[]>('POST', '/arrangements/keys', { song, tune, voice }),
  part: (song: PreviewBody, second: boolean, signal?: AbortSignal) =>
    call<Part>('POST', '/parts/preview', { song, second }, signal),
  patterns: () => call<Pattern[]>('GET', '/picking-patterns'),
  rankPatterns: (
    song: PreviewBody,
    second: boolean,
    section: string,
    own: OwnPattern[],
    signal?: AbortSignal,
  ) => call<PatternFit[]>('POST', '/parts/patterns', { song, second, section, own }, signal),
  checkPattern: (pattern: OwnPattern, signal?: AbortSignal) =>
    call<Pattern>('POST', '/picking-patterns/check', pattern, signal),
  fills: (song: PreviewBody, index: number, signal?: AbortSignal) =>
    call<Fills>('POST', '/parts/fills', { song, index }, signal),
  variation: (song: PreviewBody) => call<FillChoice[]>('POST', '/parts/variation', { song }),
  ownPatterns: () => call<StoredPattern[]>('GET', '/own-patterns'),
  addOwnPattern: (pattern: OwnPattern) => call<StoredPattern>('POST', '/own-patterns', { pattern }),
  changeOwnPattern: (id: number, version: number, pattern: OwnPattern) =>
    call<StoredPattern>('PUT', `/own-patterns/${id}`, { version, pattern }),
  removeOwnPattern: (id: number) => call<undefined>('DELETE', `/own-patterns/${id}`),
  file: takeFile,
  readFile: (file: string, source: string | null) => call<ReadFile>('POST', '/files/read', { file, source }),
  arrange: (body: PreviewBody, signal?: AbortSignal) =>
    call<Arrangement>('POST', '/arrangements/preview?alternatives=0', body, signal),
  /**
   * The same for the capo asked for, or where it may sit meanwhile if it is left open; the other frets are compared with it
   * only if that is known already.
   */
  arrangeAsked: (body: PreviewBody, meanwhile: number, signal?: AbortSignal) =>
    call<Arrangement>(
      'POST',
      `/arrangements/preview?alternatives=0&capos=asked&meanwhile=${meanwhile}`,
      body,
      signal,
    ),
};
