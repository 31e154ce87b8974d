/** What a drawing needs of its page's styles to be the same in a file. */
const STYLES = ['fill', 'stroke', 'stroke-width', 'font-size', 'font-weight', 'font-family', 'opacity'];

/** A drawing as a file of its own, with the styles it has on the page. */
export function svgText(svg: SVGSVGElement): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const there = copy.querySelectorAll<SVGElement>('*');
  svg.querySelectorAll<SVGElement>('*').forEach((element, i) => {
    const seen = getComputedStyle(element);
    const styles = STYLES.map((name) => [name, seen.getPropertyValue(name)] as const);
    there[i]?.removeAttribute('class');
    there[i]?.setAttribute(
      'style',
      styles
        .filter(([, value]) => value !== '')
        .map(([name, value]) => `${name}:${value}`)
        .join(';'),
    );
  });
  copy.removeAttribute('class');
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  return new XMLSerializer().serializeToString(copy);
}

/** Gives a drawing to the player as a file. */
export function saveSvg(svg: SVGSVGElement, name: string): void {
  const address = URL.createObjectURL(new Blob([svgText(svg)], { type: 'image/svg+xml' }));
  const link = document.createElement('a');
  link.href = address;
  link.download = `${name}.svg`;
  link.click();
  URL.revokeObjectURL(address);
}
