import type { components } from './generated/schema';

type Schemas = components['schemas'];
export type Arrangement = Schemas['ArrangementView'];
export type Placement = Schemas['PlacementView'];
export type Change = Schemas['ChangeView'];
export type Grip = Schemas['GripView'];
export type Alternative = Schemas['AlternativeView'];
export type CapoCandidate = Schemas['CandidateView'];
export type Effort = Schemas['EffortView'];
export type Fault = Schemas['FaultView'];
export type Song = Schemas['SongView'];
export type SongSummary = Schemas['SongSummary'];
export type Decisions = Schemas['Decisions'];
export type Rung = Schemas['RungView'];

/** An answer of the server that is no success, as RFC 9457 has it. */
export class ProblemError extends Error {
  readonly status: number;
  readonly title: string;

  constructor(status: number, title: string, detail: string) {
    super(detail);
    this.status = status;
    this.title = title;
  }
}

const OFFLINE = new ProblemError(
  0,
  'No connection',
  'Underhand does not answer. Check that it is still running, then try again. What you typed is still here.',
);

async function call<T>(method: string, path: string, body?: unknown, signal?: AbortSignal): Promise<T> {
  const request: RequestInit = { method, headers: { 'Content-Type': 'application/json' } };
  if (body !== undefined) {
    request.body = JSON.stringify(body);
  }
  if (signal) {
    request.signal = signal;
  }
  const response = await fetch(`/api/v1${path}`, request).catch((error: unknown) => {
    throw signal?.aborted ? error : OFFLINE;
  });
  if (response.status === 204) {
    return undefined as T;
  }
  const answer = (await response.json().catch(() => ({}))) as Record<string, unknown>;
  if (!response.ok) {
    const detail = typeof answer.detail === 'string' ? answer.detail : 'The server gave no reason.';
    throw new ProblemError(response.status, String(answer.title ?? 'Not done'), detail);
  }
  return answer as T;
}

export const api = {
  songs: () => call<SongSummary[]>('GET', '/songs'),
  song: (id: number) => call<Song>('GET', `/songs/${id}`),
  addSong: (source: string) => call<Song>('POST', '/songs', { source }),
  changeSong: (id: number, version: number, source: string, decisions: Decisions) =>
    call<Song>('PUT', `/songs/${id}`, { version, source, decisions }),
  removeSong: (id: number) => call<undefined>('DELETE', `/songs/${id}`),
  rungs: () => call<Rung[]>('GET', '/rungs'),
  arrange: (source: string, decisions: Decisions, signal?: AbortSignal) =>
    call<Arrangement>(
      'POST',
      '/arrangements/preview',
      {
        chart: { format: 'text', source },
        rung: decisions.rung,
        setting: decisions.setting,
        capo: decisions.capo ?? 'auto',
        tempo: decisions.tempo,
        locks: decisions.locks,
      },
      signal,
    ),
};
