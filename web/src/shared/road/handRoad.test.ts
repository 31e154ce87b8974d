import { describe, expect, test } from 'vitest';
import type { Change, Grip, Placement } from '../../api/client';
import { beside, labelled, fretY, pressY, roadFor, seen, stringX, threadsOf, timeBar } from './handRoad';
import { NECK } from '../../testNeck';

const grip = (frets: (number | null)[], fingers: (string | null)[], holds: Grip['holds'] = []): Grip => ({
  holds,
  frame: { firstFret: 1, rows: 4 },
  shape: frets.map((f) => f ?? 'x').join(''),
  frets: frets as number[],
  fingers: fingers as string[],
  barres: [],
  damping: [],
  effort: { total: 0, terms: [] },
  tags: [],
  families: [],
  form: null,
  inversion: 0,
  spanMm: 0,
  rung: 1,
  isNew: false,
});

const place = (index: number, g: Grip): Placement => ({
  index,
  placement: index,
  part: 0,
  bar: index + 1,
  beat: 1,
  beats: 4,
  newLine: false,
  section: '',
  lyric: '',
  chord: 'C',
  played: 'C',
  degree: 'I',
  reading: { id: 'original', chord: 'C', original: 'C', reason: '', bound: false },
  function: { kind: 'diatonic', numeral: 'I', words: 'the tonic' },
  grip: g,
  top: null,
  keeps: null,
  singer: null,
  locked: false,
  fingerings: [],
  texture: 'free',
  fallback: null,
  alternatives: [],
});

const held = (finger: string, fret: number, from: number, to = from) => ({ finger, fret, from, to });
const C = grip(
  [null, 3, 2, 0, 1, 0],
  [null, '3', '2', null, '1', null],
  [held('3', 3, 1), held('2', 2, 2), held('1', 1, 4)],
);
const F = grip(
  [1, 3, 3, 2, 1, 1],
  ['1', '3', '4', '2', '1', '1'],
  [held('1', 1, 0, 5), held('3', 3, 1), held('4', 3, 2), held('2', 2, 3)],
);
const placements = [place(0, C), place(1, F)];
const road = roadFor(NECK, [{ placements, capo: 0 }], 100, 300);

describe('the road', () => {
  test('numbers only the frets that have room for a number', () => {
    const frets = [1, 2, 3, 4, 5];
    expect(labelled(road, 0, frets)).toEqual(frets);
    expect(labelled(roadFor(NECK, [{ placements, capo: 0 }], 100, 60), 0, frets).length).toBeLessThan(5);
  });

  test('is mirrored for a left-handed player: the lowest string on the right', () => {
    const left = roadFor(NECK, [{ placements, capo: 0 }], 100, 300, true);
    expect(stringX(left, 1, 0)).toBeCloseTo(stringX(road, 1, 5), 9);
    expect(stringX(left, 0, 5)).toBeCloseTo(stringX(road, 0, 0), 9);
  });

  test('frets grow narrower up the neck and narrower still above a capo', () => {
    const gap = (capo: number, fret: number) => fretY(road, capo, fret) - fretY(road, capo, fret + 1);
    expect(gap(0, 0)).toBeGreaterThan(gap(0, 1));
    // Equal temperament: each fret is 2^(-1/12) as wide as the one below it.
    expect(gap(0, 1) / gap(0, 0)).toBeCloseTo(2 ** (-1 / 12), 6);
    expect(gap(5, 1) / gap(5, 0)).toBeCloseTo(2 ** (-1 / 12), 6);
  });

  test('a fingertip presses behind its fret', () => {
    expect(pressY(road, 0, 3)).toBeGreaterThan(fretY(road, 0, 3));
    expect(pressY(road, 0, 3)).toBeLessThan(fretY(road, 0, 2));
  });

  test('strings of a column stay inside it', () => {
    expect(stringX(road, 1, 0)).toBeGreaterThan(100);
    expect(stringX(road, 1, 5)).toBeLessThan(200);
  });

  test('is high enough for its highest grip', () => {
    const high = grip([null, 9, 7, 8, null, null], [null, '3', '1', '2', null, null]);
    expect(roadFor(NECK, [{ placements: [place(0, high)], capo: 0 }], 100, 300).highestFret).toBe(10);
  });
});

describe('a road of two guitars', () => {
  const two = roadFor(
    NECK,
    [
      { placements, capo: 5 },
      { placements, capo: 2 },
    ],
    100,
    300,
  );

  test('stands on the lower capo and reaches above the higher one', () => {
    expect(two.base).toBe(2);
    expect(fretY(two, 2, 0)).toBe(two.ground);
    // Fret 3 above a capo at 5 is fret 8, six above the foot, and one more.
    expect(two.highestFret).toBe(7);
  });

  test('puts the same place on the neck at the same height', () => {
    expect(fretY(two, 5, 1)).toBeCloseTo(fretY(two, 2, 4), 9);
    expect(pressY(two, 5, 1)).toBeCloseTo(pressY(two, 2, 4), 9);
  });

  test('finds what the other guitar plays at a placement, also where its chord is one and not two', () => {
    const split = [place(0, C), { ...place(1, F), placement: 0, part: 1 }, { ...place(2, F), placement: 1 }];
    expect(beside(split, [place(0, F)])).toEqual([F, F, null]);
  });
});

const change = (acts: Change['acts'], needed = 0.5): Change => ({
  from: 0,
  to: 1,
  acts,
  effort: { total: 0, terms: [] },
  neededSeconds: needed,
  availableSeconds: 1,
  holdsUpTo: 92,
  voices: [],
});

describe('threadsOf', () => {
  test('a moving finger runs from its old place to its new one', () => {
    const [thread] = threadsOf(
      road,
      0,
      change([{ finger: '2', act: 'travels', distanceMm: 12 }]),
      placements,
    );
    expect(thread).toMatchObject({
      act: 'travels',
      x1: stringX(road, 0, 2),
      y1: pressY(road, 0, 2),
      x2: stringX(road, 1, 3),
      y2: pressY(road, 0, 2),
    });
  });

  test('a finger that lands comes from nearby, one that lifts goes off nearby', () => {
    const [lands] = threadsOf(road, 0, change([{ finger: '4', act: 'lands', distanceMm: 9 }]), placements);
    expect(lands?.x2).toBe(stringX(road, 1, 2));
    const back = { ...change([{ finger: '4', act: 'lifts', distanceMm: 0 }]), from: 1, to: 0 };
    const [lifts] = threadsOf(road, 0, back, placements);
    expect(lifts?.x1).toBe(stringX(road, 1, 2));
  });
});

describe('timeBar', () => {
  test.each([
    [0.5, 'fits'],
    [0.95, 'tight'],
    [1.2, 'late'],
  ])('needing %s of a second out of one is %s', (needed, verdict) => {
    expect(timeBar(road, change([], needed)).verdict).toBe(verdict);
  });

  test('never grows past its neighbour', () => {
    expect(timeBar(road, change([], 50)).needed).toBeLessThan(100);
  });
});

test('seen gives the columns in the window and one more on each side', () => {
  expect(seen(1000, 400, 100, 200)).toEqual([9, 15]);
  expect(seen(0, 400, 100, 3)).toEqual([0, 2]);
});
