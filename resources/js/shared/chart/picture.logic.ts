/** What of a drawing's look is written into it when it is taken along, where no style sheet goes with it. */
const looks = [
  'fill',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linejoin',
  'opacity',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor',
] as const;

/** A drawing as a file: as large as it is drawn, on its own background, looking as it does here. */
export function pictureOf(drawing: SVGSVGElement, background: string): string {
  const copy = drawing.cloneNode(true) as SVGSVGElement;
  const here = [drawing, ...drawing.querySelectorAll('*')];
  [copy, ...copy.querySelectorAll('*')].forEach((element, index) => {
    const seen = getComputedStyle(here[index] ?? drawing);
    for (const name of ['class', 'style', 'tabindex', 'role']) {
      element.removeAttribute(name);
    }
    const around = element === copy ? undefined : getComputedStyle(here[index]?.parentElement ?? drawing);
    for (const look of looks) {
      const value = seen.getPropertyValue(look);
      const isPlain = look === 'opacity' ? value === '1' : value === around?.getPropertyValue(look);
      if (value !== '' && !isPlain) {
        element.setAttribute(look, value);
      }
    }
  });
  const { width, height } = drawing.viewBox.baseVal;
  const ground = document.createElementNS('http://www.w3.org/2000/svg', 'rect');
  for (const [name, value] of Object.entries({ width, height, fill: background })) {
    ground.setAttribute(name, String(value));
  }
  copy.prepend(ground);
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  return new XMLSerializer().serializeToString(copy);
}
