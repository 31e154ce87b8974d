// @vitest-environment jsdom
import { render } from '@testing-library/react';
import { expect, test } from 'vitest';
import type { EngravedRow as Row } from '../../api/client';
import { EngravedRow } from './EngravedRow';

const ROW: Row = {
  bar: 1,
  plays: [1, 2],
  heading: 'Verse',
  height: 120,
  lines: [
    [0, 20, 300, 20, 0.5],
    [300, 20, 300, 90, 2.5],
  ],
  blanks: [[40, 60, 6, 7]],
  arcs: [[10, 40, 30, -4]],
  signs: [{ sign: '\uE0A4', size: 18.4, x: 40, y: 25 }],
  texts: [
    { face: 'BOLD', size: 9, x: 38, y: 9, text: 'F♯m' },
    { face: 'MONO', size: 8, x: 40, y: 66, text: '12' },
    { face: 'PLAIN', size: 9, x: 40, y: 110, text: 'row on' },
  ],
};

test('a row is drawn mark by mark, as much larger as it is asked for', () => {
  const { container } = render(<EngravedRow row={ROW} width={300} scale={2} />);
  const svg = container.querySelector('svg');
  expect(svg).toHaveAttribute('width', '604');
  expect(svg).toHaveAttribute('viewBox', '-1 0 302 120');
  expect([...container.querySelectorAll('line')].map((l) => l.getAttribute('stroke-width'))).toEqual([
    '0.5',
    '2.5',
  ]);
  expect(container.querySelector('rect')).toHaveAttribute('height', '7');
  expect(container.querySelector('path')).toHaveAttribute('d', 'M10 30C20 26 30 26 40 30');
  const texts = [...container.querySelectorAll('text')];
  expect(texts.map((t) => t.textContent)).toEqual(['\uE0A4', 'F♯m', '12', 'row on']);
  expect(texts[0]).toHaveAttribute('font-family', 'Bravura');
  expect(texts[0]).toHaveAttribute('font-size', '18.4');
  expect(texts[1]).toHaveAttribute('font-weight', '700');
  expect(texts[2]?.getAttribute('font-family')).toMatch(/mono/i);
});

test('what is blanked out lies over the lines and under what stands on them', () => {
  const { container } = render(<EngravedRow row={ROW} width={300} scale={1} />);
  const drawn = [...(container.querySelector('svg')?.children ?? [])].map((child) => child.tagName);
  expect(drawn.lastIndexOf('line')).toBeLessThan(drawn.indexOf('rect'));
  expect(drawn.lastIndexOf('rect')).toBeLessThan(drawn.indexOf('text'));
});
