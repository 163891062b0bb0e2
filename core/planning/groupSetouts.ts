import { distance, subtract, type Point } from '../geometry/point.ts';
import type { Surface } from '../job/job.ts';
import { openSurface } from '../setout/fields/openSurface.ts';
import { criticalOffsets, periodOf } from '../setout/search/criticalOffsets.ts';
import { AS_DRAWN } from '../setout/search/turns.ts';
import { firstPieceSpan, spanOf, type Axis } from '../setout/weigh/axisPlacement.ts';
import { Placer } from '../setout/weigh/chooseSetout.ts';
import { costsOf, pinCost, scoreOf } from '../setout/weigh/scoreFigures.ts';
import type { SetoutChoice } from '../setout/weigh/setoutChoice.ts';
import { weightsOf } from '../setout/weigh/ways.ts';
import type { Link } from '../surface/link.ts';
import { lineOfEdge } from '../surface/fixture.ts';
import { measuredOutline, traceSurface } from '../surface/traceSurface.ts';
import type { PlanRules } from './planned.ts';

/** What a group is worked out from. */
export type GroupRules = Pick<PlanRules, 'products' | 'way' | 'links' | 'surfaces'>;

/** One direction of one surface. */
interface Member {
  readonly surface: Surface;
  readonly axis: Axis;
  readonly placer: Placer;
  /** Where its origin lies for the phase of the group: at = sign * phase + offMm. */
  readonly sign: 1 | -1;
  readonly offMm: number;
}

/** Directions of surfaces whose joints run on over the edges they share. */
export interface Group {
  readonly members: readonly Member[];
  /** From one joint to the next, mm. */
  readonly stepMm: number;
  /** How far edges that close a ring are from agreeing, mm; 0 where they do. */
  readonly offMm: number;
}

/** Joints run on over an edge where pieces repeat alike along it, to this, mm. */
const ALIKE_MM = 0.05;

/** An edge that is further off level or upright carries no joints, mm over its length. */
const STRAIGHT_MM = 3;

/** So many phases of a group are weighed, and so many places of each member in its other direction. */
const MOST_PHASES = 36;
const MOST_ACROSS = 8;

/** Edges that close a ring may differ by this much, mm: a joint takes it. */
const CLOSES_MM = 1;

/**
 * The setout of a surface as its group leaves it: a direction that is left to the product takes the joints of the
 * surfaces it meets. The surface's own choice where it is in no group, or was taken out of it.
 */
export function groupedSetout(rules: GroupRules, surface: Surface): SetoutChoice {
  if (surface.apart || (surface.setout.x.rule !== 'best' && surface.setout.y.rule !== 'best')) return surface.setout;
  let { setout } = surface;
  for (const axis of ['y', 'x'] as const) {
    if (setout[axis].rule !== 'best') continue;
    const group = groupOf(rules, surface, axis);
    if (!group || group.offMm > CLOSES_MM) continue;
    const own = group.members.find((member) => member.surface.id === surface.id && member.axis === axis);
    if (!own) continue;
    const { placer } = own;
    const at = own.sign * phaseOf(group, rules) + own.offMm;
    const limits = spanOf(placer.open.ground.limits, axis);
    const piece = firstPieceSpan(placer.open.laid.repeat, axis);
    const period = periodOf(placer.open.laid.repeat, axis) ?? group.stepMm;
    const offset = at + piece.low - limits.low;
    setout = {
      ...setout,
      turn: { rule: 'asDrawn' },
      [axis]: { rule: 'free', offsetMm: Math.round((offset - period * Math.floor(offset / period + 1e-9)) * 1e4) / 1e4 },
    };
  }
  return setout;
}

/** The surfaces that joints of a surface run on into in either direction, and how far closing edges are from agreeing, mm. */
export function groupFigures(rules: GroupRules, surface: Surface): { readonly surfaceIds: readonly string[]; readonly offMm: number } {
  const groups = (['x', 'y'] as const).map((axis) => groupOf(rules, { ...surface, apart: false }, axis)).filter((group) => group !== null);
  return {
    surfaceIds: [...new Set(groups.flatMap(({ members }) => members.map((member) => member.surface.id)))].filter((id) => id !== surface.id),
    offMm: Math.max(0, ...groups.map(({ offMm }) => offMm)),
  };
}

/** The group that one direction of a surface belongs to; null where no joint of it runs on. */
export function groupOf(rules: GroupRules, surface: Surface, axis: Axis): Group | null {
  const placers = new Map<string, Placer>();
  const placerOf = (one: Surface): Placer => {
    const known =
      placers.get(one.id) ??
      new Placer(openSurface(one, traceSurface(one.measured), rules.products), weightsOf(rules.way), one.setout.pins);
    placers.set(one.id, known);
    return known;
  };
  // The first of the group by its place in the job leads, so that each member finds the same phase.
  if (!rules.links.some(({ a, b }) => a.surface === surface.id || b.surface === surface.id)) return null;
  const found = walk(rules, surface, axis, placerOf);
  if (found.members.length < 2) return null;
  const leader = [...found.members].sort((a, b) => rules.surfaces.indexOf(a.surface) - rules.surfaces.indexOf(b.surface))[0];
  const group = walk(rules, leader.surface, leader.axis, placerOf);
  return { ...group, stepMm: found.stepMm };
}

/** Goes from surface to surface over the edges that carry joints. */
function walk(rules: GroupRules, first: Surface, axis: Axis, placerOf: (surface: Surface) => Placer): Group {
  const stepMm = jointStep(placerOf(first), axis);
  const members: Member[] = [{ surface: first, axis, placer: placerOf(first), sign: 1, offMm: 0 }];
  let offMm = 0;
  for (const here of members) {
    for (const link of rules.links) {
      for (const [mine, theirs] of [
        [link.a, link.b],
        [link.b, link.a],
      ] as const) {
        const other = rules.surfaces.find(({ id }) => id === theirs.surface);
        if (mine.surface !== here.surface.id || !other || other.apart) continue;
        const over = carriedOver(here, mine.edge, other, theirs.edge, placerOf, stepMm);
        if (!over) continue;
        const known = members.find((member) => member.surface.id === other.id && member.axis === over.axis);
        if (known) offMm = Math.max(offMm, phaseGap(known, over, stepMm));
        else members.push(over);
      }
    }
  }
  return { members, stepMm, offMm };
}

/** How far two ways to one member are from agreeing, mm. */
function phaseGap(a: Member, b: Member, stepMm: number): number {
  if (a.sign !== b.sign) return 0;
  const off = (a.offMm - b.offMm) / stepMm;
  return Math.abs(off - Math.round(off)) * stepMm;
}

/** The direction of a surface into which joints of another run on over an edge they share; null where they can't. */
function carriedOver(
  here: Member,
  ownEdge: string,
  other: Surface,
  otherEdge: string,
  placerOf: (surface: Surface) => Placer,
  stepMm: number,
): Member | null {
  const [a, b] = [straightEdge(here.surface, ownEdge), straightEdge(other, otherEdge)];
  if (!a || !b || a.axis !== here.axis) return null;
  const placer = placerOf(other);
  if (!isAsDrawn(other) || !isAsDrawn(here.surface) || Math.abs(jointStep(placer, b.axis) - stepMm) > ALIKE_MM) return null;
  // Edges run against each other; two upright ones are met at their feet, others at the corner they share.
  const sameWay = a.axis === 'y' && b.axis === 'y' && here.surface.kind === 'wall' && other.kind === 'wall';
  const [fromA, fromB] = sameWay ? [footOf(a), footOf(b)] : [along(a.ends[0], a.axis), along(b.ends[1], b.axis)];
  const turn: 1 | -1 = sameWay || a.way === -b.way ? 1 : -1;
  // A piece lies there as far from the shared corner as it does here; mirrored, its high side does.
  const [pieceA, pieceB] = [firstPieceSpan(here.placer.open.laid.repeat, a.axis), firstPieceSpan(placer.open.laid.repeat, b.axis)];
  const offMm = turn === 1 ? here.offMm + pieceA.low - fromA + fromB - pieceB.low : -here.offMm - pieceA.high + fromA + fromB - pieceB.low;
  return { surface: other, axis: b.axis, placer, sign: (here.sign * turn) as 1 | -1, offMm };
}

const along = (p: Point, axis: Axis): number => (axis === 'x' ? p[0] : p[1]);

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
  turnDeg % 90 === 0 && bands.length === 0 && (turn === undefined || turn.rule !== 'edge' || !turn.diagonal);

/** From one joint to the next in a direction, mm. */
function jointStep({ open }: Placer, axis: Axis): number {
  const { repeat, jointMm } = open.laid;
  const { low, high } = firstPieceSpan(repeat, axis);
  return high - low + jointMm;
}

/** The phase that costs a group least: each member weighed with the best of a few places in its other direction. */
function phaseOf({ members, stepMm }: Group, { way }: GroupRules): number {
  const settled = members.find(({ surface, axis }) => surface.setout[axis].rule !== 'best');
  if (settled) {
    const { surface, axis, placer, sign, offMm } = settled;
    const choice = surface.setout[axis];
    if (choice.rule !== 'best') return sign * (placer.originOn(axis, choice, 0) - offMm);
  }
  const weights = weightsOf(way);
  const phases = distinctPhases(
    members.flatMap(({ placer, axis, sign, offMm }) => criticalOffsets(placer.trialsAt(0), axis).map((at) => sign * (at - offMm))),
    stepMm,
  );
  const across = members.map(({ placer, axis, surface }) => {
    const other: Axis = axis === 'x' ? 'y' : 'x';
    const choice = surface.setout[other];
    const range = placer.rangeOn(other, choice, AS_DRAWN.deg);
    return evenly(range ?? criticalOffsets(placer.trialsAt(0), other), MOST_ACROSS);
  });
  let best = { phase: 0, cost: Infinity };
  for (const phase of phases) {
    const cost = members.reduce((sum, { placer, axis, sign, offMm }, k) => {
      const at = sign * phase + offMm;
      const scores = across[k].map((other) => {
        const figures = axis === 'x' ? placer.trialsAt(0).judge(at, other) : placer.trialsAt(0).judge(other, at);
        return scoreOf(costsOf(figures, placer.open.ground.sides), weights) + pinCost(figures);
      });
      return sum + Math.min(...scores);
    }, 0);
    if (cost < best.cost - 1e-9) best = { phase, cost };
  }
  return best.phase;
}

function distinctPhases(values: readonly number[], stepMm: number): readonly number[] {
  const within = values.map((mm) => mm - stepMm * Math.floor(mm / stepMm)).sort((a, b) => a - b);
  return evenly(
    within.filter((mm, k) => k === 0 || mm - within[k - 1] > 0.05),
    MOST_PHASES,
  );
}

const evenly = (values: readonly number[], most: number): readonly number[] =>
  values.length <= most ? values : Array.from({ length: most }, (_, k) => values[Math.floor((k * values.length) / most)]);

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
