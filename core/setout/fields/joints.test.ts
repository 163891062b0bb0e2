import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { PATTERNS, type Pattern } from '../../pattern/registry.ts';
import { drawSurface } from '../../plan/layout/drawSurface.ts';
import { trialJob } from '../../samples/trialJob.ts';
import { boxOf, isInside, type Box, type Ring } from '../../geometry/ring.ts';
import type { Point } from '../../geometry/point.ts';
import { forEachWhole, tileRing } from '../place/layout.ts';
import { measureJoints } from './joints.ts';

const kinds = Object.values(PATTERNS).map(({ id, defaults }) => [id, defaults as Pattern] as const);

/** How far a place is from a side, by another way than the product's. */
function fromSide([x, y]: Point, [ax, ay]: Point, [bx, by]: Point): number {
  const [dx, dy] = [bx - ax, by - ay];
  const along = Math.min(1, Math.max(0, ((x - ax) * dx + (y - ay) * dy) / (dx * dx + dy * dy)));
  return Math.hypot(x - ax - along * dx, y - ay - along * dy);
}

/** What lies no further than this decides how far a place beside a corner is from a piece, mm. */
const NEAR_MM = 40;
const isNear = ({ minX, maxX, minY, maxY }: Box, [x, y]: Point): boolean =>
  x > minX - NEAR_MM && x < maxX + NEAR_MM && y > minY - NEAR_MM && y < maxY + NEAR_MM;

/** Pieces that are longer than many cells, too. */
const LONG = { widthMm: 598, heightMm: 98.5 };

test.each([...kinds.map(([kind, pattern]) => [kind, pattern, null] as const), ['long chevron', PATTERNS.chevron.defaults, LONG] as const])(
  'no place of a wall in %s is further from a piece than is said',
  (kind, pattern, size) => {
    const made = trialJob(pattern, 0.9);
    const job = size ? { ...made, products: made.products.map((product) => ({ ...product, nominal: size, measured: size })) } : made;
    const [surface] = job.surfaces;
    const { traced, fields } = drawSurface(job, surface);
    const pieces: Ring[] = [];
    for (const { layout } of fields) {
      forEachWhole(layout, (address) => pieces.push(tileRing(layout, address)));
      pieces.push(...layout.cutTiles.flatMap(({ polygons }) => polygons.flat()));
    }
    const { largestMm } = measureJoints(traced.region, fields, surface.jointMm);
    const corners = fc.sample(fc.constantFrom(...pieces.flat()), { numRuns: 40, seed: 11 });
    let most = 0;
    for (const corner of corners) {
      const near = pieces.filter((ring) => isNear(boxOf(ring), corner));
      const off = (at: Point): number =>
        !isInside(at, traced.region) || near.some((ring) => isInside(at, [[ring]]))
          ? 0
          : Math.min(...near.map((ring) => Math.min(...ring.map((p, k) => fromSide(at, p, ring[(k + 1) % ring.length])))));
      // From a corner of a piece to the middle of the hollow beside it.
      let [at, far] = [corner, off(corner)];
      for (let step = 4; step > 0.01; step /= 2) {
        for (let turn = 0; turn < 16; turn++) {
          const next: Point = [at[0] + step * Math.cos((turn * Math.PI) / 8), at[1] + step * Math.sin((turn * Math.PI) / 8)];
          const now = off(next);
          if (now > far) [at, far] = [next, now];
        }
      }
      most = Math.max(most, far);
    }
    // A bare place of no size is not counted.
    expect(most).toBeLessThan(largestMm + 0.15);
    // The hollow at the edge beside half a penny is as wide as the penny leaves it; else no more is left bare than a tip.
    expect(largestMm).toBeLessThan(kind === 'pennyRound' ? 15 : 3 * surface.jointMm);
  },
);
