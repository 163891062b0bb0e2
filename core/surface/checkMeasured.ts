import { difference } from '../geometry/clip.ts';
import { distance } from '../geometry/point.ts';
import { boxOf, polygonsArea } from '../geometry/ring.ts';
import { issue, type Issue } from '../result.ts';
import { fixtureRing } from './fixture.ts';
import { outlineOf } from './shapes/registry.ts';
import type { Measured } from './surface.ts';
import { traceSurface } from './traceSurface.ts';

/** A fixture may stick out by less than this area, mm²: rounding of arcs. */
const STICKS_OUT_MM2 = 2;

/** What is wrong with measurements that are each readable: paths are relative to the measured part. */
export function checkMeasured(measured: Measured): Issue[] {
  const doorways = checkDoorways(measured);
  if (doorways.length > 0) return doorways;
  const fixtures = checkFixtures(measured);
  if (fixtures.length > 0) return fixtures;
  const traced = traceSurface(measured);
  if (traced.field.length === 0) return [issue('surface/gaps-leave-nothing', ['gapsMm'], widestGap(measured))];
  if (polygonsArea(traced.region) <= 0) return [issue('surface/fixtures-leave-nothing', ['fixtures'])];
  return [];
}

function widestGap({ gapsMm }: Measured): { role: string; gapMm: number } {
  const [role, gapMm] = Object.entries(gapsMm).reduce((a, b) => (b[1] > a[1] ? b : a));
  return { role, gapMm };
}

function checkFixtures(measured: Measured): Issue[] {
  const outline = outlineOf(measured.shape);
  const body = boxOf(outline.ring);
  return measured.fixtures.flatMap((fixture, k) => {
    const outside = polygonsArea(difference([[fixtureRing(fixture, body)]], [[outline.ring]]));
    if (outside <= STICKS_OUT_MM2) return [];
    const box = boxOf(fixtureRing(fixture, body));
    const wide = box.minX < body.minX - 0.01 || box.maxX > body.maxX + 0.01;
    const field = wide ? 'xMm' : 'yMm';
    const spaceMm = wide ? body.maxX - body.minX : body.maxY - body.minY;
    return [issue('fixture/outside', ['fixtures', k, field], { name: fixture.name, spaceMm, from: wide ? fixture.fromX : fixture.fromY })];
  });
}

function checkDoorways({ shape, doorways }: Measured): Issue[] {
  const { ring, edgeIds } = outlineOf(shape);
  return doorways.flatMap((doorway, k) => {
    const at = edgeIds.indexOf(doorway.edge);
    if (at === -1) return [issue('doorway/no-such-edge', ['doorways', k, 'edge'], { edge: doorway.edge, edges: edgeIds.join(', ') })];
    const wallMm = distance(ring[at], ring[(at + 1) % ring.length]);
    const end = doorway.fromStartMm + doorway.widthMm;
    if (end > wallMm + 0.01) return [issue('doorway/outside', ['doorways', k, 'fromStartMm'], { edge: doorway.edge, wallMm, endMm: end })];
    const clash = doorways.some(
      (other, m) =>
        m < k && other.edge === doorway.edge && other.fromStartMm < end && doorway.fromStartMm < other.fromStartMm + other.widthMm,
    );
    return clash ? [issue('doorway/overlap', ['doorways', k, 'fromStartMm'], { edge: doorway.edge })] : [];
  });
}
