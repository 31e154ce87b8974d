// @vitest-environment jsdom
import { cleanup, render, screen } from '@testing-library/react';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import type { Placement } from '../../api/client';
import { WordsSheet } from './WordsSheet';

afterEach(cleanup);

const placement = (index: number, section: string, played: string | null, lyric: string): Placement =>
  ({
    index,
    bar: index + 1,
    section,
    played,
    lyric,
    grip: { shape: `shape${index}` },
  }) as unknown as Placement;

const placements = [
  placement(0, 'Verse', 'G', 'Row on'),
  placement(1, 'Verse', 'C', ''),
  placement(2, 'Chorus', null, 'ashore'),
];

beforeEach(() => {
  Element.prototype.scrollIntoView = vi.fn();
});

test('chords with their shapes stand over the words, sections over their lines', () => {
  render(<WordsSheet placements={placements} big={false} sounding={null} />);
  expect(screen.getAllByRole('heading').map((h) => h.textContent)).toEqual(['Verse', 'Chorus']);
  expect(screen.getByText('shape1')).toBeInTheDocument();
  expect(screen.getByText('N.C.')).toBeInTheDocument();
  expect(screen.getByText('ashore')).toBeInTheDocument();
});

test('a verse of words stands under its name after the last bar', () => {
  const words = [{ bar: 3, heading: 'Verse 2', lines: ['Heron on the water'] }];
  render(<WordsSheet placements={placements} words={words} big={false} sounding={null} />);
  expect(screen.getAllByRole('heading').map((h) => h.textContent)).toEqual(['Verse', 'Chorus', 'Verse 2']);
  expect(screen.getByText('Heron on the water')).toBeInTheDocument();
});

test('what is heard is marked and brought into sight', () => {
  const { container, rerender } = render(<WordsSheet placements={placements} big sounding={1} />);
  expect(container.querySelectorAll('[data-sounding]')).toHaveLength(1);
  expect(Element.prototype.scrollIntoView).toHaveBeenCalledTimes(1);
  rerender(<WordsSheet placements={placements} big sounding={null} />);
  expect(container.querySelectorAll('[data-sounding]')).toHaveLength(0);
});
