// @vitest-environment jsdom
import { beforeEach, expect, test } from 'vitest';
import { NO_DECISIONS } from '../../../api/decisions';
import { historyOf, keepHistory } from './history';

const work = (rung: number, source = '| G | D |') => ({ source, decisions: { ...NO_DECISIONS, rung } });
const state = { past: [work(1), work(2)], present: work(3), future: [work(4)] };

beforeEach(() => localStorage.clear());

test('steps of a song are there again, to be undone and done again', () => {
  keepHistory('a', state);
  expect(historyOf('a', work(3))).toEqual(state);
});

test('what was done to a song elsewhere is one more step, and ends what could be redone', () => {
  keepHistory('a', state);
  expect(historyOf('a', work(5))).toEqual({ past: [...state.past, work(3)], present: work(5), future: [] });
});

test('another song, and one that was never open, begin anew', () => {
  keepHistory('a', state);
  expect(historyOf('b', work(3))).toEqual({ past: [], present: work(3), future: [] });
});

test('a history that cannot be read is none', () => {
  localStorage.setItem('underhand.history.a', '{broken');
  expect(historyOf('a', work(3)).past).toEqual([]);
});

test('a long history forgets its oldest steps, never what is on the bench', () => {
  const past = Array.from({ length: 100 }, (_, i) => work(1, `${i} `.padEnd(10_000, '| G ')));
  keepHistory('a', { past, present: work(3), future: [] });
  const kept = historyOf('a', work(3));
  expect(kept.past.length).toBeGreaterThan(10);
  expect(kept.past.length).toBeLessThan(100);
  expect(kept.past.at(-1)).toEqual(past.at(-1));
  expect(kept.present).toEqual(work(3));
});

test('only so many songs are kept, the one looked at longest ago goes first', () => {
  for (let song = 0; song < 30; song++) {
    keepHistory(`song ${song}`, state);
  }
  expect(Object.keys(localStorage).length).toBeLessThanOrEqual(20);
  expect(historyOf('song 29', work(3)).past).toHaveLength(2);
});
