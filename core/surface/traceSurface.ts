import { difference } from '../geometry/clip.ts';
import type { Circle } from '../geometry/circleRing.ts';
import { insetEdges } from '../geometry/insetEdges.ts';
import { boxOf, type Box, type Polygon, type Ring } from '../geometry/ring.ts';
import { openDoorways } from './doorway.ts';
import type { Edge, EdgeRole } from './edge.ts';
import { fixtureCircle, fixtureRing, type Fixture } from './fixture.ts';
import { outlineOf } from './shapes/registry.ts';
import type { Measured } from './surface.ts';

/** Where a fixture lies. */
export interface TracedFixture {
  readonly fixture: Fixture;
  readonly ring: Ring;
  /** With its clearance; where tiles end. */
  readonly clearRing: Ring;
  /** The circle that `clearRing` stands for; null for other outlines. */
  readonly clearCircle: Circle | null;
}

/** A measured surface turned into geometry. */
export interface Traced {
  readonly edges: readonly Edge[];
  readonly outline: Ring;
  /** The box of the shape itself, without doorways; fixtures are measured from its sides. */
  readonly body: Box;
  /** The body less its perimeter gaps: what centre lines and full pieces are taken from. */
  readonly limits: Box;
  readonly fixtures: readonly TracedFixture[];
  /** The outline less its perimeter gaps. */
  readonly field: readonly Polygon[];
  /** Where tile may lie: the field less fixtures and their clearance. */
  readonly region: readonly Polygon[];
}

/** Traces a measured surface. A surface that leaves no room has an empty region. */
export function traceSurface(measured: Measured): Traced {
  const shape = outlineOf(measured.shape);
  const body = boxOf(shape.ring);
  const opened = openDoorways(shape, measured.doorways);
  const doorIds = new Set(measured.doorways.map((d) => d.id));
  const roleOf = (id: string): EdgeRole => measured.roles[id] ?? (doorIds.has(id) ? 'threshold' : 'wall');
  const edges = opened.ring.map((from, k): Edge => {
    const role = roleOf(opened.edgeIds[k]);
    const to = opened.ring[(k + 1) % opened.ring.length];
    return { id: opened.edgeIds[k], from, to, role, gapMm: measured.gapsMm[role] };
  });
  const field = insetEdges(
    opened.ring,
    edges.map((edge) => edge.gapMm),
  );
  const fixtures = measured.fixtures.map((fixture) => ({
    fixture,
    ring: fixtureRing(fixture, body),
    clearRing: fixtureRing(fixture, body, fixture.clearanceMm),
    clearCircle: fixtureCircle(fixture, body, fixture.clearanceMm),
  }));
  const holes = fixtures.filter(({ fixture }) => !fixture.tiledUnder).map(({ clearRing }): Polygon => [clearRing]);
  return {
    edges,
    outline: opened.ring,
    body,
    limits: limitsOf(
      shape.ring,
      shape.edgeIds.map((id) => measured.gapsMm[roleOf(id)]),
      body,
    ),
    fixtures,
    field,
    region: holes.reduce<readonly Polygon[]>((region, hole) => difference(region, [hole]), field),
  };
}

function limitsOf(ring: Ring, gapsMm: readonly number[], body: Box): Box {
  const inset = insetEdges(ring, gapsMm);
  return inset.length > 0 ? boxOf(inset.flat(2)) : body;
}
