import type { Job } from '../job/job.ts';
import { PATTERNS } from '../pattern/registry.ts';
import type { Product } from '../tile/product.ts';
import { good, inSheets, laid, withTile, type Provoked } from './provoked.ts';

const TILE = 'surfaces.0.productId';
const JOINT = 'surfaces.0.jointMm';

/** Two pieces that differ by so much. */
const differing = (mm: number): Pick<Product, 'sample'> => ({
  sample: [300, 300 + mm].map((widthMm) => ({ widthMm, heightMm: 300 })),
});

/** Planks of some length in running bond, or in a stagger that is drawn. */
const planks = (longMm: number, pattern: Job['surfaces'][number]['pattern']): Job =>
  laid({ pattern, setout: { x: { rule: 'best' }, y: { rule: 'best' } } }, { tile: [longMm, 150] });
const bond = (offset: number): Job['surfaces'][number]['pattern'] => ({ kind: 'runningBond', lay: 'lying', offset, step: 'alternating' });

/** Blocks of three strips that are so wide. */
const strips = (wideMm: number): Job => laid({ pattern: { kind: 'basketWeave', lay: 'lying', strips: 3 } }, { tile: [300, wideMm] });

/** Octagons whose dots, bought apart, are of a size. */
function dotted(dotMm: number): Job {
  const job = withTile(
    { shape: { kind: 'octagon', cornerMm: 44 } },
    { ...good, tile: [150, 150], surface: { ...good.surface, pattern: { kind: 'octagonDot' }, parts: { dot: 'dot' } } },
  );
  const size = { widthMm: dotMm, heightMm: dotMm };
  return {
    ...job,
    products: [
      ...job.products,
      { ...job.products[0], id: 'dot', name: 'Dot', shape: { kind: 'rectangle' }, nominal: size, measured: size },
    ],
  };
}

/** Lots of so many pieces, for a wall that takes 32 and is bought 35. */
const lots = (...pieces: number[]): Job => withTile({ lots: pieces.map((count) => lot(count)) });
const lot = (pieces: number): Product['lots'][number] => ({ id: `l${pieces}`, code: `T${pieces}`, shade: '', calibre: '', pieces });

/** Chevrons, which are bought in both hands; the same tile as a plain rectangle has none. */
const chevrons = (shape: Product['shape'], pattern: Job['surfaces'][number]['pattern']): Job =>
  withTile({ shape }, { ...good, tile: [300, 80], surface: { ...good.surface, pattern } });

/** What sets each finding off that is about the tile and its joint. */
export const PROVOKED_TILE = {
  'advice/nominal-size': { path: TILE, job: withTile({ measured: null }), beside: withTile({}) },
  'advice/nominal-sheet': { path: TILE, job: inSheets([905, 905], 2, { measured: null }), beside: inSheets([905, 905], 2) },
  'advice/narrow-joint': { path: JOINT, job: laid({}, { jointMm: 1.9 }), beside: laid({}, { jointMm: 2 }) },
  'advice/uneven-pieces': { path: JOINT, job: withTile(differing(1.1)), beside: withTile(differing(1)) },
  'advice/uneven-sheets': {
    path: TILE,
    job: inSheets([905, 905], 2, differing(1)),
    beside: inSheets([905, 905], 2, differing(0.6)),
  },
  'advice/sheet-seam': { path: JOINT, job: inSheets([905, 905], 2.6), beside: inSheets([905, 905], 2.4) },
  'advice/weave-joint': { path: 'surfaces.0.pattern.strips', job: strips(97), beside: strips(98) },
  'advice/part-joint': { path: 'surfaces.0.parts', job: dotted(58.8), beside: dotted(60.2) },
  'advice/long-offset': { path: 'surfaces.0.pattern.offset', job: planks(381, bond(0.5)), beside: planks(380, bond(0.5)) },
  'advice/both-hands': {
    path: 'surfaces.0.pattern',
    job: chevrons({ kind: 'chevron', cutDeg: 45 }, { kind: 'chevron', lay: 'upright' }),
    beside: chevrons({ kind: 'rectangle' }, PATTERNS.herringbone.defaults),
  },
  'advice/seal-first': { path: TILE, job: withTile({ porous: true }), beside: withTile({ porous: false }) },
  'advice/mixed-lots': { path: 'products.0.lots', job: lots(12, 31), beside: lots(12, 35) },
  'advice/short-lot': { path: 'products.0.lots', job: lots(12, 34), beside: lots(12, 35) },
} as const satisfies Readonly<Record<string, Provoked>>;

/** Planks in a drawn stagger, whose ends come near to middles. */
export const DRAWN_PLANKS = planks(900, { kind: 'randomStagger', lay: 'lying', seed: 7, apart: 0.2 });
