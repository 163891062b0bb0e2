import { ROUNDING } from '../tolerances.ts';
import { MATERIALS, offersFor, type MaterialId, type MaterialRules, type Quantity } from '../takeoff/registry.ts';
import type { PackOffer } from '../takeoff/materialKind.ts';
import { isWholeTile, type Blank } from '../cuts/offCuts/blank.ts';
import { actualSize, type Product } from '../tile/product.ts';
import { roundMoney } from '../units/currency.ts';
import type { Buying } from './buying.ts';
import { buyBars, buyPacks, type PackCount, type Purchase } from './packs.ts';
import { chanceOfMoreBroken, chanceOfRunningOut, deviationsFor } from './runningOut.ts';

/** A line of the order: what is needed, and how it is bought. */
export type Material = Quantity & Bought;

/** A line that runs out more often than this is worth a word: about 1 time in 7. */
export const LIKELY_TO_RUN_OUT = 0.15;

/** How a line is bought. */
export interface Bought extends Purchase {
  /** What is there already and taken off, in the unit of the line. */
  readonly inHand: number;
  /** What was bought beyond the need so that it runs out seldom enough, in the unit of the line. */
  readonly margin: number;
  /** What is left over when use is as computed, in the unit of the line. */
  readonly left: number;
  /** Packs that stay closed then and can go back. */
  readonly closed: number;
  /** The chance that it runs out before the end, from 0 to 1; null for what is counted. */
  readonly chance: number | null;
}

/** What prices are found in. */
export interface PriceList extends MaterialRules {
  readonly currency: string;
  readonly products: readonly Product[];
  readonly buying?: Buying | undefined;
  /** Pieces of tile that are there already: whole ones are not bought again. */
  readonly blanks?: readonly Blank[] | undefined;
}

/** Buys every quantity in the cheapest packs that cover it. */
export const priceMaterials = (quantities: readonly Quantity[], list: PriceList): Material[] =>
  quantities.map((quantity) => {
    const bought = buy(quantity, list);
    return { ...quantity, ...bought, cost: roundMoney(bought.cost, list.currency) };
  });

/** What all lines cost together. */
export const totalOf = (materials: readonly Pick<Material, 'cost'>[], currency: string): number =>
  roundMoney(
    materials.reduce((sum, { cost }) => sum + cost, 0),
    currency,
  );

function buy(line: Quantity, list: PriceList): Bought {
  const { quantity } = line;
  if (line.bars) {
    const bought = buyBars(line.bars, quantity);
    const holds = holdsOf(bought.packs);
    return { ...bought, inHand: 0, margin: 0, left: holds - quantity, closed: 0, chance: null };
  }
  const spread = spreadOf(line.item, list);
  const most = list.buying?.mostRunOutPercent;
  const margin = most === undefined ? 0 : marginOf(line, spread, most / 100);
  const inHand = Math.min(line.item === 'tiles' ? wholeTilesOf(line, list) : (list.materials[line.item]?.inHand ?? 0), quantity + margin);
  const toBuy = quantity + margin - inHand;
  const { packs, cost } = buyPacks(toBuy, offersOf(line, list));
  const holds = holdsOf(packs) + inHand;
  const chance = line.item === 'tiles' ? chanceForTiles(line, holds) : chanceOfRunningOut(quantity, holds, spread);
  return {
    packs,
    cost,
    covers: quantity > 0 ? holds / quantity : null,
    inHand,
    margin,
    left: Math.max(0, holds - quantity),
    closed: closedOf(packs, holds - quantity),
    chance,
  };
}

/** How far use strays, as a share: by the person's own past jobs, else as is usual for the material. */
export const spreadOf = (item: MaterialId, { habits }: Pick<MaterialRules, 'habits'>): number =>
  Math.min(MOST_SPREAD, Math.max(0, habits?.[item]?.['spread'] ?? MATERIALS[item].spread));

/** Nobody plans who strays further. */
const MOST_SPREAD = 1;

/** Whole tiles of a product that are there already; those that come in two hands are not told apart. */
function wholeTilesOf({ productId, hand }: Quantity, { products, blanks = [] }: PriceList): number {
  const product = products.find(({ id }) => id === productId);
  if (!product || hand !== null) return 0;
  return blanks
    .filter((blank) => blank.productId === productId && isWholeTile(blank, actualSize(product)))
    .reduce((sum, { pieces }) => sum + pieces, 0);
}

const holdsOf = (packs: readonly PackCount[]): number => packs.reduce((sum, { count, size }) => sum + count * size, 0);

/** Whole packs that what is left over makes up, the largest first. */
function closedOf(packs: readonly PackCount[], left: number): number {
  let [closed, rest] = [0, left + ROUNDING];
  for (const { size, count } of packs) {
    const own = Math.min(count, Math.floor(rest / size));
    closed += own;
    rest -= own * size;
  }
  return closed;
}

/** What is bought beyond the need so that the chance of running out is no more than `most`. */
function marginOf(line: Quantity, spread: number, most: number): number {
  if (line.item !== 'tiles') return line.quantity * spread * deviationsFor(most);
  let more = 0;
  while (more < 10_000 && (chanceForTiles(line, line.quantity + more) ?? 0) > most) more++;
  return more;
}

/** Tiles run out where more break than were bought for it; spares may be used. */
function chanceForTiles(line: Quantity, holds: number): number | null {
  if (line.item !== 'tiles') return null;
  const { opened, expectedBreakage } = line.how;
  return expectedBreakage === 0 ? null : chanceOfMoreBroken(expectedBreakage, Math.floor(holds - opened + ROUNDING));
}

/** Tiles come in their own boxes, all else in the packs of the job. */
function offersOf({ item, productId }: Quantity, list: PriceList): readonly PackOffer[] {
  if (item !== 'tiles') return offersFor(item, list);
  const product = list.products.find(({ id }) => id === productId);
  return product ? [{ size: product.piecesPerBox, price: product.boxPrice }] : [];
}
