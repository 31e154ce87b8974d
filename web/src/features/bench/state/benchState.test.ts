import { describe, expect, test } from 'vitest';
import { NO_DECISIONS } from '../../../api/decisions';
import { benchReducer, type BenchState } from './benchState';

const start: BenchState = {
  past: [],
  present: { source: 'G D', decisions: NO_DECISIONS },
  future: [],
};

describe('benchReducer', () => {
  test('every decision can be undone and done again', () => {
    const decided = benchReducer(start, { type: 'decide', change: { rung: 3 } });
    const locked = benchReducer(decided, {
      type: 'lock',
      locks: [{ placement: 1, part: 0, frets: 'xx0232' }],
      capo: 2,
    });
    expect(locked.present.decisions.locks).toMatchObject([{ placement: 1, part: 0, frets: 'xx0232' }]);
    const undone = benchReducer(benchReducer(locked, { type: 'undo' }), { type: 'undo' });
    expect(undone.present).toEqual(start.present);
    const redone = benchReducer(benchReducer(undone, { type: 'redo' }), { type: 'redo' });
    expect(redone.present).toEqual(locked.present);
  });

  test('a new decision ends what could be redone', () => {
    const undone = benchReducer(benchReducer(start, { type: 'decide', change: { rung: 2 } }), {
      type: 'undo',
    });
    expect(benchReducer(undone, { type: 'decide', change: { rung: 4 } }).future).toEqual([]);
  });

  test('a lock says which capo its frets count from, and stays when the capo or the key moves', () => {
    const locked = benchReducer(start, {
      type: 'lock',
      locks: [{ placement: 0, part: 0, frets: '320003' }],
      capo: 2,
    });
    const moved = benchReducer(locked, { type: 'decide', change: { capo: 4, transpose: 3 } });
    expect(moved.present.decisions.locks).toEqual([
      { placement: 0, part: 0, frets: '320003', capo: 2, transpose: 0 },
    ]);
  });

  test('a lock of an older book that does not say it falls', () => {
    const old = {
      ...start,
      present: {
        ...start.present,
        decisions: { ...NO_DECISIONS, locks: [{ placement: 0, frets: '320003' }] },
      },
    };
    expect(benchReducer(old, { type: 'decide', change: { capo: 2 } }).present.decisions.locks).toEqual([]);
    expect(benchReducer(old, { type: 'decide', change: { rung: 2 } }).present.decisions.locks).toHaveLength(
      1,
    );
  });

  test('what a rung of the ladder chose goes with the rung, what the player chose stays', () => {
    const own = { placement: 1, reading: 'drop-seventh', stand: 'accepted' as const };
    const climbed = {
      ...start,
      present: {
        ...start.present,
        decisions: { ...NO_DECISIONS, rung: 4, readings: [{ ...own, placement: 0, rung: 4 }, own] },
      },
    };
    expect(benchReducer(climbed, { type: 'decide', change: { rung: 2 } }).present.decisions.readings).toEqual(
      [own],
    );
    expect(
      benchReducer(climbed, { type: 'decide', change: { rung: 4 } }).present.decisions.readings,
    ).toHaveLength(2);
  });

  test('all locks of a section are released at once, and come back with one undo', () => {
    const lock = (placement: number) => ({ placement, part: 0, frets: 'x32010' });
    const locked = benchReducer(start, { type: 'lock', locks: [lock(0), lock(1), lock(5)], capo: 0 });
    const released = benchReducer(locked, { type: 'release', placements: [0, 1] });
    expect(released.present.decisions.locks.map((l) => l.placement)).toEqual([5]);
    expect(benchReducer(released, { type: 'undo' }).present.decisions.locks).toHaveLength(3);
  });

  test('locking again replaces, unlocking takes away', () => {
    const once = benchReducer(start, {
      type: 'lock',
      locks: [{ placement: 0, part: 0, frets: '320003' }],
      capo: 2,
    });
    const twice = benchReducer(once, {
      type: 'lock',
      locks: [{ placement: 0, part: 0, frets: '320033' }],
      capo: 2,
    });
    expect(twice.present.decisions.locks).toMatchObject([{ placement: 0, part: 0, frets: '320033' }]);
    expect(benchReducer(twice, { type: 'unlock', placement: 0, part: 0 }).present.decisions.locks).toEqual(
      [],
    );
  });

  test('nothing to undo changes nothing', () => {
    expect(benchReducer(start, { type: 'undo' })).toBe(start);
    expect(benchReducer(start, { type: 'redo' })).toBe(start);
  });
});
