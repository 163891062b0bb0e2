import { ON_LINE_TWICE_MM, ROUNDED_OFTEN, ROUNDING } from '../../tolerances.ts';
import { dot, subtract, unit, type Point } from '../../geometry/point.ts';
import { boxOf, type Ring } from '../../geometry/ring.ts';
import type { Traced } from '../../surface/traceSurface.ts';
import type { Field } from '../fields/field.ts';
import { forEachWhole, tileRing } from '../place/layout.ts';
import type { StruckLine } from './struckLine.ts';

/**
 * Where the work begins: at a tile that stands with a corner where the course line meets the cross line. Ways of length one, first along the courses, then across them; and the edge it ends at, a door.
 */
export interface WorkStart {
  readonly at: Point;
  /** From the crossing to the middle of that tile, mm: its joints lie on the other side of the lines; null where no tile stands so. */
  readonly tileLies: Point | null;
  readonly ways: readonly [Point, Point];
  readonly endsAt: string | null;
}

/** Work goes away from a door first, and back to it; from where the lines cross, to the right and up where there is none. */
export function startOf(fields: readonly Field[], first: StruckLine, level: StruckLine, { edges }: Traced): WorkStart | null {
  const at = crossingOf(first.ends, level.ends);
  if (!at) return null;
  const door = edges.find(({ role }) => role === 'threshold');
  const away = (line: StruckLine): Point => {
    const way = unit(subtract(line.ends[1], line.ends[0]));
    if (!door) return way;
    const middle: Point = [(door.from[0] + door.to[0]) / 2, (door.from[1] + door.to[1]) / 2];
    return dot(subtract(middle, at), way) > 0 ? [-way[0], -way[1]] : way;
  };
  return {
    at,
    tileLies: firstTile(fields, at, [first, level]),
    ways: [away(level), away(first)],
    endsAt: door?.id ?? null,
  };
}

/** A corner of a tile lies on a crossing, mm. */
const ON_CROSSING_MM = ON_LINE_TWICE_MM;

/** The tile that has a corner on a crossing of two lines and sides along both, a whole one if there is one: the way to its middle; null where none has. */
function firstTile(fields: readonly Field[], at: Point, lines: readonly [StruckLine, StruckLine]): Point | null {
  const ways = lines.map(({ ends }) => unit(subtract(ends[1], ends[0])));
  const middleOf = (ring: Ring): Point | null => {
    const k = ring.findIndex((p) => Math.hypot(p[0] - at[0], p[1] - at[1]) < ON_CROSSING_MM);
    if (k < 0) return null;
    const sides = [ring[(k + 1) % ring.length], ring[(k + ring.length - 1) % ring.length]].map((p) => unit(subtract(p, ring[k])));
    if (!ways.every((way) => sides.some((side) => Math.abs(side[0] * way[1] - side[1] * way[0]) < 100 * ROUNDED_OFTEN))) return null;
    const { minX, maxX, minY, maxY } = boxOf(ring);
    return [(minX + maxX) / 2 - at[0], (minY + maxY) / 2 - at[1]];
  };
  const own = fields.filter(({ kind }) => kind === 'main' || kind === 'beyondBand');
  let found: Point | null = null;
  for (const { layout } of own)
    forEachWhole(layout, (address) => {
      found ??= middleOf(tileRing(layout, address));
    });
  for (const { layout } of own) for (const { polygons } of layout.cutTiles) for (const [outer] of polygons) found ??= middleOf(outer);
  return found;
}

/** Where two lines cross; null where they run alike. */
export function crossingOf([a, b]: readonly [Point, Point], [c, d]: readonly [Point, Point]): Point | null {
  const [rx, ry] = [b[0] - a[0], b[1] - a[1]];
  const [sx, sy] = [d[0] - c[0], d[1] - c[1]];
  const det = rx * sy - ry * sx;
  if (Math.abs(det) < ROUNDING) return null;
  const t = ((c[0] - a[0]) * sy - (c[1] - a[1]) * sx) / det;
  return [a[0] + t * rx, a[1] + t * ry];
}
