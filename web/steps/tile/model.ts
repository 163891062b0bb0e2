import type { Job, Surface } from '@azulejo/core/job/job';
import { PLAIN_LAYING } from '@azulejo/core/job/startJob';
import { partName, PATTERN_NAMES, SHAPE_NAMES } from '@azulejo/core/messages/en/patterns';
import { mixesWith } from '@azulejo/core/pattern/checkLaying';
import { ONE_COLOUR, type ColourRule, type Colours } from '@azulejo/core/pattern/colours';
import { moduleOf, type Laying } from '@azulejo/core/pattern/laying';
import { partsOf, PATTERNS, type PatternId } from '@azulejo/core/pattern/registry';
import { layingOfKind } from '@azulejo/core/pattern/suitLaying';
import { takeGiven, type ProductTable } from '@azulejo/core/formats/productsCsv';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { BEST_SETOUT } from '@azulejo/core/setout/choice/setoutChoice';
import { lineOfEdge, measuresAt, type Fixture } from '@azulejo/core/surface/fixture';
import { outlineOf } from '@azulejo/core/surface/shapes/registry';
import type { WorksChoice } from '@azulejo/core/takeoff/works/works';
import { actualSize, type Product } from '@azulejo/core/tile/product';
import { formatLength, formatLengthWithUnit } from '@azulejo/core/units/formatLength';
import { formatMoney } from '@azulejo/core/units/currency';
import type { Tape } from '@azulejo/core/units/tape';
import type { Offer } from '../../supplier/supplier.ts';
import { nextId } from '../newId.ts';

/** "200 x 100 mm", as it was measured. */
export function sizeText(product: Product, tape: Tape): string {
  const { widthMm, heightMm } = actualSize(product);
  return `${formatLength(widthMm, tape)} x ${formatLengthWithUnit(heightMm, tape)}`;
}

/** Tiles that have all of the words in their name, material, shape, face or size. */
export function findTiles(products: readonly Product[], wanted: string, tape: Tape): readonly Product[] {
  const words = wanted.toLowerCase().split(/\s+/).filter(Boolean);
  return products.filter((product) => {
    const { name, material, shape, face } = product;
    const text = `${name} ${material} ${SHAPE_NAMES[shape.kind]} ${face} ${sizeText(product, tape)}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
}

/** What a supplier says of a tile: price, stock by lots, when there is more. */
export function offerText(offer: Offer | undefined, currency: string): string {
  if (!offer) return 'not carried';
  const lots = offer.lots.length === 1 ? 'one lot' : `${offer.lots.length} lots`;
  const stock = offer.stockBoxes === 0 ? 'none in stock' : `${offer.stockBoxes} boxes in ${lots}`;
  return `${formatMoney(offer.boxPrice, currency)} a box, ${stock}, more in ${offer.leadDays} days`;
}

/** Takes over price and lots from the supplier. */
export function takeOffer(draft: Job, offer: Offer): void {
  const target = draft.products.find(({ id }) => id === offer.productId);
  if (!target) return;
  target.boxPrice = offer.boxPrice;
  target.lots = offer.lots.map(({ code, shade, calibre, boxes }, k) => ({
    id: `lot-${k + 1}`,
    code,
    shade,
    calibre,
    pieces: boxes * target.piecesPerBox,
  }));
}

/** Puts the rows of a table on the list: those of an id that is there take its place as far as the table speaks of it. */
export function takeRows(draft: Job, { products, given }: Pick<ProductTable, 'products' | 'given'>, idFor: () => string): void {
  for (const [k, row] of products.entries()) {
    const at = draft.products.findIndex(({ id }) => id === row.id);
    if (at === -1) draft.products.push({ ...row, id: row.id || idFor() });
    else draft.products[at] = takeGiven(draft.products[at], row, given[k] ?? []);
  }
}

/** A part of the pattern that is laid in a tile of its own, and the size the pattern asks for. */
export interface PartRow {
  readonly part: string;
  readonly label: string;
  readonly ideal: string;
  /** The tile it is laid in; empty where it is cut from the main one. */
  readonly chosen: string;
  /** Tiles it could be laid in, the nearest sizes first. */
  readonly tiles: readonly Product[];
}

export function partRows(laying: Laying, products: readonly Product[], tape: Tape): readonly PartRow[] {
  const ideals = partsOf(laying.pattern, moduleOf({ ...laying, parts: {} }, products));
  const rectangles = products.filter(({ shape }) => shape.kind === 'rectangle');
  return Object.entries(ideals).map(([part, ideal]) => {
    const off = (one: Product): number => {
      const { widthMm, heightMm } = actualSize(one);
      return Math.abs(widthMm - ideal.widthMm) + Math.abs(heightMm - ideal.heightMm);
    };
    return {
      part,
      label: `${partName(part)} of the ${PATTERN_NAMES[laying.pattern.kind].toLowerCase()}`,
      ideal: `${formatLength(ideal.widthMm, tape)} x ${formatLengthWithUnit(ideal.heightMm, tape)}`,
      chosen: laying.parts[part] ?? '',
      tiles: [...rectangles].sort((a, b) => off(a) - off(b)),
    };
  });
}

/** Another tile for a part: it is laid alone where it can't be mixed with those there were. */
export function withPart(laying: Laying, part: string, id: string, products: readonly Product[]): Pick<Laying, 'parts' | 'partColours'> {
  const named = (other: string): Product | undefined => products.find((one) => one.id === other);
  const [before, after] = [named(laying.parts[part] ?? ''), named(id)];
  const mixes = before && after && mixesWith(before, after);
  const partColours = Object.fromEntries(Object.entries(laying.partColours).filter(([other]) => other !== part || mixes));
  return { parts: { ...laying.parts, [part]: id }, partColours };
}

/** Every kind of pattern, and how it would be laid: in the chosen tile, else in the first of the list that can be; null where none can. */
export const layingsByKind = (laying: Laying, products: readonly Product[], kerfMm: number): ReadonlyMap<PatternId, Laying | null> =>
  new Map((Object.keys(PATTERNS) as PatternId[]).map((kind) => [kind, layingOfKind(kind, laying, products, kerfMm)] as const));

/** A rule of mixing to begin with, for so many tiles. */
export function startRule(kind: ColourRule['kind'], tiles: number): ColourRule {
  const each = (value: number): number[] => Array.from({ length: tiles }, () => value);
  switch (kind) {
    case 'rows':
      return { kind, rows: each(1) };
    case 'random':
      return { kind, shares: each(Math.round(100 / tiles)), seed: 1 };
    case 'gradient':
      return { kind, towardsDeg: 0, seed: 1 };
    default:
      return { kind };
  }
}

/** One more tile in the mix; the first one that joins is laid by turns. */
export const withTile = (colours: Colours, id: string): Colours => ({
  ...colours,
  others: [...colours.others, id],
  rule: colours.others.length === 0 && colours.rule.kind === 'one' ? { kind: 'checkers' } : colours.rule,
});

/** The mix without its k-th tile, the main one being the first; what was coloured by hand is left to the rule. */
export function withoutTile(colours: Colours, k: number): Colours {
  const others = colours.others.filter((_, at) => at !== k - 1);
  return others.length === 0 ? ONE_COLOUR : { ...colours, others, byHand: {} };
}

/** How many courses, or which share, one of so many tiles has; null where the rule counts nothing. */
export function withCount(colours: Colours, k: number, count: number, tiles: number): Colours | null {
  const { rule } = colours;
  const changed = (list: readonly number[]): number[] => Array.from({ length: tiles }, (_, at) => (at === k ? count : (list[at] ?? 1)));
  if (rule.kind === 'rows') return { ...colours, rule: { ...rule, rows: changed(rule.rows) } };
  return rule.kind === 'random' ? { ...colours, rule: { ...rule, shares: changed(rule.shares) } } : null;
}

/** A strip narrower than this is no band to begin with, mm. */
const NARROWEST_BAND_MM = 40;

/** A band to begin with: of the narrowest other tile that makes one, a little above the middle; null where no tile does. */
export function startBand(
  job: Pick<Job, 'products'>,
  surface: Surface,
  plan: Pick<SurfacePlan, 'traced'> | null,
): Surface['bands'][number] | null {
  const narrow = (product: Product): number => Math.min(actualSize(product).widthMm, actualSize(product).heightMm);
  const [tile] = job.products
    .filter((product) => product.shape.kind === 'rectangle' && product.id !== surface.productId && narrow(product) >= NARROWEST_BAND_MM)
    .sort((a, b) => narrow(a) - narrow(b));
  if (!tile) return null;
  const limits = plan?.traced.limits;
  const atMm = limits ? Math.round((limits.maxY - limits.minY) * 0.6) : 0;
  return { id: nextId('band', surface.bands), productId: tile.id, run: 'along', way: 'level', atMm };
}

/** A rug to begin with, in the middle: half of the surface each way, in the same tile laid askew. */
export function startArea(surface: Surface, { traced }: Pick<SurfacePlan, 'traced'>): Surface['insets'][number] {
  const { limits } = traced;
  const outline: Fixture['outline'] = {
    kind: 'rectangle',
    widthMm: Math.round((limits.maxX - limits.minX) / 2),
    heightMm: Math.round((limits.maxY - limits.minY) / 2),
  };
  const { ring, edgeIds } = outlineOf(surface.measured.shape);
  const [first, second] = [traced.sides.left ?? edgeIds[edgeIds.length - 1], traced.sides.bottom ?? edgeIds[0]];
  const lines = [first, second].map((edge) => lineOfEdge(ring, edgeIds, edge));
  const centre = [(limits.minX + limits.maxX) / 2, (limits.minY + limits.maxY) / 2] as const;
  const mm = lines[0] && lines[1] ? measuresAt({ outline }, [lines[0], lines[1]], centre).map(Math.round) : [0, 0];
  const { productId, parts, jointMm, pattern, insets } = surface;
  const laying: Laying = JSON.parse(JSON.stringify({ ...PLAIN_LAYING, productId, parts, jointMm, pattern })) as Laying;
  return {
    ...laying,
    id: nextId('inset', insets),
    name: `Inset ${insets.length + 1}`,
    outline,
    from: [
      { edge: first, mm: mm[0] },
      { edge: second, mm: mm[1] },
    ],
    turnDeg: 45,
    setout: BEST_SETOUT,
    border: null,
  };
}

/** The place of one surface for others of its room, which stand on the same; adhesive and grout stay with each. */
export function samePlace(own: WorksChoice = {}, other: WorksChoice = {}): WorksChoice {
  const { place, load, heated } = own;
  return { ...other, ...(place ? { place } : {}), ...(load ? { load } : {}), ...(heated === undefined ? {} : { heated }) };
}
