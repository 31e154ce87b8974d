import { describe, expect, test } from 'vitest';
import type { Arrangement } from '../../api/client';
import { comparable, differences, facts } from './compare';

const part = (capo: number, ...shapes: string[]) =>
  comparable({
    key: 'A major',
    rung: 2,
    total: 12.34,
    tempo: 92,
    fastestTempo: 104,
    capo: {
      chosen: capo,
      candidates: [{ capo, barres: 1, worstChange: { from: 0, to: 1, neededSeconds: 0.612 } }],
    },
    placements: shapes.map((shape, index) => ({
      index,
      bar: index + 1,
      section: 'Verse',
      played: `P${index}`,
      grip: { shape },
    })),
  } as unknown as Arrangement);

describe('two versions side by side', () => {
  test('are told apart fact by fact', () => {
    const rows = facts(part(0, 'x', 'y'), part(2, 'x', 'x'));
    expect(rows.find((r) => r.name === 'Capo')).toEqual({ name: 'Capo', left: 'none', right: '2' });
    expect(rows.find((r) => r.name === 'Shapes')).toEqual({ name: 'Shapes', left: '2', right: '1' });
    expect(rows.find((r) => r.name === 'Hardest change')?.left).toBe('P0 to P1, 0.61 s');
  });

  test('show only the places whose grip differs', () => {
    expect(differences(part(0, 'x', 'y'), part(0, 'x', 'z')).map((d) => d.bar)).toEqual([2]);
    expect(differences(part(0, 'x'), part(0, 'x', 'z'))[0]?.left.grip).toBeNull();
    expect(differences(part(0, 'x'), part(0, 'x'))).toEqual([]);
  });
});
