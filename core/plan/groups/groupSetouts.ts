import { HAIR_MM, ROUNDING } from '../../tolerances.ts';
import type { Memory } from '../../memory.ts';
import { distance, subtract, type Point } from '../../geometry/point.ts';
import type { Surface } from '../../job/job.ts';
import type { Repeat } from '../../pattern/repeat.ts';
import { periodOf } from '../../setout/search/criticalOffsets.ts';
import { firstPieceSpan, spanOf, type Axis } from '../../setout/choice/axisPlacement.ts';
import type { Placer } from '../../setout/search/placer.ts';
import type { SetoutChoice } from '../../setout/choice/setoutChoice.ts';
import type { Link } from '../../surface/link.ts';
import { lineOfEdge } from '../../surface/fixture.ts';
import { measuredOutline } from '../../surface/traceSurface.ts';
import { phaseOf, type Member } from './groupPhase.ts';
import type { GroupFigures } from '../planned.ts';
import { prepareSurface, type OpeningRules, type OpenSurface } from '../prepare/prepareSurface.ts';

/** What a group is worked out from. */
export type GroupRules = OpeningRules;

/** Directions of surfaces whose joints run on over the edges they share. */
export interface Group {
  readonly members: readonly Member[];
  /** From one joint to the next, mm. */
  readonly stepMm: number;
  /** How far edges that close a ring are from agreeing, mm; 0 where they do. */
  readonly offMm: number;
}

/** The groups of a job while one surface of it is planned: what was opened and found for it. */
export interface Groups {
  readonly rules: GroupRules;
  readonly memory: Memory;
  readonly opened: Map<Surface, OpenSurface>;
  readonly found: Map<string, Group | null>;
}

export const groupsOf = (rules: GroupRules, memory: Memory): Groups => ({ rules, memory, opened: new Map(), found: new Map() });

function openIn({ rules, memory, opened }: Groups, surface: Surface): OpenSurface {
  const open = opened.get(surface) ?? prepareSurface(rules, surface, memory);
  opened.set(surface, open);
  return open;
}

/** Joints run on over an edge where pieces repeat alike along it, to this, mm. */
const ALIKE_MM = HAIR_MM;

/** An edge that is further off level or upright carries no joints, mm over its length. */
const STRAIGHT_MM = 3;

/** Edges that close a ring may differ by this much, mm: a joint takes it. */
const CLOSES_MM = 1;

/**
 * The setout of a surface as its group leaves it: a direction that is left to the product takes the joints of the
 * surfaces it meets. The surface's own choice where it is in no group, or was taken out of it.
 */
export function groupedSetout(groups: Groups, surface: Surface): SetoutChoice {
  if (surface.apart || (surface.setout.x.rule !== 'best' && surface.setout.y.rule !== 'best')) return surface.setout;
  let { setout } = surface;
  for (const axis of ['y', 'x'] as const) {
    if (setout[axis].rule !== 'best') continue;
    const group = groupOf(groups, surface, axis);
    if (!group || group.offMm > CLOSES_MM) continue;
    const own = group.members.find((member) => member.surface.id === surface.id && member.axis === axis);
    if (!own) continue;
    const { open } = own.open.placer;
    const at = own.sign * phaseOf(group, groups.rules, groups.memory) + own.offMm;
    const limits = spanOf(open.ground.limits, axis);
    const piece = firstPieceSpan(open.laid.repeat, axis);
    const period = periodOf(open.laid.repeat, axis) ?? group.stepMm;
    const offset = at + piece.low - limits.low;
    setout = {
      ...setout,
      turn: { rule: 'asDrawn' },
      [axis]: { rule: 'free', offsetMm: Math.round((offset - period * Math.floor(offset / period + ROUNDING)) * 1e4) / 1e4 },
    };
  }
  return setout;
}

/** What a surface is set out together with. */
export function groupFigures(groups: Groups, surface: Surface): GroupFigures {
  const found = (['x', 'y'] as const).map((axis) => groupOf(groups, { ...surface, apart: false }, axis)).filter((group) => group !== null);
  return {
    surfaceIds: [...new Set(found.flatMap(({ members }) => members.map((member) => member.surface.id)))].filter((id) => id !== surface.id),
    offMm: Math.max(0, ...found.map(({ offMm }) => offMm)),
    corners: cornersOf(groups, surface),
  };
}

/** The group that one direction of a surface belongs to, the surface as it is given; null where no joint of it runs on. */
export function groupOf(groups: Groups, surface: Surface, axis: Axis): Group | null {
  const { rules } = groups;
  if (!rules.links.some(({ a, b }) => a.surface === surface.id || b.surface === surface.id)) return null;
  const key = JSON.stringify([surface.id, axis, surface.setout, surface.apart ?? false]);
  const known = groups.found.get(key);
  if (known !== undefined) return known;
  const surfaces = rules.surfaces.map((one) => (one.id === surface.id ? surface : one));
  const found = walk(groups, surfaces, surface, axis);
  // The first of the group by its place in the job leads, so that each member finds the same phase.
  const [leader] = [...found.members].sort((a, b) => surfaces.indexOf(a.surface) - surfaces.indexOf(b.surface));
  const group = found.members.length < 2 ? null : { ...walk(groups, surfaces, leader.surface, leader.axis), stepMm: found.stepMm };
  groups.found.set(key, group);
  return group;
}

/** Goes from surface to surface over the edges that carry joints. */
function walk(groups: Groups, surfaces: readonly Surface[], first: Surface, axis: Axis): Group {
  const open = openIn(groups, first);
  const stepMm = jointStep(open.placer, axis);
  const members: Member[] = [{ surface: first, axis, open, sign: 1, offMm: 0 }];
  let offMm = 0;
  for (const here of members) {
    for (const link of groups.rules.links) {
      for (const [mine, theirs] of [
        [link.a, link.b],
        [link.b, link.a],
      ] as const) {
        const other = surfaces.find(({ id }) => id === theirs.surface);
        if (mine.surface !== here.surface.id || !other || other.apart) continue;
        const over = carriedOver(groups, link, here, mine.edge, other, theirs.edge, stepMm) ?? roundTheCorner(groups, link, here, other);
        if (!over) continue;
        const known = members.find((member) => member.surface.id === other.id && member.axis === over.axis);
        if (known) offMm = Math.max(offMm, phaseGap(known, over, stepMm));
        else members.push(over);
      }
    }
  }
  return { members, stepMm, offMm };
}

/** A direction of a surface that goes on with what is cut off at an upright corner: piece by piece as if the walls were one. */
function roundTheCorner(groups: Groups, link: Link, here: Member, other: Surface): Member | null {
  if (!link.runsOn || here.axis !== 'x') return null;
  const corner = cornerOf(link, here.surface, other);
  if (!corner) return null;
  const open = openIn(groups, other);
  const [mine, theirs] = [here.open, open].map(({ placer }) => placer.open.ground.limits);
  const offMm = corner === 'right' ? here.offMm - mine.maxX + theirs.minX : here.offMm - mine.minX + theirs.maxX;
  return { surface: other, axis: 'x', open, sign: here.sign, offMm };
}

/** At which end of a wall another goes on that is laid alike; null where what is cut off there can't begin a course of it. */
function cornerOf(link: Link, here: Surface, other: Surface): 'left' | 'right' | null {
  const [mine, theirs] = link.a.surface === here.id ? [link.a, link.b] : [link.b, link.a];
  const [a, b] = [straightEdge(here, mine.edge), straightEdge(other, theirs.edge)];
  if (!a || !b || a.axis !== 'y' || b.axis !== 'y' || here.kind !== 'wall' || other.kind !== 'wall') return null;
  const isAlike = JSON.stringify(layingOf(here)) === JSON.stringify(layingOf(other));
  // An outline runs up at its right and down at its left.
  if (!isAlike || !isAsDrawn(here) || !isAsDrawn(other) || a.way === b.way) return null;
  return a.way > 0 ? 'right' : 'left';
}

const layingOf = ({ productId, pattern, jointMm, turnDeg, parts }: Surface) => [productId, pattern, jointMm, turnDeg, parts];

/** The corners of a wall at which what is cut off can run on, and whether it does. */
const cornersOf = ({ rules }: Groups, surface: Surface): GroupFigures['corners'] =>
  rules.links.flatMap((link) => {
    const theirs = link.a.surface === surface.id ? link.b : link.b.surface === surface.id ? link.a : null;
    const other = rules.surfaces.find(({ id }) => id === theirs?.surface);
    if (!other || !cornerOf(link, surface, other)) return [];
    return [{ linkId: link.id, surfaceId: other.id, runsOn: link.runsOn ?? false }];
  });

/** How far two ways to one member are from agreeing, mm. */
function phaseGap(a: Member, b: Member, stepMm: number): number {
  if (a.sign !== b.sign) return 0;
  const off = (a.offMm - b.offMm) / stepMm;
  return Math.abs(off - Math.round(off)) * stepMm;
}

/** The direction of a surface into which joints of another run on over an edge they share; null where they can't. */
function carriedOver(
  groups: Groups,
  { meets }: Link,
  here: Member,
  ownEdge: string,
  other: Surface,
  otherEdge: string,
  stepMm: number,
): Member | null {
  const [a, b] = [straightEdge(here.surface, ownEdge), straightEdge(other, otherEdge)];
  if (!a || !b || a.axis !== here.axis) return null;
  if (!isAsDrawn(other) || !isAsDrawn(here.surface)) return null;
  const open = openIn(groups, other);
  if (Math.abs(jointStep(open.placer, b.axis) - stepMm) > ALIKE_MM) return null;
  // Edges run against each other; two upright ones are met at their feet, those in line at their middles, others at the corner they share.
  const sameWay = a.axis === 'y' && b.axis === 'y' && here.surface.kind === 'wall' && other.kind === 'wall';
  const [fromA, fromB] = sameWay
    ? [footOf(a), footOf(b)]
    : meets === 'inLine'
      ? [middleOf(a), middleOf(b)]
      : [along(a.ends[0], a.axis), along(b.ends[1], b.axis)];
  const turn: 1 | -1 = sameWay || a.way === -b.way ? 1 : -1;
  // A piece lies there as far from the shared corner as it does here; mirrored, its high side does.
  const [pieceA, pieceB] = [repeatOf(here.open), repeatOf(open)].map((repeat, k) => firstPieceSpan(repeat, k === 0 ? a.axis : b.axis));
  const offMm = turn === 1 ? here.offMm + pieceA.low - fromA + fromB - pieceB.low : -here.offMm - pieceA.high + fromA + fromB - pieceB.low;
  return { surface: other, axis: b.axis, open, sign: (here.sign * turn) as 1 | -1, offMm };
}

const repeatOf = ({ placer }: OpenSurface): Repeat => placer.open.laid.repeat;

const along = (p: Point, axis: Axis): number => (axis === 'x' ? p[0] : p[1]);

const middleOf = ({ ends, axis }: { readonly ends: readonly [Point, Point]; readonly axis: Axis }): number =>
  (along(ends[0], axis) + along(ends[1], axis)) / 2;

const footOf = ({ ends, axis }: { readonly ends: readonly [Point, Point]; readonly axis: Axis }): number =>
  Math.min(along(ends[0], axis), along(ends[1], axis));

/** An edge that runs level or upright, with which way; null for others. */
function straightEdge(
  { measured }: Surface,
  id: string,
): { readonly axis: Axis; readonly ends: readonly [Point, Point]; readonly way: 1 | -1 } | null {
  const { ring, edgeIds } = measuredOutline(measured);
  const line = lineOfEdge(ring, edgeIds, id);
  if (!line || distance(line.from, line.to) < 1) return null;
  const [dx, dy] = subtract(line.to, line.from);
  const axis: Axis = Math.abs(dx) > Math.abs(dy) ? 'x' : 'y';
  if (Math.min(Math.abs(dx), Math.abs(dy)) > STRAIGHT_MM) return null;
  return { axis, ends: [line.from, line.to], way: (axis === 'x' ? dx : dy) > 0 ? 1 : -1 };
}

/** Whether a surface is laid as it is drawn: then its courses run with its edges. */
const isAsDrawn = ({ turnDeg, setout: { turn }, bands }: Surface): boolean =>
  turnDeg % 90 === 0 && bands.length === 0 && (turn === undefined || (turn.rule === 'edge' ? !turn.diagonal : turn.rule !== 'byHand'));

/** From one joint to the next in a direction, mm. */
function jointStep({ open }: Placer, axis: Axis): number {
  const { repeat, jointMm } = open.laid;
  const { low, high } = firstPieceSpan(repeat, axis);
  return high - low + jointMm;
}

/** The links of a job that a surface's groups may reach over, and the surfaces at their ends. */
export function companionsOf(
  surface: Surface,
  surfaces: readonly Surface[],
  links: readonly Link[],
): { readonly surfaces: Surface[]; readonly links: Link[] } {
  const ids = new Set([surface.id]);
  for (let before = 0; before < ids.size;) {
    before = ids.size;
    for (const { a, b } of links) {
      if (ids.has(a.surface)) ids.add(b.surface);
      if (ids.has(b.surface)) ids.add(a.surface);
    }
  }
  return {
    surfaces: surfaces.filter(({ id }) => ids.has(id)),
    links: links.filter(({ a, b }) => ids.has(a.surface) && ids.has(b.surface)),
  };
}
