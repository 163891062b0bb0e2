import { ON_LINE_MM } from '../tolerances.ts';
import { oncePer } from '../oncePer.ts';
import { difference, intersect } from '../geometry/clip.ts';
import { selfCrossing } from '../geometry/crossing.ts';
import { add, distance, scale, type Point } from '../geometry/point.ts';
import { boxOf, polygonsArea, ringArea } from '../geometry/ring.ts';
import { issue, type Issue } from '../result.ts';
import { offLine, type CarriedLine } from './carriedJoint.ts';
import { fixtureSize, lineOfEdge, placeFixture } from './fixture.ts';
import { checkShape, outlineOf, type Shape } from './shapes/registry.ts';
import type { NamedRing } from './shapes/shapeKind.ts';
import type { Measured } from './surface.ts';
import { measuredOutline, traceSurface, type Traced } from './traceSurface.ts';

/** A fixture may stick out, or lie over another, by less than this area, mm²: rounding of arcs. */
const STICKS_OUT_MM2 = 2;

/** What is wrong with measurements that are each readable; paths are relative to the measured part. */
export const checkMeasured = oncePer((measured: Measured): readonly Issue[] => {
  const shape = checkOutline(measured.shape).map((found) => ({ ...found, path: ['shape', ...found.path] }));
  if (shape.length > 0) return shape;
  const placed = [...checkBase(measured), ...checkDoorways(measured), ...checkFixturePlaces(measured), ...checkCarriedEdges(measured)];
  if (placed.length > 0) return placed;
  const traced = traceSurface(measured);
  const fixtures = [...checkFixturesInside(measured, traced), ...checkFixturesApart(traced)];
  if (fixtures.length > 0) return fixtures;
  const carried = checkCarried(measured, traced);
  if (carried.length > 0) return carried;
  if (traced.field.length === 0) return [issue('surface/gaps-leave-nothing', ['gapsMm'], widestGap(measured))];
  if (polygonsArea(traced.region) <= 0) return [issue('surface/fixtures-leave-nothing', ['fixtures'])];
  return [];
});

/** What is wrong with the shape of a surface or a cut-out; paths within the shape. */
function checkOutline(shape: Shape): Issue[] {
  const figures = checkShape(shape);
  if (figures.length > 0) return [...figures];
  const outline = outlineOf(shape);
  const crossing = selfCrossing(outline.ring);
  if (crossing) {
    const [first, second] = crossing.map((k) => nameOf(outline, outline.edgeIds[k]));
    return [issue('shape/crosses-itself', pathOfEdge(shape, outline.edgeIds[crossing[1]]), { first, second })];
  }
  return ringArea(outline.ring) <= 0 ? [issue('shape/wrong-way-round', [])] : [];
}

const nameOf = ({ names }: NamedRing, id: string): string => names?.[id] ?? id;

function pathOfEdge(shape: Shape, id: string): (string | number)[] {
  return shape.kind === 'walls' ? ['walls', shape.walls.findIndex((wall) => wall.id === id), 'lengthMm'] : [];
}

function widestGap({ gapsMm }: Measured): { role: string; gapMm: number } {
  const [role, gapMm] = Object.entries(gapsMm).reduce((a, b) => (b[1] > a[1] ? b : a));
  return { role, gapMm };
}

function checkBase({ base, shape }: Measured): Issue[] {
  if (!base) return [];
  const outline = outlineOf(shape);
  const { ring, edgeIds } = outline;
  const at = edgeIds.indexOf(base.edge);
  if (at === -1) return [noSuchEdge(['base', 'edge'], base.edge, outline)];
  if (edgeIds.lastIndexOf(base.edge) !== at) return [issue('base/curved-edge', ['base', 'edge'], { edge: nameOf(outline, base.edge) })];
  const edgeMm = distance(ring[at], ring[(at + 1) % ring.length]);
  return base.readings.flatMap(({ alongMm }, k) => {
    if (alongMm > edgeMm + ON_LINE_MM) return [issue('base/outside', ['base', 'readings', k, 'alongMm'], { alongMm, edgeMm })];
    const beforeMm = base.readings[k - 1]?.alongMm ?? -1;
    return alongMm <= beforeMm ? [issue('base/out-of-order', ['base', 'readings', k, 'alongMm'], { alongMm, beforeMm })] : [];
  });
}

const noSuchEdge = (path: Issue['path'], edge: string, { edgeIds }: NamedRing): Issue =>
  issue('surface/no-such-edge', path, { edge, edges: [...new Set(edgeIds)].join(', ') });

function checkFixturePlaces({ fixtures, shape }: Measured): Issue[] {
  const outline = outlineOf(shape);
  return fixtures.flatMap((fixture, k) => {
    const lines = fixture.from.map(({ edge }) => lineOfEdge(outline.ring, outline.edgeIds, edge));
    const missing = lines.indexOf(null);
    if (missing !== -1) return [noSuchEdge(['fixtures', k, 'from', missing, 'edge'], fixture.from[missing].edge, outline)];
    const within = fixture.outline.kind === 'shape' ? checkOutline(fixture.outline.shape) : [];
    if (within.length > 0) return within.map((found) => ({ ...found, path: ['fixtures', k, 'outline', 'shape', ...found.path] }));
    const [a, b] = lines;
    if (a && b && placeFixture(fixture, [a, b])) return [];
    const [first, second] = fixture.from.map(({ edge }) => nameOf(outline, edge));
    return [issue('fixture/parallel-edges', ['fixtures', k, 'from', 1, 'edge'], { name: fixture.name, first, second })];
  });
}

function checkFixturesInside({ fixtures, shape }: Measured, { fixtures: traced, body, names }: Traced): Issue[] {
  const { ring } = outlineOf(shape);
  return traced.flatMap((placed) => {
    const { fixture } = placed;
    const outside = polygonsArea(difference([[placed.ring]], [[ring]]));
    if (outside <= STICKS_OUT_MM2) return [];
    const k = fixtures.indexOf(fixture);
    const box = boxOf(placed.ring);
    const tooWide =
      fixtureSize(fixture.outline).widthMm > body.maxX - body.minX ||
      box.minX < body.minX - ON_LINE_MM ||
      box.maxX > body.maxX + ON_LINE_MM;
    const runs = placed.lines.map(({ from, to }) => Math.abs(to[0] - from[0]) > Math.abs(to[1] - from[1]));
    const measure = Math.max(0, runs.indexOf(!tooWide));
    const spaceMm = tooWide ? body.maxX - body.minX : body.maxY - body.minY;
    const from = names[fixture.from[measure].edge] ?? fixture.from[measure].edge;
    return [issue('fixture/outside', ['fixtures', k, 'from', measure, 'mm'], { name: fixture.name, spaceMm, from })];
  });
}

/** Two fixtures that are both left out can't stand in the same place. */
function checkFixturesApart({ fixtures }: Traced): Issue[] {
  const solid = fixtures.filter(({ fixture }) => !fixture.tiledUnder);
  return solid.flatMap((one, k) => {
    const other = solid.slice(0, k).find((before) => polygonsArea(intersect([[before.ring]], [[one.ring]])) > STICKS_OUT_MM2);
    if (!other) return [];
    const path = ['fixtures', fixtures.indexOf(one), 'from', 0, 'mm'];
    return [issue('fixture/overlap', path, { name: one.fixture.name, other: other.fixture.name })];
  });
}

const checkCarriedEdges = ({ carriedJoints = [], shape }: Measured): Issue[] =>
  carriedJoints.flatMap(({ edge }, k) => {
    const outline = outlineOf(shape);
    return outline.edgeIds.includes(edge) ? [] : [noSuchEdge(['carriedJoints', k, 'edge'], edge, outline)];
  });

/** A joint that is carried through has floor on both sides, and a place of its own. */
function checkCarried({ carriedJoints = [] }: Measured, { carried, body, outline, names }: Traced): Issue[] {
  return carried.flatMap((line) => {
    const { id, edge, widthMm } = line.joint;
    const path = ['carriedJoints', carriedJoints.findIndex((joint) => joint.id === id), 'fromStartMm'];
    const offs = outline.map((p) => offLine(line, p));
    if (Math.min(...offs) > -widthMm || Math.max(...offs) < widthMm)
      return [issue('carried/outside', path, { edge: names[edge] ?? edge, acrossMm: Math.max(...offs) - Math.min(...offs) })];
    const before = carried.slice(0, carried.indexOf(line));
    const same = before.some((other) => farPlaces(line, body).every((p) => Math.abs(offLine(other, p)) < widthMm));
    return same ? [issue('carried/same-place', path, { edge: names[edge] ?? edge })] : [];
  });
}

/** Two places on a line, as far apart as a surface is large. */
function farPlaces({ at, way }: CarriedLine, { minX, minY, maxX, maxY }: Traced['body']): Point[] {
  const far = Math.hypot(maxX - minX, maxY - minY);
  return [at, add(at, scale(way, far))];
}

function checkDoorways(measured: Measured): Issue[] {
  const { doorways } = measured;
  const outline = measuredOutline(measured);
  const { ring, edgeIds } = outline;
  return doorways.flatMap((doorway, k) => {
    const at = edgeIds.indexOf(doorway.edge);
    if (at === -1) return [noSuchEdge(['doorways', k, 'edge'], doorway.edge, outline)];
    const edge = nameOf(outline, doorway.edge);
    if (edgeIds.lastIndexOf(doorway.edge) !== at) return [issue('doorway/curved-edge', ['doorways', k, 'edge'], { edge })];
    const wallMm = distance(ring[at], ring[(at + 1) % ring.length]);
    const end = doorway.fromStartMm + doorway.widthMm;
    if (end > wallMm + ON_LINE_MM) return [issue('doorway/outside', ['doorways', k, 'fromStartMm'], { edge, wallMm, endMm: end })];
    const clash = doorways.some(
      (other, m) =>
        m < k && other.edge === doorway.edge && other.fromStartMm < end && doorway.fromStartMm < other.fromStartMm + other.widthMm,
    );
    return clash ? [issue('doorway/overlap', ['doorways', k, 'fromStartMm'], { edge })] : [];
  });
}
