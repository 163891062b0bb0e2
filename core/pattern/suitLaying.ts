import { actualSize, type Product, type Size } from '../tile/product.ts';
import { isSquare } from './squareOf.ts';
import { mixesWith } from './checkLaying.ts';
import { ONE_COLOUR } from './colours.ts';
import { moduleFor } from './kinds/ashlar.ts';
import { fittingStrips } from './kinds/basketWeave.ts';
import { missingParts, moduleOf, type Laying } from './laying.ts';
import { innerJointOf, misfitOf, partsOf, PATTERNS, type Pattern, type PatternId } from './registry.ts';
import type { Module } from './repeat.ts';

/** Each side of a tile may differ from the size that fits by this share, and the tile still stands in for it. */
const NEAR_SHARE = 0.25;

/** Joints inside a pattern may be so much wider than the joint for a tile to stand in unasked, mm. */
const WIDER_MM = 6;

/**
 * The laying of another kind of pattern: in the tile chosen where it suits, else in the first of the list
 * that does; with the tiles of its parts. Null where no tile of the list can be laid so.
 */
export function layingOfKind(kind: PatternId, current: Laying, products: readonly Product[], kerfMm: number): Laying | null {
  if (kind === current.pattern.kind) return current;
  const own = products.find(({ id }) => id === current.productId);
  const others = products.filter(({ id }) => id !== current.productId);
  for (const product of own ? [own, ...others] : others) {
    const laying = startLaying(kind, product, current, products, kerfMm);
    if (laying) return laying;
  }
  return null;
}

/** The laying of another tile: in the pattern chosen where it suits, else in the first that lays its outline. */
export function layingOfTile(product: Product, current: Laying, products: readonly Product[], kerfMm: number): Laying | null {
  const kinds = [current.pattern.kind, ...(Object.keys(PATTERNS) as PatternId[])];
  for (const kind of kinds) {
    const laying = startLaying(kind, product, current, products, kerfMm);
    if (laying) return laying;
  }
  return null;
}

function startLaying(kind: PatternId, product: Product, current: Laying, products: readonly Product[], kerfMm: number): Laying | null {
  const first = products.find(({ id }) => id === current.productId);
  const others = first && mixesWith(first, product) ? current.colours.others : [];
  const plain: Laying = {
    ...current,
    productId: product.id,
    // Seams between sheets vanish only at the joint of the sheet.
    jointMm: product.shape.kind === 'sheet' ? product.shape.jointMm : current.jointMm,
    parts: {},
    partColours: {},
    colours: others.length > 0 ? { ...current.colours, byHand: {} } : ONE_COLOUR,
  };
  const module = moduleOf(plain, products);
  const pattern = startPattern(kind, current.pattern, module, kerfMm);
  if (!pattern || misfitOf(pattern, module) !== null) return null;
  const kept = kind === current.pattern.kind ? { parts: current.parts, partColours: current.partColours } : {};
  return fillParts({ ...plain, pattern, ...kept }, products);
}

/** A kind with its defaults; which way it lies stays. */
function startPattern(kind: PatternId, current: Pattern, module: Module, kerfMm: number): Pattern | null {
  if (kind === 'ashlar') return startAshlar(current, module, kerfMm);
  if (kind === current.kind) return current;
  const strips = fittingStrips(module);
  if (kind === 'basketWeave' && strips === null) return null;
  const { defaults } = PATTERNS[kind];
  const lay =
    'lay' in current && 'lay' in defaults && PATTERNS[current.kind].takes[0] === PATTERNS[kind].takes[0] ? { lay: current.lay } : {};
  const start: Pattern = { ...defaults, ...lay };
  return start.kind === 'basketWeave' && strips !== null ? { ...start, strips } : start;
}

/** An ashlar in a module that suits the tile; stones that the tile can't give are drawn again. */
function startAshlar(current: Pattern, module: Module, kerfMm: number): Pattern {
  const start: Pattern = current.kind === 'ashlar' ? current : { ...PATTERNS.ashlar.defaults, moduleMm: moduleFor(module) };
  return misfitOf(start, module) === null ? start : { ...start, moduleMm: moduleFor(module), kerfMm, stones: null, locked: [] };
}

/** Finds the tile nearest to the size that fits for every part that has none; null where the list holds none near it. */
export function fillParts(laying: Laying, products: readonly Product[]): Laying | null {
  const module = moduleOf({ ...laying, parts: {} }, products);
  const ideal = partsOf(laying.pattern, module);
  const kept = Object.fromEntries(Object.entries(laying.parts).filter(([part]) => part in ideal));
  const parts = { ...kept };
  for (const part of missingParts({ ...laying, parts: kept }, products)) {
    const near = nearestTile(ideal[part], products, (id) => {
      const inner = innerJointOf(laying.pattern, moduleOf({ ...laying, parts: { [part]: id } }, products));
      return inner === null || (inner >= 0 && inner <= laying.jointMm + WIDER_MM);
    });
    if (!near) return null;
    parts[part] = near.id;
  }
  const same = Object.entries(laying.partColours).filter(([part]) => parts[part] === laying.parts[part]);
  return { ...laying, parts, partColours: Object.fromEntries(same) };
}

/** The rectangular tile nearest to a size, of those that fit. */
function nearestTile(size: Size, products: readonly Product[], fits: (id: string) => boolean): Product | null {
  const [long, short] = sides(size);
  const ranked = products
    .filter((product) => product.shape.kind === 'rectangle' && (!isSquare(size) || isSquare(actualSize(product))))
    .map((product) => {
      const [a, b] = sides(actualSize(product));
      const [offLong, offShort] = [Math.abs(a / long - 1), Math.abs(b / short - 1)];
      return { product, worst: Math.max(offLong, offShort), off: offLong + offShort };
    })
    .filter(({ worst, product }) => worst <= NEAR_SHARE && fits(product.id))
    .sort((a, b) => a.off - b.off);
  return ranked[0]?.product ?? null;
}

const sides = ({ widthMm, heightMm }: Size): readonly [number, number] => [Math.max(widthMm, heightMm), Math.min(widthMm, heightMm)];
