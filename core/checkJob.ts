import { boxOf } from './geometry/ring.ts';
import { productOf, type Job, type Surface } from './job.ts';
import { issue, type Issue } from './result.ts';
import { outlineOf } from './surface/shapes/registry.ts';
import type { Link } from './surface/link.ts';
import { checkMeasured } from './surface/checkMeasured.ts';
import { innerJointOf } from './pattern/registry.ts';
import { actualSize } from './tile/product.ts';

/** What can't be true in a job whose fields are each readable. An empty list lets it through to plan(). */
export function checkJob(job: Job): Issue[] {
  const twice = [
    ...repeatedIds(job.surfaces, 'surfaces'),
    ...repeatedIds(job.products, 'products'),
    ...repeatedIds(job.rooms, 'rooms'),
    ...repeatedIds(job.links, 'links'),
  ];
  return [
    ...twice,
    ...job.surfaces.flatMap((surface, k) =>
      checkSurface(job, surface).map((found) => ({ ...found, path: ['surfaces', k, ...found.path] })),
    ),
    ...job.links.flatMap((link, k) => checkLink(job, link, k)),
  ];
}

function repeatedIds(items: readonly { readonly id: string }[], key: string): Issue[] {
  return items.flatMap(({ id }, k) =>
    items.findIndex((other) => other.id === id) < k ? [issue('job/repeated-id', [key, k, 'id'], { id })] : [],
  );
}

function checkSurface(job: Job, surface: Surface): Issue[] {
  if (!job.products.some(({ id }) => id === surface.productId)) {
    return [issue('surface/no-such-product', ['productId'], { productId: surface.productId })];
  }
  const measured = checkMeasured(surface.measured).map((found) => ({ ...found, path: ['measured', ...found.path] }));
  const room = surface.roomId !== null && !job.rooms.some(({ id }) => id === surface.roomId);
  if (room) return [issue('surface/no-such-room', ['roomId'], { roomId: surface.roomId ?? '' })];
  return measured.length > 0 ? measured : checkTile(job, surface);
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

/** More pieces than this on one surface are a slip of the pen: a tile of 5 mm on a floor of 5 m makes as many. */
const MOST_PIECES = 1_000_000;

function checkTile(job: Job, surface: Surface): Issue[] {
  const product = productOf(job, surface);
  const { widthMm, heightMm } = actualSize(product);
  const smallestMm = Math.min(widthMm, heightMm);
  if (surface.jointMm >= smallestMm) return [issue('joint/wider-than-tile', ['jointMm'], { jointMm: surface.jointMm, tileMm: smallestMm })];
  const innerMm = innerJointOf(surface.pattern, { widthMm, heightMm, jointMm: surface.jointMm });
  if (innerMm !== null && innerMm < 0)
    return [issue('pattern/strips-do-not-fit', ['pattern', 'strips'], { overMm: -innerMm, name: product.name })];
  const box = boxOf(outlineOf(surface.measured.shape).ring);
  const sides = [box.maxX - box.minX, box.maxY - box.minY].sort((a, b) => a - b);
  const tile = [widthMm, heightMm].sort((a, b) => a - b);
  if (tile[0] > sides[0] && tile[1] > sides[1]) {
    return [issue('tile/larger-than-surface', ['productId'], { name: product.name, widthMm, heightMm })];
  }
  const pieces = Math.round(((box.maxX - box.minX) * (box.maxY - box.minY)) / ((widthMm + surface.jointMm) * (heightMm + surface.jointMm)));
  return pieces > MOST_PIECES ? [issue('tile/too-many-pieces', ['productId'], { name: product.name, pieces, most: MOST_PIECES })] : [];
}
