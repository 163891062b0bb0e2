import { issue, type Issue } from '../result.ts';
import { actualSize, type Product } from '../tile/product.ts';
import { moduleOf, missingParts, type Laying } from './laying.ts';
import { innerJointOf, misfitOf } from './registry.ts';

/** Tiles that are mixed may differ by this much and still lie in one repeat, mm. */
const SAME_SIZE_MM = 0.5;

/** What keeps a laying from being laid: tiles that are not there, that don't suit the pattern, or each other. */
export function checkLaying(laying: Laying, products: readonly Product[]): Issue[] {
  const product = products.find(({ id }) => id === laying.productId);
  if (!product) return [issue('surface/no-such-product', ['productId'], { productId: laying.productId })];
  const { name } = product;
  const module = moduleOf(laying, products);
  const sides = [module, ...Object.values(module.parts ?? {})].flatMap(({ widthMm, heightMm }) => [widthMm, heightMm]);
  const smallestMm = Math.min(...sides);
  if (laying.jointMm >= smallestMm) return [issue('joint/wider-than-tile', ['jointMm'], { jointMm: laying.jointMm, tileMm: smallestMm })];
  const misfit = misfitOf(laying.pattern, module);
  if (misfit !== null) return [issue('pattern/misfit', ['pattern', 'kind'], { name, pattern: laying.pattern.kind, misfit })];
  const missing = missingParts(laying, products);
  if (missing.length > 0)
    return missing.map((part) => issue('pattern/part-missing', ['parts', part], { part, pattern: laying.pattern.kind }));
  const innerMm = innerJointOf(laying.pattern, module);
  if (innerMm !== null && innerMm < 0) {
    return laying.pattern.kind === 'basketWeave'
      ? [issue('pattern/strips-do-not-fit', ['pattern', 'strips'], { overMm: -innerMm, name })]
      : [issue('pattern/part-too-large', ['parts'], { overMm: -innerMm, pattern: laying.pattern.kind })];
  }
  return checkMix(laying, product, products);
}

/** Every tile that is mixed in has the size and the outline of the first. */
function checkMix({ colours }: Laying, product: Product, products: readonly Product[]): Issue[] {
  return colours.others.flatMap((id, k): Issue[] => {
    const other = products.find((one) => one.id === id);
    if (!other) return [issue('surface/no-such-product', ['colours', 'others', k], { productId: id })];
    return mixesWith(product, other)
      ? []
      : [issue('colours/other-size', ['colours', 'others', k], { name: other.name, first: product.name })];
  });
}

/** Whether a tile can be mixed with another: the same outline and size. */
export function mixesWith(a: Product, b: Product): boolean {
  const [one, two] = [actualSize(a), actualSize(b)];
  const offMm = Math.max(Math.abs(one.widthMm - two.widthMm), Math.abs(one.heightMm - two.heightMm));
  return offMm <= SAME_SIZE_MM && JSON.stringify(a.shape) === JSON.stringify(b.shape);
}
