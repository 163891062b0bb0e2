import type { Product } from '../../../tile/product.ts';
import { laidProducts } from '../../laidProducts.ts';
import type { AdviceRule } from '../../finding.ts';

/** Stone as light as this lets the mortar show. */
const LIGHT = 0.82;

/** How light a colour is, from 0 to 1 (weights of ITU-R BT.709). */
function lightness(colour: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => parseInt(colour.slice(at, at + 2), 16) / 255);
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

const showsThrough = ({ material, colour }: Product): boolean =>
  material === 'glass' || (material === 'natural stone' && lightness(colour) > LIGHT);

/** Grey mortar shows through glass and clouds light stone; paste is white. */
export const darkMortar: AdviceRule = (context) => {
  const {
    surfaceIndex,
    plan: { figures },
  } = context;
  const shown = laidProducts(context).find(showsThrough);
  return shown && figures.works.mortar === 'grey' && figures.works.adhesive === 'powder'
    ? [
        {
          code: 'advice/dark-mortar',
          severity: 'warning',
          path: ['surfaces', surfaceIndex, 'works', 'mortar'],
          figures: { name: shown.name, material: shown.material },
          mend: { path: ['surfaces', surfaceIndex, 'works', 'mortar'], value: 'white' },
        },
      ]
    : [];
};
