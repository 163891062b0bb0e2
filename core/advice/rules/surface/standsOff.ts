import { cross, distance, dot, quarterTurn, subtract, unit, type Point } from '../../../geometry/point.ts';
import type { Ring } from '../../../geometry/ring.ts';
import { SEALED_ROLES, type Edge } from '../../../surface/edge.ts';
import type { Fixture, MeasuringLine } from '../../../surface/fixture.ts';
import { FIXTURE_CATALOGUE } from '../../../surface/fixtureCatalogue.ts';
import type { TracedFixture } from '../../../surface/traceSurface.ts';
import type { AdviceRule, Finding } from '../../finding.ts';

/** A gap up to this wide beside something that stands in a corner can be neither tiled nor cleaned, mm. */
const NARROW_GAP_MM = 100;

/** What stands against a wall is measured to it with a tape, mm. */
const TOUCHES_MM = 1;

/** A door that hangs above the foot of its wall, a bath or cabinet a hand away from a wall, on whichever side. */
export const standsOff: AdviceRule = ({ surface, surfaceIndex, plan: { traced } }) =>
  traced.fixtures.flatMap((found): Finding[] => {
    const { fixture, lines } = found;
    const { stands } = FIXTURE_CATALOGUE[fixture.kind];
    const k = surface.measured.fixtures.findIndex(({ id }) => id === fixture.id);
    const told = (code: Finding['code'], edgeId: string, offMm: number, measure: number): Finding => ({
      code,
      severity: 'warning',
      path: ['surfaces', surfaceIndex, 'measured', 'fixtures', k, 'from', measure, 'mm'],
      figures: { name: fixture.name, edge: traced.names[edgeId] ?? edgeId, offMm },
    });
    if (stands === 'atFoot') {
      const foot = lines.findIndex(isLevel);
      const at = fixture.from.at(foot);
      return foot !== -1 && at && at.mm > 0 ? [told('advice/door-in-the-air', at.edge, at.mm, foot)] : [];
    }
    if (stands !== 'inCorner' || fixture.tiledUnder) return [];
    const [nearest] = traced.edges
      .filter((edge) => SEALED_ROLES.has(edge.role) && edge.role !== 'threshold' && !edge.isReveal)
      .flatMap((edge) => {
        const mm = gapTo(edge, found);
        return mm !== null && mm > Math.max(TOUCHES_MM, fixture.clearanceMm) && mm <= NARROW_GAP_MM ? [{ edge, mm }] : [];
      })
      .sort((a, b) => a.mm - b.mm);
    return nearest ? [told('advice/stands-off', nearest.edge.id, nearest.mm, measureOf(fixture, lines, nearest.edge))] : [];
  });

/** Whether a measure is taken upwards, from the foot of a wall. */
const isLevel = ({ from, to }: MeasuringLine): boolean => {
  const [x, y] = quarterTurn(unit(subtract(to, from)));
  return y > Math.abs(x);
};

/** The measure that says how far something stands off an edge: that from the edge, or from the one across from it. */
function measureOf({ from }: Fixture, lines: readonly [MeasuringLine, MeasuringLine], edge: Edge): number {
  const own = from.findIndex((measure) => measure.edge === edge.id);
  if (own !== -1) return own;
  const way = unit(subtract(edge.to, edge.from));
  const [first, second] = lines.map((line) => Math.abs(cross(way, unit(subtract(line.to, line.from)))));
  return first <= second ? 0 : 1;
}

/** How far something stands off an edge that it stands beside, mm; null where it stands beside another one. */
function gapTo(edge: Edge, { ring }: Pick<TracedFixture, 'ring'>): number | null {
  const along = unit(subtract(edge.to, edge.from));
  const inward = quarterTurn(along);
  const side = sideTowards(ring, inward);
  const runs = side.map((p) => dot(subtract(p, edge.from), along));
  const isBeside = Math.min(...runs) < distance(edge.from, edge.to) - TOUCHES_MM && Math.max(...runs) > TOUCHES_MM;
  return isBeside ? dot(subtract(side[0], edge.from), inward) : null;
}

/** The corners of a ring that are nearest to an edge, by the way into the field from it. */
function sideTowards(ring: Ring, inward: Point): Point[] {
  const depths = ring.map((p) => dot(p, inward));
  const nearest = Math.min(...depths);
  return ring.filter((_, k) => depths[k] < nearest + TOUCHES_MM);
}
