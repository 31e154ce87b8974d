// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api, type Arrangement, type Decisions, type PatternFit } from '../../../api/client';
import { NO_DECISIONS } from '../../../api/decisions';
import { BenchWork } from '../state/BenchWork';
import { RightHandDialog } from './RightHandDialog';

const arrangement = {
  metre: '4/4',
  rightHand: { sections: [] },
  placements: [{ section: 'Verse' }],
} as unknown as Arrangement;
const body = { rung: 3 };
const folk = {
  pattern: {
    id: 'folk-strum',
    name: 'folk strum',
    metre: '4/4',
    swing: false,
    rung: 1,
    strummed: true,
    steps: 'D . D U',
  },
  reasons: [],
  breaks: null,
  hands: [],
} as unknown as PatternFit;

beforeEach(() => {
  vi.spyOn(api, 'ownPatterns').mockResolvedValue([]);
  vi.spyOn(api, 'rankPatterns').mockResolvedValue([folk]);
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

function open(decisions: Decisions) {
  const onDecide = vi.fn();
  render(
    <QueryClientProvider client={new QueryClient()}>
      <BenchWork
        value={{
          body,
          arranged: body,
          arrangement,
          decisions,
          place: null,
          choose: vi.fn(),
          decide: onDecide,
          dispatch: vi.fn(),
        }}
      >
        <RightHandDialog second={decisions.second ? arrangement : undefined} onClose={vi.fn()} />
      </BenchWork>
    </QueryClientProvider>,
  );
  return onDecide;
}

test('a guitar alone is not asked whose hand it is', async () => {
  const onDecide = open(NO_DECISIONS);
  await userEvent.click(await screen.findByRole('button', { name: 'Play folk strum' }));
  expect(screen.queryByRole('group', { name: 'Whose hand' })).toBeNull();
  expect(onDecide).toHaveBeenCalledWith({
    patterns: [{ pattern: 'folk-strum', vary: false, section: null }],
  });
});

test('a second guitar plays a pattern of its own, ranked beside the first', async () => {
  const beside = {
    rung: 1,
    capo: null,
    playerId: null,
    guitarId: null,
    patterns: null,
    texture: null,
    solo: null,
  };
  const onDecide = open({ ...NO_DECISIONS, second: beside });
  await userEvent.click(screen.getByRole('button', { name: 'Second guitar' }));
  await waitFor(() =>
    expect(api.rankPatterns).toHaveBeenLastCalledWith(body, true, 'Verse', [], expect.anything()),
  );
  await userEvent.click(await screen.findByRole('button', { name: 'Play folk strum' }));
  expect(onDecide).toHaveBeenCalledWith({
    second: { ...beside, patterns: [{ pattern: 'folk-strum', vary: false, section: null }] },
  });
});
