import { SEEN_MM } from '../tolerances.ts';
import { issue, type Issue } from '../result.ts';
import { actualSize, type Product } from '../tile/product.ts';
import type { Colours } from './colours.ts';
import { moduleOf, missingParts, type Laying } from './laying.ts';
import { innerJointOf, misfitOf, partsOf } from './registry.ts';
import type { Module } from './repeat.ts';
import { isSquare } from './squareOf.ts';

/** Tiles that are mixed may differ by this much and still lie in one repeat, mm. */
const SAME_SIZE_MM = SEEN_MM;

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
  const odd = oddParts(laying, module, products);
  if (odd.length > 0) return odd;
  const innerMm = innerJointOf(laying.pattern, module);
  if (innerMm !== null && innerMm < 0) {
    return laying.pattern.kind === 'basketWeave'
      ? [issue('pattern/strips-do-not-fit', ['pattern', 'strips'], { overMm: -innerMm, name })]
      : [issue('pattern/part-too-large', ['parts'], { overMm: -innerMm, pattern: laying.pattern.kind })];
  }
  const partMixes = Object.entries(laying.partColours).flatMap(([part, colours]) => {
    const first = products.find(({ id }) => id === laying.parts[part]);
    return first ? checkMix(colours, ['partColours', part], first, products) : [];
  });
  return [...checkMix(laying.colours, ['colours'], product, products), ...partMixes];
}

/** Tiles of the other parts that don't have the outline the pattern leaves room for: a rectangle, and square where the room is. */
function oddParts({ parts, pattern }: Laying, module: Module, products: readonly Product[]): Issue[] {
  return Object.entries(partsOf(pattern, module)).flatMap(([part, room]) => {
    const product = products.find(({ id }) => id === parts[part]);
    if (!product) return [];
    const fits = product.shape.kind === 'rectangle' && (!isSquare(room) || isSquare(actualSize(product)));
    const wanted = isSquare(room) ? 'square' : 'rectangle';
    return fits ? [] : [issue('pattern/part-misfit', ['parts', part], { name: product.name, part, pattern: pattern.kind, wanted })];
  });
}

/** Every tile that is mixed in has the size and the outline of the first. */
function checkMix({ others }: Colours, path: Issue['path'], product: Product, products: readonly Product[]): Issue[] {
  return others.flatMap((id, k): Issue[] => {
    const other = products.find((one) => one.id === id);
    if (!other) return [issue('surface/no-such-product', [...path, 'others', k], { productId: id })];
    return mixesWith(product, other)
      ? []
      : [issue('colours/other-size', [...path, 'others', k], { name: other.name, first: product.name })];
  });
}

/** Whether a tile can be mixed with another: the same outline and size. */
export function mixesWith(a: Product, b: Product): boolean {
  const [one, two] = [actualSize(a), actualSize(b)];
  const offMm = Math.max(Math.abs(one.widthMm - two.widthMm), Math.abs(one.heightMm - two.heightMm));
  return offMm <= SAME_SIZE_MM && JSON.stringify(a.shape) === JSON.stringify(b.shape);
}
