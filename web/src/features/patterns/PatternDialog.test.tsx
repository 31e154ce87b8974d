// @vitest-environment jsdom
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { cleanup, render, screen, within } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api, type Arrangement, type PatternChoice, type PatternFit } from '../../api/client';
import { PatternDialog } from './PatternDialog';

const fit = (id: string, steps: string, more: Partial<PatternFit> = {}): PatternFit => ({
  pattern: {
    id,
    name: id.replace('-', ' '),
    metre: '4/4',
    swing: false,
    rung: 2,
    slowest: 40,
    fastest: 200,
    strummed: true,
    varies: false,
    beat: id === 'beat-strum',
    steps,
  },
  score: 1,
  reasons: ['in time for every change'],
  breaks: null,
  hands: [],
  ...more,
});

const arrangement = {
  metre: '4/4',
  rightHand: {
    sections: [
      { section: 'Verse', pattern: 'folk-strum', name: 'folk strum', reason: 'at home in a folk song' },
    ],
  },
  placements: [{ section: 'Verse' }, { section: 'Chorus' }, { section: 'Verse' }],
} as unknown as Arrangement;

beforeEach(() => {
  vi.spyOn(api, 'ownPatterns').mockResolvedValue([
    { id: 3, version: 0, pattern: { name: 'Pump stroke', metre: '4/4', steps: 'D . D U', swing: false } },
  ]);
  vi.spyOn(api, 'rankPatterns').mockResolvedValue([
    fit('folk-strum', 'D . D U . U D U'),
    fit('beat-strum', 'D D D D'),
    fit('arpeggio-up', 'r l m h', {
      breaks: { place: 1, words: 'G as xxx003 cannot carry it', better: '320003' },
      reasons: ['G as xxx003 cannot carry it'],
      hands: [
        { school: 'p i m a', fingers: ['p', 'i', 'm', 'a'] },
        { school: 'thumb leads', fingers: ['p', 'p', 'p', 'i'] },
      ],
    }),
    fit('own', 'D . D U', { pattern: { ...fit('own', 'D . D U').pattern, name: 'Pump stroke' } }),
  ]);
});
afterEach(() => {
  cleanup();
  vi.restoreAllMocks();
});

async function open(choices: PatternChoice[] = []) {
  const onChoose = vi.fn();
  const onTakeGrip = vi.fn();
  render(
    <QueryClientProvider client={new QueryClient()}>
      <PatternDialog
        song={{}}
        arrangement={arrangement}
        choices={choices}
        firstSection={null}
        onChoose={onChoose}
        onTakeGrip={onTakeGrip}
        onClose={vi.fn()}
      />
    </QueryClientProvider>,
  );
  await screen.findByRole('button', { name: 'Play folk strum' });
  return { onChoose, onTakeGrip, user: userEvent.setup() };
}

test('a pattern is chosen for the song or for one of its sections', async () => {
  const { onChoose, user } = await open();
  await user.click(screen.getByRole('button', { name: 'Play folk strum' }));
  expect(onChoose).toHaveBeenLastCalledWith([{ pattern: 'folk-strum', vary: false, section: null }]);
  await user.click(screen.getByRole('button', { name: 'Chorus' }));
  await user.click(screen.getByRole('button', { name: 'Play folk strum' }));
  expect(onChoose).toHaveBeenLastCalledWith([{ pattern: 'folk-strum', vary: false, section: 'Chorus' }]);
});

test('a stroke a beat is a choice like another', async () => {
  const { onChoose, user } = await open([{ pattern: 'folk-strum', section: null }]);
  await user.click(screen.getByRole('button', { name: 'Play beat strum' }));
  expect(onChoose).toHaveBeenLastCalledWith([{ pattern: 'beat-strum', vary: false, section: null }]);
});

test('the pattern can be left to be chosen with the part, and why it was is said', async () => {
  const { onChoose, user } = await open([{ pattern: 'arpeggio-up', section: null }]);
  await user.click(screen.getByRole('button', { name: 'Chosen with the part' }));
  expect(onChoose).toHaveBeenLastCalledWith([]);
  cleanup();
  await open();
  expect(screen.getByText(/at home in a folk song/)).toBeTruthy();
  expect(screen.getByRole('button', { name: 'Play folk strum' }).getAttribute('aria-pressed')).toBe('true');
});

test('a pattern that a grip cannot carry offers the grip that can', async () => {
  const { onTakeGrip, user } = await open();
  const row = screen.getByText('G as xxx003 cannot carry it').closest('li') as HTMLElement;
  await user.click(within(row).getByRole('button', { name: 'Take 320003 there' }));
  expect(onTakeGrip).toHaveBeenCalledWith(1, '320003');
});

test('an own pattern goes into the song as it is written', async () => {
  const { onChoose, user } = await open();
  await user.click(screen.getByRole('button', { name: 'Play Pump stroke' }));
  expect(onChoose).toHaveBeenLastCalledWith([
    {
      own: { name: 'Pump stroke', metre: '4/4', steps: 'D . D U', swing: false },
      vary: false,
      section: null,
    },
  ]);
});

test('every fourth bar is varied on request', async () => {
  const { onChoose, user } = await open([{ pattern: 'folk-strum', section: null }]);
  await user.click(screen.getByLabelText('vary every fourth bar'));
  expect(onChoose).toHaveBeenLastCalledWith([{ pattern: 'folk-strum', section: null, vary: true }]);
});

test('a picked pattern shows the fingers of both schools', async () => {
  await open();
  expect(await screen.findByText('p p p i')).toBeTruthy();
  expect(screen.getAllByText('thumb leads')).toHaveLength(1);
});
