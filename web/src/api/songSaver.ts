import { createContext, useCallback, useContext, useSyncExternalStore } from 'react';
import { api, ProblemError, type Decisions, type Song } from './client';
import { onAnswered } from './connection';
import { readKept, writeKept } from './kept';

/** A song as its player left it: the chart's text and what has been decided. */
export interface Work {
  source: string;
  decisions: Decisions;
}

/** What can be said of a song's way into the book. */
export interface Saving {
  /** Why the last change is not in the book yet, unless it only waits for an answer; null when it is. */
  error: unknown;
  /** What somebody else made of the song meanwhile. */
  theirs: Song | null;
  /** Whether something waits to be written. */
  waiting: boolean;
}

/** Work that is not in the book yet, and the book's version it was made over. */
interface Unsent {
  id: number;
  version: number;
  work: Work;
  /** What was sent over that version, by this page or one before it: whether it arrived is not known. */
  tried: string[];
}

interface Held {
  /** The song's name in all books: another book may have another song under the same number. */
  uid: string;
  version: number;
  /** What the book has. */
  stored: string;
  wanted: Work | null;
  /** What is on its way. */
  sent: string | null;
  /** What was sent over this version. */
  tried: string[];
  timer: ReturnType<typeof setTimeout> | undefined;
  saving: Saving;
}

/** The road follows a dial before the book does. */
const SAVE_AFTER_MS = 250;

/** What the book could not take is tried again after so long. */
const AGAIN_AFTER_MS = 5000;

const SAVED: Saving = { error: null, theirs: null, waiting: false };

const KEY = 'underhand.unsent.';

/**
 * Work as a text, the same for what says the same: the book leaves out, or fills in, what is not decided, and has numbers
 * where the page has them as words.
 */
const textOf = ({ source, decisions }: Work) => JSON.stringify({ source, decisions }, plainly);

function plainly(_: string, value: unknown): unknown {
  if (value === null || (Array.isArray(value) && value.length === 0)) {
    return undefined;
  }
  if (typeof value === 'number') {
    return String(value);
  }
  return typeof value === 'object' && !Array.isArray(value)
    ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
    : value;
}

/**
 * Writes songs to the book, one change after the other, each over the version the one before it made. What is not written
 * yet lies in the page's storage: it survives views, reloads and a book that does not answer, and is sent when it does.
 */
export class SongSaver {
  private readonly held = new Map<number, Held>();
  private readonly listeners = new Set<() => void>();
  private readonly onWritten: (song: Song) => void;

  /** @param onWritten is told of every song as the book has it after a change */
  constructor(onWritten: (song: Song) => void) {
    this.onWritten = onWritten;
  }

  /** Begins to send what lies in the storage and whatever could not be sent before; ends with the function it gives. */
  start(): () => void {
    const sendHeld = () => this.held.forEach((_, id) => void this.send(id));
    const sendAll = () => {
      sendHeld();
      stored().forEach(([uid, unsent]) => void this.goOn(uid, unsent));
    };
    sendAll();
    window.addEventListener('pagehide', sendHeld);
    const end = onAnswered(sendAll);
    return () => {
      window.removeEventListener('pagehide', sendHeld);
      end();
    };
  }

  /**
   * Goes on from a song as it was just read from the book.
   *
   * @returns what was made of it and is not in the book yet, or else the book's own
   */
  opened(song: Song): Work {
    const unsent = readUnsent(song.uid);
    const before = this.held.get(song.id);
    const text = textOf(song);
    if (!unsent || textOf(unsent.work) === text) {
      writeUnsent(song.uid, null);
      this.held.set(song.id, fresh(song));
      this.tell();
      return song;
    }
    const held = before ?? fresh(song);
    Object.assign(held, { version: unsent.version, wanted: unsent.work, tried: unsent.tried });
    this.held.set(song.id, held);
    if (unsent.version === song.version || unsent.tried.includes(text)) {
      goOver(held, song, text);
      this.want(song.id, unsent.work);
    } else {
      this.say(held, { error: null, theirs: song, waiting: true });
    }
    return unsent.work;
  }

  /** Writes work over a song that was read from the book, or that is on the bench. */
  change(song: Song, work: Work) {
    if (!this.held.has(song.id)) {
      this.opened(song);
    }
    this.want(song.id, work, 0);
  }

  /** Writes what a song that was opened shall be. */
  want(id: number, work: Work, afterMs = SAVE_AFTER_MS) {
    const held = this.held.get(id);
    const isNew = held && (held.wanted ? textOf(held.wanted) : held.stored) !== textOf(work);
    if (!held || (!isNew && !held.wanted)) {
      return;
    }
    held.wanted = work;
    keep(id, held);
    this.say(held, { ...(isNew && !held.saving.theirs ? SAVED : held.saving), waiting: true });
    this.later(id, held, afterMs);
  }

  /** Settles a refused write: writes this work over the other version, or goes on from that one. */
  settle(theirs: Song, mine: Work | null) {
    clearTimeout(this.held.get(theirs.id)?.timer);
    this.held.set(theirs.id, fresh(theirs));
    writeUnsent(theirs.uid, null);
    this.tell();
    if (mine) {
      this.want(theirs.id, mine, 0);
    }
  }

  saving(id: number): Saving {
    return this.held.get(id)?.saving ?? SAVED;
  }

  subscribe(listener: () => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  /** Sends what was left in the storage by a page before this one, if the song is still the same. */
  private async goOn(uid: string, { id }: Unsent) {
    if (!this.held.has(id)) {
      const song = await api.song(id).catch(() => null);
      if (song?.uid === uid && !this.held.has(id)) {
        this.opened(song);
      }
    }
  }

  private later(id: number, held: Held, afterMs: number) {
    clearTimeout(held.timer);
    held.timer = setTimeout(() => void this.send(id), afterMs);
  }

  private async send(id: number): Promise<void> {
    const held = this.held.get(id);
    if (!held?.wanted || held.sent !== null || held.saving.theirs) {
      return;
    }
    clearTimeout(held.timer);
    const work = held.wanted;
    const text = textOf(work);
    if (text === held.stored) {
      this.done(held);
      return;
    }
    held.sent = text;
    held.tried = [...new Set([...held.tried, text])];
    keep(id, held);
    try {
      this.written(id, held, await api.changeSong(id, held.version, work.source, work.decisions), text);
    } catch (problem) {
      const theirs = conflictOf(problem);
      if (theirs && held.tried.includes(textOf(theirs))) {
        this.written(id, held, theirs, textOf(theirs));
        return;
      }
      held.sent = null;
      this.say(held, { error: isUnanswered(problem) || theirs ? null : problem, theirs, waiting: true });
      if (isWorthAgain(problem)) {
        this.later(id, held, AGAIN_AFTER_MS);
      }
    }
  }

  /** Goes on from what the book has now: this text, which was sent from here. */
  private written(id: number, held: Held, song: Song, text: string) {
    goOver(held, song, text);
    held.sent = null;
    // Who settled a conflict or opened the song anew meanwhile goes on from there.
    if (this.held.get(id) === held) {
      if (held.wanted && textOf(held.wanted) !== text) {
        keep(id, held);
        void this.send(id);
      } else {
        this.done(held);
      }
    }
    this.onWritten(song);
  }

  private done(held: Held) {
    held.wanted = null;
    writeUnsent(held.uid, null);
    this.say(held, SAVED);
  }

  private say(held: Held, saving: Saving) {
    held.saving = saving;
    this.tell();
  }

  private tell() {
    this.listeners.forEach((listener) => listener());
  }
}

function fresh(song: Song): Held {
  const { uid, version } = song;
  return {
    uid,
    version,
    stored: textOf(song),
    wanted: null,
    sent: null,
    tried: [],
    timer: undefined,
    saving: SAVED,
  };
}

/** What is wanted shall be written over this version. */
function goOver(held: Held, { version }: Song, stored: string) {
  Object.assign(held, { version, stored, tried: held.version === version ? held.tried : [] });
}

/** Keeps what is wanted in the storage until the book has it. */
function keep(id: number, { uid, version, wanted, tried }: Held) {
  if (wanted) {
    writeUnsent(uid, { id, version, work: wanted, tried });
  }
}

function conflictOf(problem: unknown): Song | null {
  return problem instanceof ProblemError && problem.status === 409 ? (problem.body.current as Song) : null;
}

function isUnanswered(problem: unknown): boolean {
  return problem instanceof ProblemError && problem.status === 0;
}

/** A full disk gets room, a server that stumbled gets up; what nobody answered is sent when somebody does. */
function isWorthAgain(problem: unknown): boolean {
  return problem instanceof ProblemError && problem.status >= 500;
}

function stored(): [string, Unsent][] {
  return Object.keys(localStorage)
    .filter((key) => key.startsWith(KEY))
    .map((key) => key.slice(KEY.length))
    .map((uid): [string, Unsent | null] => [uid, readUnsent(uid)])
    .filter((entry): entry is [string, Unsent] => entry[1] !== null);
}

function readUnsent(uid: string): Unsent | null {
  const kept = readKept<Partial<Unsent> & Omit<Unsent, 'tried'>>(KEY + uid);
  return kept && { tried: [], ...kept };
}

function writeUnsent(uid: string, unsent: Unsent | null) {
  writeKept(KEY + uid, unsent);
}

export const Saver = createContext<SongSaver | null>(null);

export function useSongSaver(): SongSaver {
  const saver = useContext(Saver);
  if (!saver) {
    throw new Error('Nobody writes songs to the book here.');
  }
  return saver;
}

/** How a song's last change fares on its way into the book. */
export function useSaving(id: number): Saving {
  const saver = useSongSaver();
  const subscribe = useCallback((listener: () => void) => saver.subscribe(listener), [saver]);
  return useSyncExternalStore(subscribe, () => saver.saving(id));
}
