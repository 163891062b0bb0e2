import { oncePer } from '../oncePer.ts';
import { boxOf } from '../geometry/ring.ts';
import { productOf, type Job, type Surface } from './job.ts';
import type { Blank } from '../cuts/offCuts/blank.ts';
import { issue, type Issue } from '../result.ts';
import { outlineOf } from '../surface/shapes/registry.ts';
import type { Link } from '../surface/link.ts';
import { checkCorners } from './checkCorners.ts';
import { checkWorkdays } from '../programme/checkWorkdays.ts';
import { checkMeasured } from '../surface/checkMeasured.ts';
import { intersect } from '../geometry/clip.ts';
import { checkLaying } from '../pattern/checkLaying.ts';
import { estimatePieces, MOST_PIECES, MOST_STONES } from '../pattern/estimatePieces.ts';
import { fixtureSize } from '../surface/fixture.ts';
import { fieldsOf, hasRoomForBorder } from '../setout/search/openSurface.ts';
import { actualSize, type Product } from '../tile/product.ts';

/** What can't be true in a job whose fields are each readable. An empty list lets it through to plan(). */
export function checkJob(job: Job): Issue[] {
  const twice = [
    ...repeatedIds(job.surfaces, 'surfaces'),
    ...repeatedIds(job.products, 'products'),
    ...repeatedIds(job.rooms, 'rooms'),
    ...repeatedIds(job.links, 'links'),
    ...repeatedIds(job.blanks ?? [], 'blanks'),
  ];
  return [
    ...twice,
    ...job.surfaces.flatMap((surface, k) =>
      issuesOfSurface(job, surface).map((found) => ({ ...found, path: ['surfaces', k, ...found.path] })),
    ),
    ...job.links.flatMap((link, k) => checkLink(job, link, k)),
    ...checkCorners(job),
    ...checkWorkdays(job),
    ...(job.blanks ?? []).flatMap((blank, k) => checkBlank(job, blank, k)),
  ];
}

function repeatedIds(items: readonly { readonly id: string }[], key: string): Issue[] {
  const first = new Map<string, number>();
  items.forEach(({ id }, k) => first.has(id) || first.set(id, k));
  return items.flatMap(({ id }, k) => (first.get(id) === k ? [] : [issue('job/repeated-id', [key, k, 'id'], { id })]));
}

/** What a surface is found to be with some tiles: worked out again only where either changes. */
const checkedWith = oncePer((surface: Surface) => oncePer((products: Job['products']) => checkSurface({ products }, surface)));

/** What can't be true of one surface of a job; paths within the surface. */
export function issuesOfSurface({ products, rooms }: Pick<Job, 'products' | 'rooms'>, surface: Surface): readonly Issue[] {
  const { roomId } = surface;
  if (roomId !== null && !rooms.some(({ id }) => id === roomId)) return [issue('surface/no-such-room', ['roomId'], { roomId })];
  return checkedWith(surface)(products);
}

function checkSurface(job: Pick<Job, 'products'>, surface: Surface): Issue[] {
  const laying = checkLaying(surface, job.products);
  if (laying.some(({ code }) => code === 'surface/no-such-product')) return laying;
  const measured = checkMeasured(surface.measured).map((found) => ({ ...found, path: ['measured', ...found.path] }));
  if (measured.length > 0) return measured;
  if (laying.length > 0) return laying;
  const tile = checkTile(job, surface);
  return tile.length > 0 ? tile : checkFields(job, surface);
}

/** Borders, bands and insets: their tiles are there and there is room for them. */
function checkFields({ products }: Pick<Job, 'products'>, surface: Surface): Issue[] {
  const { border, bands, insets } = surface;
  if (border === null && bands.length + insets.length === 0) return [];
  const edging = (productId: string, path: Issue['path']): Issue[] => {
    const product = products.find(({ id }) => id === productId);
    if (!product) return [issue('surface/no-such-product', path, { productId })];
    return product.shape.kind === 'rectangle' ? [] : [issue('border/not-rectangular', path, { name: product.name })];
  };
  const setIn = insets.flatMap((inset, k) => [
    ...checkLaying(inset, products).map((found) => ({ ...found, path: ['insets', k, ...found.path] })),
    ...(inset.border ? edging(inset.border.productId, ['insets', k, 'border', 'productId']) : []),
  ]);
  const tiles = [
    ...(border ? edging(border.productId, ['border', 'productId']) : []),
    ...bands.flatMap(({ productId }, k) => edging(productId, ['bands', k, 'productId'])),
    ...setIn,
  ];
  return tiles.length > 0 ? tiles : checkRoom(surface, products);
}

/** Whether borders and insets find room on the surface, and insets keep clear of each other. */
function checkRoom(surface: Surface, products: readonly Product[]): Issue[] {
  const { region, ring, insets } = fieldsOf(surface);
  const outside = surface.insets.flatMap(({ name, id }, k) =>
    insets.some(({ inset, region: own }) => inset.id === id && own.length > 0)
      ? []
      : [issue('inset/outside', ['insets', k, 'from'], { name })],
  );
  const overlaps = insets.flatMap((one, k) =>
    insets
      .slice(0, k)
      .filter((other) => intersect([[one.ring]], [[other.ring]]).length > 0)
      .map((other) => issue('inset/overlap', ['insets', k, 'from'], { name: one.inset.name, other: other.inset.name })),
  );
  const borders = [
    { border: surface.border, ring, jointMm: surface.jointMm, path: ['border'] },
    ...insets.map((placed, k) => ({
      border: placed.inset.border,
      ring: placed.ring,
      jointMm: placed.inset.jointMm,
      path: ['insets', k, 'border'],
    })),
  ].flatMap(({ border, ring: around, jointMm, path }) =>
    border && !hasRoomForBorder(around, region, border, products, jointMm) ? [issue('border/no-room', path)] : [],
  );
  return [...outside, ...overlaps, ...borders];
}

/** Pieces that are there already are of a tile of the job, no larger than it, and wider than the saw. */
function checkBlank({ products, consumption }: Pick<Job, 'products' | 'consumption'>, blank: Blank, k: number): Issue[] {
  const product = products.find(({ id }) => id === blank.productId);
  if (!product) return [issue('blank/no-such-product', ['blanks', k, 'productId'], { productId: blank.productId })];
  const { widthMm, heightMm } = blank;
  const tile = actualSize(product);
  if (Math.min(widthMm, heightMm) <= consumption.kerfMm)
    return [issue('blank/under-kerf', ['blanks', k, 'widthMm'], { widthMm, heightMm, kerfMm: consumption.kerfMm })];
  return widthMm > tile.widthMm + 1 || heightMm > tile.heightMm + 1
    ? [issue('blank/larger-than-tile', ['blanks', k, 'widthMm'], { name: product.name, ...tile })]
    : [];
}

/** A link names two edges that are there, and an edge has one neighbour. */
function checkLink({ surfaces, links }: Job, { a, b }: Link, k: number): Issue[] {
  const ends = [a, b].flatMap((end, side): Issue[] => {
    const surface = surfaces.find(({ id }) => id === end.surface);
    const path = ['links', k, side === 0 ? 'a' : 'b'];
    if (!surface) return [issue('link/no-such-surface', [...path, 'surface'], { surface: end.surface })];
    const { edgeIds } = outlineOf(surface.measured.shape);
    const known = [...new Set(edgeIds)].join(', ');
    return edgeIds.includes(end.edge) ? [] : [issue('surface/no-such-edge', [...path, 'edge'], { edge: end.edge, edges: known })];
  });
  if (ends.length > 0) return ends;
  const same = (p: Link['a'], q: Link['a']): boolean => p.surface === q.surface && p.edge === q.edge;
  const taken = same(a, b) || links.slice(0, k).some((other) => [a, b].some((end) => same(end, other.a) || same(end, other.b)));
  return taken ? [issue('link/edge-taken', ['links', k, 'a', 'edge'], { edge: a.edge, other: b.edge })] : [];
}

/** What keeps a tile off a surface: neither way there is room for one, or there would be more pieces than anybody lays. */
function checkTile(job: Pick<Job, 'products'>, surface: Surface): Issue[] {
  const product = productOf(job, surface);
  const { widthMm, heightMm } = actualSize(product);
  const box = boxOf(outlineOf(surface.measured.shape).ring);
  const sides = [box.maxX - box.minX, box.maxY - box.minY].sort((a, b) => a - b);
  const tile = [widthMm, heightMm].sort((a, b) => a - b);
  if (tile[0] > sides[0] && tile[1] > sides[1]) {
    return [issue('tile/larger-than-surface', ['productId'], { name: product.name, widthMm, heightMm })];
  }
  return checkCount(job, surface);
}

/** Counts what a surface and its insets would be made of, before any of it is worked out. */
function checkCount({ products }: Pick<Job, 'products'>, surface: Surface): Issue[] {
  const own = { laying: surface, box: boxOf(outlineOf(surface.measured.shape).ring), path: [] as Issue['path'] };
  const insets = surface.insets.map((inset, k) => {
    const { widthMm, heightMm } = fixtureSize(inset.outline);
    return { laying: inset, box: { minX: 0, minY: 0, maxX: widthMm, maxY: heightMm }, path: ['insets', k] };
  });
  return [own, ...insets].flatMap(({ laying, box, path }) => {
    const { pieces, cutPieces } = estimatePieces(laying, products, box);
    const name = products.find(({ id }) => id === laying.productId)?.name ?? laying.productId;
    if (pieces > MOST_PIECES) return [issue('tile/too-many-pieces', [...path, 'productId'], { name, pieces, most: MOST_PIECES })];
    return cutPieces > MOST_STONES
      ? [issue('tile/too-many-stones', [...path, 'pattern', 'moduleMm'], { pieces: cutPieces, most: MOST_STONES })]
      : [];
  });
}
