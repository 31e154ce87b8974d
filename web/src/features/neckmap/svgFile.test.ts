// @vitest-environment jsdom
import { expect, it } from 'vitest';
import { svgText } from './svgFile';

it('takes the styles of the page into the file', () => {
  document.body.innerHTML =
    '<style>.root { fill: rgb(1, 2, 3); }</style><svg class="a"><circle class="root" r="3"></circle></svg>';
  const svg = document.querySelector('svg') as SVGSVGElement;
  const text = svgText(svg);
  expect(text).toContain('xmlns="http://www.w3.org/2000/svg"');
  expect(text).toContain('fill:rgb(1, 2, 3)');
  expect(text).not.toContain('class=');
  expect(svg.querySelector('circle')?.getAttribute('class')).toBe('root');
});
