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
    });
    expect(locked.present.decisions.locks).toEqual([{ placement: 1, part: 0, frets: 'xx0232' }]);
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

  test('a lock falls when the capo moves, for its frets count from the capo', () => {
    const locked = benchReducer(start, { type: 'lock', locks: [{ placement: 0, part: 0, frets: '320003' }] });
    expect(benchReducer(locked, { type: 'decide', change: { capo: 2 } }).present.decisions.locks).toEqual([]);
    expect(
      benchReducer(locked, { type: 'decide', change: { rung: 2 } }).present.decisions.locks,
    ).toHaveLength(1);
  });

  test('locking again replaces, unlocking takes away', () => {
    const once = benchReducer(start, { type: 'lock', locks: [{ placement: 0, part: 0, frets: '320003' }] });
    const twice = benchReducer(once, { type: 'lock', locks: [{ placement: 0, part: 0, frets: '320033' }] });
    expect(twice.present.decisions.locks).toEqual([{ placement: 0, part: 0, frets: '320033' }]);
    expect(benchReducer(twice, { type: 'unlock', placement: 0, part: 0 }).present.decisions.locks).toEqual(
      [],
    );
  });

  test('nothing to undo changes nothing', () => {
    expect(benchReducer(start, { type: 'undo' })).toBe(start);
    expect(benchReducer(start, { type: 'redo' })).toBe(start);
  });
});
