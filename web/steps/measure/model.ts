import { distance, dot, quarterTurn, subtract, unit } from '@azulejo/core/geometry/point';
import { boxOf } from '@azulejo/core/geometry/ring';
import type { Job, Surface } from '@azulejo/core/job/job';
import { edgeName } from '@azulejo/core/messages/en/names';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import type { Doorway } from '@azulejo/core/surface/doorway';
import { CARRIED_MM, type CarriedJoint } from '@azulejo/core/surface/carriedJoint';
import type { EdgeRole } from '@azulejo/core/surface/edge';
import { fixtureSize, lineOfEdge, measuresAt, placeFixture, type Fixture } from '@azulejo/core/surface/fixture';
import type { Levels } from '@azulejo/core/surface/levels/levels';
import { edgeLength, type Link } from '@azulejo/core/surface/link';
import type { Measured } from '@azulejo/core/surface/surface';
import { outlineOf, type Shape } from '@azulejo/core/surface/shapes/registry';
import { sideOf } from '@azulejo/core/surface/sides';
import { TRIMS, usualTrim, type Trim } from '@azulejo/core/takeoff/works/trims';
import { MM_PER_INCH, type Tape } from '@azulejo/core/units/tape';
import { edgeTitle } from '../edgeTitle.ts';
import { nextId } from '../newId.ts';

/** An edge with what it is, how far the tiles stay off it and what it ends in. */
export interface EdgeRow {
  readonly id: string;
  readonly name: string;
  readonly role: EdgeRole;
  readonly gapMm: number;
  /** What stands there before the gap: the tile of the face that runs through, a bullnose; below zero where it laps over another, mm. */
  readonly standsMm: number;
  readonly trim: Trim;
  /** Its gap is its own, not that of its role. */
  readonly own: boolean;
}

/** The edges of a surface that can be spoken of, doorways last. */
export function edgeRows({ measured, trims }: Surface, plan: SurfacePlan): readonly EdgeRow[] {
  const seen = plan.traced.edges.filter(({ isReveal }) => !isReveal);
  const doors = new Set(measured.doorways.map(({ id }) => id));
  return seen
    .filter(({ id }, k) => seen.findIndex((edge) => edge.id === id) === k)
    .sort((a, b) => Number(doors.has(a.id)) - Number(doors.has(b.id)))
    .map(({ id, role, gapMm, endMm }) => ({
      id,
      name: edgeTitle(plan, id),
      role,
      gapMm,
      standsMm: endMm - gapMm,
      trim: trims?.[id] ?? usualTrim(role),
      own: id in measured.edgeGapsMm,
    }));
}

/** What an edge can end in: skirting runs along the walls of floors, nosing along fronts. */
export const trimsOn = (kind: Surface['kind']): readonly Trim[] =>
  TRIMS.filter((trim) => kind === 'floor' || (trim !== 'skirting' && trim !== 'skirtingTile')).filter(
    (trim) => kind !== 'wall' || (trim !== 'nosing' && trim !== 'nosingTile'),
  );

/** The walls of a floor that have no skirting yet. */
export const bareWalls = (kind: Surface['kind'], edges: readonly EdgeRow[]): readonly string[] =>
  kind === 'floor'
    ? edges.filter(({ role, trim }) => trim === 'none' && ['wall', 'focal', 'hidden'].includes(role)).map(({ id }) => id)
    : [];

/** A straight edge that can be opened, and the end it starts at, walking counter-clockwise. */
export interface OpenableWall {
  readonly id: string;
  readonly name: string;
  readonly start: 'left' | 'bottom' | 'right' | 'top';
  readonly lengthMm: number;
}

export function openableWalls(shape: Shape): readonly OpenableWall[] {
  const { ring, edgeIds, names } = outlineOf(shape);
  return edgeIds.flatMap((id, k) => {
    // A bend is many short edges of one name.
    if (edgeIds.indexOf(id) !== k || edgeIds.lastIndexOf(id) !== k) return [];
    const [from, to] = [ring[k], ring[(k + 1) % ring.length]];
    const start = ({ bottom: 'left', right: 'bottom', top: 'right', left: 'top' } as const)[sideOf({ from, to })];
    return [{ id, name: edgeName(names?.[id] ?? id), start, lengthMm: distance(from, to) }];
  });
}

/** A doorway to begin with, a tenth along its wall: as wide as a door, or as half the wall. */
export const startDoorway = ({ id, lengthMm }: OpenableWall, others: readonly Doorway[]): Doorway => ({
  id: nextId('door', others),
  edge: id,
  fromStartMm: Math.round(lengthMm * 0.1),
  widthMm: Math.round(Math.min(800, lengthMm * 0.5)),
  depthMm: 60,
});

/** A movement joint to begin with, along a wall: in the middle of the surface, or of the widest bay that others along it leave. */
export function startCarried({ id }: Pick<OpenableWall, 'id'>, shape: Shape, others: readonly CarriedJoint[]): CarriedJoint {
  const { ring, edgeIds } = outlineOf(shape);
  const k = edgeIds.indexOf(id);
  const inward = quarterTurn(unit(subtract(ring[(k + 1) % ring.length], ring[k])));
  const across = Math.max(...ring.map((p) => dot(subtract(p, ring[k]), inward)));
  const along = others.filter(({ edge }) => edge === id).map(({ fromStartMm, fromEndMm }) => (fromStartMm + fromEndMm) / 2);
  const ends = [0, ...along.sort((a, b) => a - b), across];
  const from = ends.slice(1).reduce((best, mm, m) => (mm - ends[m] > ends[best + 1] - ends[best] + 1 ? m : best), 0);
  const mm = Math.round((ends[from] + ends[from + 1]) / 2);
  return { id: nextId('joint', others), kind: 'movement', edge: id, fromStartMm: mm, fromEndMm: mm, widthMm: CARRIED_MM, fill: 'sealant' };
}

type Reading = Levels['readings'][number];

/** Nine places over a surface, in rows of three; each can be moved. */
export function startReadings(shape: Shape): Reading[] {
  const body = boxOf(outlineOf(shape).ring);
  const at = (low: number, high: number, k: number): number => Math.round(low + (high - low) * (0.08 + 0.42 * k));
  return [0, 1, 2].flatMap((row) =>
    [0, 1, 2].map((column) => ({
      id: `p${3 * row + column + 1}`,
      xMm: at(body.minX, body.maxX, column),
      yMm: at(body.minY, body.maxY, row),
      downMm: 1000,
    })),
  );
}

/** One more place, a step to the right of the last. */
export function nextReading(readings: readonly Reading[]): Reading {
  const last = readings.at(-1);
  return {
    id: nextId('p', readings).replace('-', ''),
    xMm: (last?.xMm ?? 0) + 200,
    yMm: last?.yMm ?? 0,
    downMm: last?.downMm ?? 1000,
  };
}

/** A plate that reaches over the cut of a fixture by a finger's width all round. */
export function coverOf({ outline }: Pick<Fixture, 'outline'>, { system }: Tape): NonNullable<Fixture['cover']> {
  const { widthMm, heightMm } = fixtureSize(outline);
  const wider = system === 'metric' ? 20 : 0.75 * MM_PER_INCH;
  return { widthMm: widthMm + wider, heightMm: heightMm + wider };
}

/** What a thing is measured from, with one of the two edges another: it stays where it is, where it can be measured from there. */
export function measuredFrom(placed: Pick<Fixture, 'outline' | 'from'>, shape: Shape, k: 0 | 1, edge: string): Fixture['from'] {
  const { ring, edgeIds } = outlineOf(shape);
  const linesOf = (from: Fixture['from']) => from.map((measure) => lineOfEdge(ring, edgeIds, measure.edge));
  const [first, second] = placed.from;
  const next: Fixture['from'] = k === 0 ? [{ ...first, edge }, second] : [first, { ...second, edge }];
  const [was, is] = [linesOf(placed.from), linesOf(next)];
  const centre = was[0] && was[1] ? placeFixture(placed, [was[0], was[1]])?.centre : null;
  const measured = centre && is[0] && is[1] ? measuresAt(placed, [is[0], is[1]], centre) : null;
  const round = (mm: number): number => Math.round(mm * 1e4) / 1e4;
  return measured
    ? [
        { ...next[0], mm: round(measured[0]) },
        { ...next[1], mm: round(measured[1]) },
      ]
    : next;
}

/** Where a surface meets others: its own end of each, and the other's. */
export interface Joined {
  readonly link: Link;
  readonly mine: Link['a'];
  readonly theirs: Link['a'];
}

export const joinedTo = ({ links }: Pick<Job, 'links'>, surfaceId: string): readonly Joined[] =>
  links
    .filter(({ a, b }) => a.surface === surfaceId || b.surface === surfaceId)
    .map((link) => (link.a.surface === surfaceId ? { link, mine: link.a, theirs: link.b } : { link, mine: link.b, theirs: link.a }));

/** The edges of a surface by which it can meet another, as they are called. */
export function edgesToMeet(
  measured: Pick<Measured, 'shape'>,
): readonly { readonly id: string; readonly name: string; readonly lengthMm: number }[] {
  const { edgeIds, names } = outlineOf(measured.shape);
  return [...new Set(edgeIds)].map((id) => ({
    id,
    name: edgeName(names?.[id] ?? id),
    lengthMm: edgeLength(measured.shape, id) ?? 0,
  }));
}
