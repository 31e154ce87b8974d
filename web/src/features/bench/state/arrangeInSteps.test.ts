import { beforeEach, describe, expect, it, vi } from 'vitest';
import { api, type Arrangement, type PreviewBody } from '../../../api/client';
import { arrangeInSteps } from './arrangeInSteps';

function arrangement(chosen: number, leastEffort: number, swept: boolean): Arrangement {
  return { capo: { chosen, leastEffort, swept, candidates: [] } } as unknown as Arrangement;
}

const open: PreviewBody = { chart: { format: 'text', source: '| G |' }, capo: null };
const signal = new AbortController().signal;

describe('arrangeInSteps', () => {
  const asked = vi.spyOn(api, 'arrangeAsked');
  const full = vi.spyOn(api, 'arrange');
  const onFirst = vi.fn<(first: Arrangement) => void>();

  beforeEach(() => {
    asked.mockReset();
    full.mockReset();
    onFirst.mockReset();
  });

  it('asks for everything at once where nothing is on screen yet', async () => {
    full.mockResolvedValue(arrangement(2, 2, true));
    expect((await arrangeInSteps(open, undefined, signal, onFirst)).capo.chosen).toBe(2);
    expect(asked).not.toHaveBeenCalled();
    expect(onFirst).not.toHaveBeenCalled();
  });

  it('shows the part where the capo sits before the other frets are compared', async () => {
    asked.mockResolvedValue(arrangement(3, 3, false));
    full.mockResolvedValue(arrangement(5, 5, true));
    const result = await arrangeInSteps(open, arrangement(3, 1, true), signal, onFirst);
    expect(asked.mock.calls[0]?.slice(0, 2)).toEqual([open, 3]);
    expect(onFirst.mock.calls[0]?.[0].capo).toMatchObject({ chosen: 3, leastEffort: 1, swept: false });
    expect(result.capo.chosen).toBe(5);
  });

  it('takes the first answer for the last where the comparison is known', async () => {
    asked.mockResolvedValue(arrangement(0, 0, true));
    expect((await arrangeInSteps(open, arrangement(3, 1, true), signal, onFirst)).capo.chosen).toBe(0);
    expect(full).not.toHaveBeenCalled();
    expect(onFirst).not.toHaveBeenCalled();
  });
});
