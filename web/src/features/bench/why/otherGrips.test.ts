import { describe, expect, test } from 'vitest';
import type { Alternative, Placement } from '../../../api/client';
import { cheaper, dearer } from './otherGrips';

const priced = (...prices: number[]) =>
  prices.map((price) => ({ price, grip: { shape: `at ${price}` } })) as Alternative[];
const free = { locked: false } as Placement;
const locked = { locked: true } as Placement;

describe('stepping through the other grips', () => {
  test('down takes the next dearer one, up gives the last lock back', () => {
    expect(dearer(priced(0.4, 1.2))).toEqual({ kind: 'take', frets: 'at 0.4' });
    expect(dearer(priced(-0.4, 0.8))).toEqual({ kind: 'take', frets: 'at 0.8' });
    expect(dearer(priced(-1, -0.2))).toBeNull();
    expect(cheaper(locked, priced(-0.4, 0.8))).toEqual({ kind: 'release' });
    expect(cheaper(locked, priced(-1.2, -0.8, 0.5))).toEqual({ kind: 'take', frets: 'at -0.8' });
    expect(cheaper(free, priced(0.4))).toBeNull();
  });
});
