import { difference } from '../geometry/clip.ts';
import type { Circle } from '../geometry/circleRing.ts';
import { insetEdges } from '../geometry/insetEdges.ts';
import { boxOf, type Box, type Polygon, type Ring } from '../geometry/ring.ts';
import type { Point } from '../geometry/point.ts';
import { bendToBase } from './baseLine.ts';
import { carriedLine, type CarriedLine } from './carriedJoint.ts';
import { openDoorways } from './doorway.ts';
import { VISIBILITY, type Edge, type EdgeRole } from './edge.ts';
import { fixtureCircle, fixtureRing, lineOfEdge, placeFixture, type Fixture, type FixturePlace, type MeasuringLine } from './fixture.ts';
import { outlineOf } from './shapes/registry.ts';
import type { NamedRing } from './shapes/shapeKind.ts';
import { mainEdges, type MainEdges } from './sides.ts';
import type { Measured } from './surface.ts';

/** Where a fixture lies. */
export interface TracedFixture {
  readonly fixture: Fixture;
  readonly place: FixturePlace;
  /** The two lines it is measured from. */
  readonly lines: readonly [MeasuringLine, MeasuringLine];
  readonly ring: Ring;
  /** With its clearance; where tiles end. */
  readonly clearRing: Ring;
  /** The circle that `clearRing` stands for; null for other outlines. */
  readonly clearCircle: Circle | null;
}

/** A corner of the shape, named by the edge that starts there. */
export interface Corner {
  readonly at: Point;
  readonly edgeId: string;
}

/** A measured surface turned into geometry. */
export interface Traced {
  readonly edges: readonly Edge[];
  /** What edges are called where that is not their id. */
  readonly names: Readonly<Record<string, string>>;
  /** The edge that ends the rows on each side. */
  readonly sides: MainEdges;
  readonly corners: readonly Corner[];
  readonly outline: Ring;
  /** The box of the shape itself, without doorways. */
  readonly body: Box;
  /** The body less its perimeter gaps: what centre lines and full pieces are taken from. */
  readonly limits: Box;
  readonly fixtures: readonly TracedFixture[];
  /** Where tiles end along edges that run on a circle. */
  readonly curves: readonly Circle[];
  /** The shape less its perimeter gaps, without doorways: what a border runs along. */
  readonly frame: Ring;
  /** The outline less its perimeter gaps. */
  readonly field: readonly Polygon[];
  /** What is tiled and trodden on: the field less fixtures and their clearance. */
  readonly floor: readonly Polygon[];
  /** Movement joints that are carried through, each as wide as it is. */
  readonly carried: readonly CarriedLine[];
  /** Where tile may lie: the floor less the joints that are carried through. */
  readonly region: readonly Polygon[];
}

/** The outline of a surface before its doorways are opened: its shape, bent to its base. */
export const measuredOutline = ({ shape, base }: Measured): NamedRing => bendToBase(outlineOf(shape), base);

/**
 * Traces a measured surface. A surface that leaves no room has an empty region. `standOffsMm` is what stands between its
 * edges and their gaps, by edge.
 */
export function traceSurface(measured: Measured, standOffsMm: Readonly<Record<string, number>> = {}): Traced {
  const shape = measuredOutline(measured);
  const body = boxOf(shape.ring);
  const opened = openDoorways(shape, measured.doorways);
  const doorIds = new Set(measured.doorways.map((d) => d.id));
  const revealIds = new Set(measured.doorways.flatMap(({ id }) => [`${id}-start`, `${id}-end`]));
  const roleOf = (id: string): EdgeRole => ownValue(measured.roles, id) ?? (doorIds.has(id) ? 'threshold' : 'wall');
  const gapOf = (id: string): number => ownValue(measured.edgeGapsMm, id) ?? measured.gapsMm[roleOf(id)];
  const endOf = (id: string): number => gapOf(id) + (ownValue(standOffsMm, id) ?? 0);
  const edges = opened.ring.map((from, k): Edge => {
    const id = opened.edgeIds[k];
    const role = roleOf(id);
    const seen = ownValue(measured.seen, id) ?? VISIBILITY[role];
    const to = opened.ring[(k + 1) % opened.ring.length];
    return { id, from, to, role, seen, gapMm: gapOf(id), endMm: endOf(id), isReveal: revealIds.has(id) };
  });
  const field = insetEdges(
    opened.ring,
    edges.map((edge) => edge.endMm),
  );
  const frame = frameOf(shape, endOf);
  const fixtures = traceFixtures(measured.fixtures, outlineOf(measured.shape));
  const carried = (measured.carriedJoints ?? []).flatMap((joint) => carriedLine(outlineOf(measured.shape), joint) ?? []);
  const floor = without(
    field,
    fixtures.filter(({ fixture }) => !fixture.tiledUnder).map(({ clearRing }) => clearRing),
  );
  return {
    edges,
    names: shape.names ?? {},
    sides: mainEdges(edges, doorIds),
    corners: cornersOf(shape),
    outline: opened.ring,
    body,
    limits: boxOf(frame),
    frame,
    fixtures,
    curves: (shape.curves ?? []).map(({ edgeId, circle, bulgesOut }) => ({
      centre: circle.centre,
      radiusMm: circle.radiusMm - (bulgesOut ? 1 : -1) * endOf(edgeId),
    })),
    field,
    carried,
    floor,
    region: without(
      floor,
      carried.map(({ strip }) => strip),
    ),
  };
}

const without = (region: readonly Polygon[], rings: readonly Ring[]): readonly Polygon[] =>
  rings.reduce<readonly Polygon[]>((rest, ring) => difference(rest, [[ring]]), region);

/** Fixtures whose measures lead nowhere are left out; checkMeasured refuses them. */
function traceFixtures(fixtures: readonly Fixture[], { ring, edgeIds }: NamedRing): TracedFixture[] {
  return fixtures.flatMap((fixture): TracedFixture[] => {
    const [a, b] = fixture.from.map(({ edge }) => lineOfEdge(ring, edgeIds, edge));
    const place = a && b ? placeFixture(fixture, [a, b]) : null;
    if (!a || !b || !place) return [];
    return [
      {
        fixture,
        place,
        lines: [a, b],
        ring: fixtureRing(fixture, place),
        clearRing: fixtureRing(fixture, place, fixture.clearanceMm),
        clearCircle: fixtureCircle(fixture, place, fixture.clearanceMm),
      },
    ];
  });
}

/** The value of a name that anybody may choose: also `constructor`. */
const ownValue = <T>(record: Readonly<Record<string, T>>, key: string): T | undefined =>
  Object.hasOwn(record, key) ? record[key] : undefined;

/** Where one edge ends and the next begins. */
const cornersOf = ({ ring, edgeIds }: NamedRing): Corner[] =>
  ring.flatMap((at, k) => (edgeIds[k] === edgeIds[(k + ring.length - 1) % ring.length] ? [] : [{ at, edgeId: edgeIds[k] }]));

/** A shape drawn in by its gaps; the shape itself where they leave nothing. */
function frameOf({ ring, edgeIds }: NamedRing, endOf: (id: string) => number): Ring {
  const [inset] = insetEdges(ring, edgeIds.map(endOf));
  return inset?.[0] ?? ring;
}
