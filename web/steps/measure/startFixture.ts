import type { Surface } from '@azulejo/core/job/job';
import { difference } from '@azulejo/core/geometry/clip';
import { labelPoint } from '@azulejo/core/geometry/labelPoint';
import type { Point } from '@azulejo/core/geometry/point';
import { boxOf, isInside, type Polygon } from '@azulejo/core/geometry/ring';
import { checkMeasured } from '@azulejo/core/surface/checkMeasured';
import { lineOfEdge, measuresAt, type Fixture } from '@azulejo/core/surface/fixture';
import { FIXTURE_CATALOGUE, type FixtureKind } from '@azulejo/core/surface/fixtureCatalogue';
import { outlineOf } from '@azulejo/core/surface/shapes/registry';
import { traceSurface } from '@azulejo/core/surface/traceSurface';

/**
 * A new fixture of a kind, placed from two edges: where its kind stands when there is room there, else in the
 * free middle of the surface and no larger than there is room for.
 */
export function startFixture(measured: Surface['measured'], kind: FixtureKind, id: string, name: string): Fixture {
  const middle = inTheMiddle(measured, kind, id, name);
  const { stands, outline, cover } = FIXTURE_CATALOGUE[kind];
  if (stands === 'anywhere') return middle;
  const edges = [...new Set(outlineOf(measured.shape).edgeIds)];
  const alongMm = stands === 'inCorner' ? 0 : middle.from[0].mm;
  const corners = edges.map((edge, k): Fixture['from'] => [
    { edge: edges[(k + edges.length - 1) % edges.length], mm: alongMm },
    { edge, mm: 0 },
  ]);
  const standing = (stands === 'inCorner' ? corners : corners.slice(0, 1)).map((from): Fixture => ({ ...middle, outline, cover, from }));
  const fits = (fixture: Fixture): boolean => checkMeasured({ ...measured, fixtures: [...measured.fixtures, fixture] }).length === 0;
  return standing.find(fits) ?? middle;
}

function inTheMiddle(measured: Surface['measured'], kind: FixtureKind, id: string, name: string): Fixture {
  const usual = FIXTURE_CATALOGUE[kind];
  const { ring, edgeIds } = outlineOf(measured.shape);
  const { fixtures } = traceSurface(measured);
  const solid = fixtures.filter(({ fixture }) => !fixture.tiledUnder).map((placed) => [placed.ring]);
  const free = solid.reduce((left, hole) => difference(left, [hole]), [[ring]] as ReturnType<typeof difference>);
  const room = free.map((polygon) => ({ polygon, at: roomiest(polygon, free) })).sort((a, b) => clear(b.at, free) - clear(a.at, free))[0];
  const share = Math.min(1, (1.2 * clear(room.at, free)) / Math.max(...sidesOf(usual.outline)));
  const outline = shrunk(usual.outline, share);
  const edges = [...new Set(edgeIds)];
  const from: Fixture['from'] = [
    { edge: edges[edges.length - 1], mm: 0 },
    { edge: edges[0], mm: 0 },
  ];
  const lines = from.map(({ edge }) => lineOfEdge(ring, edgeIds, edge));
  if (lines[0] && lines[1]) measuresAt({ outline }, [lines[0], lines[1]], room.at).forEach((mm, k) => (from[k].mm = Math.round(mm)));
  return {
    id,
    kind,
    name,
    outline,
    from,
    tiledUnder: usual.tiledUnder,
    clearanceMm: usual.clearanceMm,
    cover: share < 1 ? null : usual.cover,
  };
}

/** The middle of a polygon where it is about as free as anywhere, else the place furthest from every edge. */
function roomiest(polygon: Polygon, free: readonly Polygon[]): Point {
  const { minX, minY, maxX, maxY } = boxOf(polygon[0]);
  const middle: Point = [(minX + maxX) / 2, (minY + maxY) / 2];
  const best = labelPoint(polygon);
  return isInside(middle, [polygon]) && clear(middle, free) >= 0.95 * clear(best, free) ? middle : best;
}

const sidesOf = (outline: (typeof FIXTURE_CATALOGUE)[FixtureKind]['outline']): number[] =>
  outline.kind === 'round' ? [outline.diameterMm] : [outline.widthMm, outline.heightMm];

function shrunk(outline: (typeof FIXTURE_CATALOGUE)[FixtureKind]['outline'], share: number): Fixture['outline'] {
  const size = (mm: number): number => (share < 1 ? Math.max(1, Math.floor(mm * share)) : mm);
  return outline.kind === 'round'
    ? { kind: 'round', diameterMm: size(outline.diameterMm) }
    : { kind: 'rectangle', widthMm: size(outline.widthMm), heightMm: size(outline.heightMm) };
}

/** How far one can go from a position in eight directions before leaving some polygons, mm. */
function clear([x, y]: readonly [number, number], polygons: Parameters<typeof isInside>[1]): number {
  for (let reach = 20; reach < 3000; reach += 20) {
    for (let k = 0; k < 8; k++) {
      const angle = (k * Math.PI) / 4;
      if (!isInside([x + reach * Math.cos(angle), y + reach * Math.sin(angle)], polygons)) return reach;
    }
  }
  return 3000;
}
