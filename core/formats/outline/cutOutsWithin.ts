import { SAW_MM } from '../../tolerances.ts';
import { dot, motion, subtract, unit, type Point } from '../../geometry/point.ts';
import { boxOf, isInside, ringArea, type Ring } from '../../geometry/ring.ts';
import { fixtureTurn, lineOfEdge, measuresAt, placeFixture, type Fixture, type MeasuringLine } from '../../surface/fixture.ts';
import { FIXTURE_CATALOGUE } from '../../surface/fixtureCatalogue.ts';
import { outlineOf } from '../../surface/shapes/registry.ts';
import { MOST_FIXTURES } from '../../surface/surface.ts';
import { pathPoints, type DrawnPath } from './drawnPath.ts';
import { outlineShape, placedOutline } from './outlineShape.ts';

/** Corners nearer than this to a rectangle or a circle make one, mm. */
const ON_MM = SAW_MM;

/** Sides nearer to square than this make a rectangle, degrees. */
const SQUARE_DEG = 0.02;

/** A circle is drawn by so many points at least. */
const LEAST_ROUND = 8;

/** What a drawing holds within an outline. */
export interface Within {
  /** Cut-outs, each measured from two edges of the outline, named by number. */
  readonly cutOuts: readonly Fixture[];
  /** Outlines that lie within those: what stands in a hole is no part of the surface. */
  readonly deeper: number;
  /** Outlines within it that become none: no two edges place them, or they are more than a surface may hold. */
  readonly left: number;
}

/** What lies within an outline of a drawing, as cut-outs of the surface that it becomes: rectangles, circles, else any shape. */
export function cutOutsWithin(chosen: DrawnPath, all: readonly DrawnPath[], mmPerUnit: number, name: (number: number) => string): Within {
  const rim = pathPoints(chosen);
  const inside = all.flatMap((path) => {
    const ring = path === chosen ? [] : pathPoints(path);
    return ring.length > 0 && liesIn(ring, rim) ? [{ path, ring, area: Math.abs(ringArea(ring)) }] : [];
  });
  if (inside.length > MOST_FIXTURES) return { cutOuts: [], deeper: 0, left: inside.length };
  const holes = inside.filter((hole) => !inside.some((other) => other.area > hole.area && liesIn(hole.ring, other.ring)));
  const { shape, first } = placedOutline(chosen, mmPerUnit);
  const { ring, edgeIds } = outlineOf(shape);
  const lines = [...new Set(edgeIds)]
    .filter((id) => edgeIds.filter((other) => other === id).length === 1)
    .flatMap((edge) => {
      const line = lineOfEdge(ring, edgeIds, edge);
      return line ? [{ edge, line }] : [];
    })
    .sort((a, b) => length(b.line) - length(a.line));
  const onSurface = ([x, y]: Point): Point => [x * mmPerUnit - first[0], y * mmPerUnit - first[1]];
  const placed = holes.map(({ path: hole }, k) => {
    const moved = { ...hole, corners: hole.corners.map(({ at, bulge }) => ({ at: onSurface(at), bulge })) };
    return placedCutOut(moved, lines, `cut-out-${k + 1}`, name(k + 1));
  });
  const cutOuts = placed.filter((fixture) => fixture !== null);
  return { cutOuts, deeper: inside.length - holes.length, left: holes.length - cutOuts.length };
}

const liesIn = (inner: Ring, outer: Ring): boolean => inner.every((p) => isInside(p, [[outer]]));

const length = ({ from, to }: MeasuringLine): number => Math.hypot(...subtract(to, from));

/** Measured from the two longest edges that give it back where it is; null where none do. */
function placedCutOut(
  hole: DrawnPath,
  lines: readonly { readonly edge: string; readonly line: MeasuringLine }[],
  id: string,
  name: string,
): Fixture | null {
  const { clearanceMm, tiledUnder } = FIXTURE_CATALOGUE.cutOut;
  for (const a of lines) {
    const turnDeg = fixtureTurn(a.line);
    const square = motion(-turnDeg, [0, 0]).turn;
    const turned = { ...hole, corners: hole.corners.map(({ at, bulge }) => ({ at: square(at), bulge })) };
    const box = boxOf(pathPoints(turned));
    const outline = outlineOfHole(turned);
    const centre = motion(turnDeg, [0, 0]).turn([(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2]);
    for (const b of lines) {
      if (Math.abs(dot(heading(a.line), heading(b.line))) > SQUARE_ENOUGH) continue;
      const [first, second] = measuresAt({ outline }, [a.line, b.line], centre);
      const from: Fixture['from'] = [
        { edge: a.edge, mm: tidy(first) },
        { edge: b.edge, mm: tidy(second) },
      ];
      const back = placeFixture({ outline, from }, [a.line, b.line]);
      if (back && Math.hypot(...subtract(back.centre, centre)) < ON_MM)
        return { id, kind: 'cutOut', name, outline, from, tiledUnder, clearanceMm, cover: null };
    }
  }
  return null;
}

/** Two edges that run within this cosine of one way place things badly. */
const SQUARE_ENOUGH = 0.7;

const heading = ({ from, to }: MeasuringLine): Point => unit(subtract(to, from));

/** To a thousandth, mm. */
const tidy = (mm: number): number => Math.round(mm * 1000) / 1000;

function outlineOfHole(path: DrawnPath): Fixture['outline'] {
  const points = pathPoints(path);
  const { minX, minY, maxX, maxY } = boxOf(points);
  const [widthMm, heightMm] = [tidy(maxX - minX), tidy(maxY - minY)];
  const fromCentre = points.map(([x, y]) => Math.hypot(x - (minX + maxX) / 2, y - (minY + maxY) / 2));
  const isRound = points.length >= LEAST_ROUND && Math.max(...fromCentre) - Math.min(...fromCentre) < ON_MM;
  if (isRound) return { kind: 'round', diameterMm: tidy(2 * Math.max(...fromCentre)) };
  const shape = outlineShape(path, 1);
  const isSquare = (deg: number): boolean => Math.abs(deg - 90 * Math.round(deg / 90)) < SQUARE_DEG;
  const isRectangle =
    shape.walls.length === 4 &&
    isSquare(shape.headingDeg) &&
    shape.walls.every(({ curve, turnDeg }) => curve === null && isSquare(turnDeg));
  return isRectangle ? { kind: 'rectangle', widthMm, heightMm } : { kind: 'shape', shape };
}
