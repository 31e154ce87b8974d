// @vitest-environment jsdom
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api, ProblemError, type Song } from './client';
import { NO_DECISIONS } from './decisions';
import { SongSaver, type Work } from './songSaver';

const work = (rung: number): Work => ({ source: '| G |', decisions: { ...NO_DECISIONS, rung } });
const song = (version: number, rung: number, uid = 'one') => ({ id: 7, uid, version, ...work(rung) }) as Song;
const ANSWER_MS = 5;
const AWAY = new ProblemError(0, 'No connection', 'nobody answers');

/** A book with one song in it, that takes a change over its own version only. */
function book(begin: Song) {
  let now = begin;
  const taken: number[] = [];
  let trouble: unknown = null;
  vi.spyOn(api, 'changeSong').mockImplementation(async (_, version, source, decisions) => {
    await new Promise((answer) => setTimeout(answer, ANSWER_MS));
    if (trouble) {
      throw trouble as Error;
    }
    if (version !== now.version) {
      throw new ProblemError(409, 'Stale', 'changed elsewhere', { current: now });
    }
    now = { ...now, version: version + 1, source, decisions };
    taken.push(decisions.rung ?? 0);
    return now;
  });
  vi.spyOn(api, 'song').mockImplementation(() => Promise.resolve(now));
  return {
    taken,
    now: () => now,
    fails: (problem: unknown) => (trouble = problem),
    elsewhere: (rung: number) => (now = song(now.version + 1, rung)),
  };
}

const passes = (ms: number) => vi.advanceTimersByTimeAsync(ms);
const unsent = () => Object.keys(localStorage);

beforeEach(() => {
  localStorage.clear();
  vi.useFakeTimers();
});

afterEach(() => {
  vi.useRealTimers();
  vi.restoreAllMocks();
});

test('changes that follow one another quickly are one write', async () => {
  const there = book(song(1, 1));
  const saver = new SongSaver(() => undefined);
  saver.opened(there.now());
  saver.want(7, work(2));
  saver.want(7, work(3));
  expect(saver.saving(7).waiting).toBe(true);
  await passes(300);
  expect(there.taken).toEqual([3]);
  expect(saver.saving(7)).toEqual({ error: null, theirs: null, waiting: false });
  expect(unsent()).toEqual([]);
});

test('a change made while the one before is on its way follows it over its version', async () => {
  const there = book(song(1, 1));
  const saver = new SongSaver(() => undefined);
  saver.opened(there.now());
  saver.want(7, work(2), 0);
  await vi.advanceTimersToNextTimerAsync();
  saver.want(7, work(3), 0);
  await passes(10);
  expect(there.taken).toEqual([2, 3]);
  expect(there.now().version).toBe(3);
});

test('what nobody answers is kept over a reload, and sent when the page stands again', async () => {
  const there = book(song(1, 1));
  there.fails(AWAY);
  const before = new SongSaver(() => undefined);
  before.opened(there.now());
  before.want(7, work(4));
  await passes(300);
  expect(before.saving(7)).toEqual({ error: null, theirs: null, waiting: true });

  there.fails(null);
  const after = new SongSaver(() => undefined);
  const end = after.start();
  await passes(300);
  end();
  expect(there.taken).toEqual([4]);
  expect(unsent()).toEqual([]);
});

test('a song that is opened again goes on from what was not sent', async () => {
  const there = book(song(1, 1));
  there.fails(AWAY);
  const before = new SongSaver(() => undefined);
  before.opened(there.now());
  before.want(7, work(4));
  await passes(300);
  there.fails(null);
  const after = new SongSaver(() => undefined);
  expect(after.opened(there.now())).toEqual(work(4));
  await passes(300);
  expect(there.taken).toEqual([4]);
});

test('a song that is opened while its last change is on its way goes on from both', async () => {
  const there = book(song(1, 1));
  const saver = new SongSaver(() => undefined);
  const read = there.now();
  saver.change(read, work(4));
  await vi.advanceTimersToNextTimerAsync();
  expect(saver.opened(read)).toEqual(work(4));
  saver.want(7, work(5));
  await passes(600);
  expect(there.taken).toEqual([4, 5]);
  expect(saver.saving(7)).toEqual({ error: null, theirs: null, waiting: false });
});

test('what was changed elsewhere meanwhile is asked about, and nothing is overwritten', async () => {
  const there = book(song(1, 1));
  there.fails(AWAY);
  const saver = new SongSaver(() => undefined);
  saver.opened(there.now());
  saver.want(7, work(4));
  await passes(300);
  there.fails(null);
  const theirs = there.elsewhere(2);
  const after = new SongSaver(() => undefined);
  expect(after.opened(theirs)).toEqual(work(4));
  await passes(300);
  expect(there.taken).toEqual([]);
  expect(after.saving(7).theirs).toEqual(theirs);

  after.settle(theirs, work(4));
  await passes(300);
  expect(there.taken).toEqual([4]);
  expect(after.saving(7).theirs).toBeNull();
});

test('taking the one in the book drops what was not sent', async () => {
  const there = book(song(1, 1));
  const saver = new SongSaver(() => undefined);
  saver.opened(there.now());
  const theirs = there.elsewhere(2);
  saver.want(7, work(4));
  await passes(300);
  expect(saver.saving(7).theirs).toEqual(theirs);
  saver.settle(theirs, null);
  await passes(300);
  expect(there.taken).toEqual([]);
  expect(unsent()).toEqual([]);
});

test('two tabs that want the same do not quarrel', async () => {
  const there = book(song(1, 1));
  const saver = new SongSaver(() => undefined);
  saver.opened(there.now());
  there.elsewhere(4);
  saver.want(7, work(4));
  await passes(300);
  expect(saver.saving(7)).toEqual({ error: null, theirs: null, waiting: false });
});

test('a full disk is said until there is room again', async () => {
  const there = book(song(1, 1));
  const full = new ProblemError(507, 'The disk is full', 'nothing was stored');
  there.fails(full);
  const saver = new SongSaver(() => undefined);
  saver.opened(there.now());
  saver.want(7, work(2));
  await passes(300);
  expect(saver.saving(7).error).toBe(full);
  there.fails(null);
  await passes(6000);
  expect(there.taken).toEqual([2]);
  expect(saver.saving(7).error).toBeNull();
});

test('what the book refuses is said, and not sent again until it is changed', async () => {
  const there = book(song(1, 1));
  there.fails(new ProblemError(422, 'Out of range', 'capo'));
  const saver = new SongSaver(() => undefined);
  saver.opened(there.now());
  saver.want(7, work(2));
  await passes(60_000);
  expect(api.changeSong).toHaveBeenCalledTimes(1);
  there.fails(null);
  saver.want(7, work(3));
  await passes(300);
  expect(there.taken).toEqual([3]);
});

test('work of another book does not reach a song that only has its number', async () => {
  const there = book(song(1, 1));
  there.fails(AWAY);
  const before = new SongSaver(() => undefined);
  before.opened(there.now());
  before.want(7, work(4));
  await passes(300);

  const other = book(song(1, 2, 'two'));
  const after = new SongSaver(() => undefined);
  const end = after.start();
  await passes(300);
  end();
  expect(after.opened(other.now())).toEqual(other.now());
  await passes(300);
  expect(other.taken).toEqual([]);
});

test('going back to what the book has sends nothing more', async () => {
  const there = book(song(1, 1));
  const saver = new SongSaver(() => undefined);
  saver.opened(there.now());
  saver.want(7, work(2));
  saver.want(7, work(1));
  await passes(300);
  expect(there.taken).toEqual([]);
  expect(saver.saving(7).waiting).toBe(false);
  expect(unsent()).toEqual([]);
});

test('what a page sent as it was left is not taken for somebody else', async () => {
  const there = book(song(1, 1));
  const left = new SongSaver(() => undefined);
  left.opened(there.now());
  left.want(7, work(2), 0);
  await vi.advanceTimersToNextTimerAsync();
  left.want(7, work(3));
  // The page is gone; what it sent arrives before, or after the next page has read the song.
  vi.clearAllTimers();
  const kept = JSON.stringify({ ...localStorage });
  for (const arrives of ['before', 'after']) {
    const again = book(song(1, 1));
    localStorage.clear();
    Object.entries(JSON.parse(kept) as Record<string, string>).forEach(([k, v]) =>
      localStorage.setItem(k, v),
    );
    const read = arrives === 'before' ? again.elsewhere(2) : again.now();
    const next = new SongSaver(() => undefined);
    expect(next.opened(read)).toEqual(work(3));
    if (arrives === 'after') {
      again.elsewhere(2);
    }
    next.want(7, work(4));
    await passes(600);
    expect(again.taken).toEqual([4]);
    expect(next.saving(7)).toEqual({ error: null, theirs: null, waiting: false });
    expect(unsent()).toEqual([]);
  }
});

test('the book may say the same in other words', async () => {
  const top = (solo: object): Work => {
    const { rung, ...others } = work(2).decisions;
    return { source: '| G |', decisions: { ...others, solo, rung } as Work['decisions'] };
  };
  const said = top({ under: null, octave: '0', strings: null });
  const kept = top({ strings: [], octave: 0, under: null });
  const there = book(song(1, 1));
  const answers = vi.mocked(api.changeSong);
  // What the page sent as it was left arrives while the next one reads the song.
  answers.mockImplementation(() => {
    const current = { ...there.now(), version: 2, ...kept };
    return Promise.reject(new ProblemError(409, 'Stale', 'changed elsewhere', { current }));
  });
  const saver = new SongSaver(() => undefined);
  saver.opened(there.now());
  saver.want(7, said);
  await passes(600);
  expect(answers).toHaveBeenCalledTimes(1);
  expect(saver.saving(7)).toEqual({ error: null, theirs: null, waiting: false });
  saver.want(7, said);
  await passes(600);
  expect(answers).toHaveBeenCalledTimes(1);
  expect(unsent()).toEqual([]);
});
