import type { AdviceRule } from '../finding.ts';

/** Stone as light as this lets the mortar show. */
const LIGHT = 0.82;

/** How light a colour is, from 0 to 1 (weights of ITU-R BT.709). */
function lightness(colour: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => parseInt(colour.slice(at, at + 2), 16) / 255);
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

/** Grey mortar shows through glass and clouds light stone. */
export const darkMortar: AdviceRule = ({ surfaceIndex, product, plan: { figures } }) => {
  const shows = product.material === 'glass' || (product.material === 'natural stone' && lightness(product.colour) > LIGHT);
  return shows && figures.works.mortar === 'grey'
    ? [
        {
          code: 'advice/dark-mortar',
          severity: 'warning',
          path: ['surfaces', surfaceIndex, 'works', 'mortar'],
          figures: { name: product.name, material: product.material },
          mend: { path: ['surfaces', surfaceIndex, 'works', 'mortar'], value: 'white' },
        },
      ]
    : [];
};
