import { ROUNDED_OFTEN, ROUNDING } from '../../tolerances.ts';
import { dot, motion, quarterTurn, type Point } from '../../geometry/point.ts';
import { boxRing, type Ring } from '../../geometry/ring.ts';
import { cellShift, unitOf, type Repeat } from '../../pattern/repeat.ts';
import { largestTriangle, type SquareTriangle } from '../../surface/squareTriangle.ts';
import type { CarriedLine } from '../../surface/carriedJoint.ts';
import type { Traced } from '../../surface/traceSurface.ts';
import type { Field } from '../fields/field.ts';
import { ranUpright } from './gaugeRod.ts';
import { crossingOf, startOf, type WorkStart } from './workStart.ts';
import { meetings, tapesTo } from './lineTapes.ts';
import type { StruckLine } from './struckLine.ts';

/** A check that the two first lines are square, from where they cross: legs along each, and across. */
export interface SquareCheck extends SquareTriangle {
  readonly at: Point;
  /** The far ends of the legs. */
  readonly ends: readonly [Point, Point];
}

/** All that is struck before the first tile is set. */
export interface StruckLines {
  readonly lines: readonly StruckLine[];
  readonly square: SquareCheck | null;
  /** Where the first tile is set, and which way the work goes from there; null where the two lines do not cross. */
  readonly start: WorkStart | null;
  /** Edges at which tiles end otherwise than a gap from them, for what stands there or for what they lap over, mm. */
  readonly ends: readonly { readonly edge: string; readonly endMm: number; readonly standsMm: number }[];
}

/** A control line is struck at least so often, mm (trade practice: every four feet or so). */
const CONTROL_MM = 1200;

/** Less than so many courses apart a control line is no help. */
const FEWEST_COURSES = 3;

/**
 * The lines nearest the middle of the field that pieces are laid to: one along the courses, one square to it, for a
 * shifted course a second one, and control lines; before them all where movement joints are carried through. `partMm` is what a handy triangle is made of: 100 mm or 6 in.
 */
export function strikeLines(fields: readonly Field[], surface: Traced, partMm: number): StruckLines {
  const [{ layout }] = fields;
  const { repeat } = layout;
  const courseDeg = (repeat.turnedDeg ?? 0) + (ranUpright(repeat) ? 90 : 0);
  const middle = directionOf(fields, courseDeg + 90, surface);
  const across = directionOf(fields, courseDeg, surface);
  const shift = courseShift(repeat, across.ownNormal);
  const first = lineAt(surface, across, { use: 'first', alongCourses: false, courses: 0 });
  const second = shift === 0 ? null : lineAt(surface, across, { use: 'second', alongCourses: false, courses: 0 }, shift);
  // The course nearest the middle that begins a tile on the cross line: of shifted ones not every course does.
  const levels = NEARBY.flatMap((courses) => {
    const along = { ...middle, startAt: (pieces: number) => middle.startAt(pieces + courses) };
    const line = lineAt(surface, along, { use: 'first', alongCourses: true, courses: 0 });
    return line ? [{ along, line }] : [];
  });
  const found = levels.find(({ line }) => first !== null && startOf(fields, first, line, surface)?.tileLies) ?? levels[0];
  const [along, level] = found ? [found.along, found.line] : [middle, null];
  const every = Math.max(FEWEST_COURSES, Math.floor(CONTROL_MM / along.stepMm));
  const controls = CONTROLS.map((k) => lineAt(surface, along, { use: 'control', alongCourses: true, courses: k * every }));
  const lines = [...surface.carried.map((line) => lineAlong(surface, line)), first, second, level, ...controls].filter(
    (line) => line !== null,
  );
  return {
    lines,
    square: first && level ? squareCheck(first, level, partMm) : null,
    start: first && level ? startOf(fields, first, level, surface) : null,
    ends: endsOf(surface),
  };
}

function endsOf({ edges }: Traced): StruckLines['ends'] {
  const ends = edges.filter(({ endMm, gapMm }) => endMm !== gapMm);
  return ends
    .filter(({ id }, k) => ends.findIndex((edge) => edge.id === id) === k)
    .map(({ id, endMm, gapMm }) => ({ edge: id, endMm, standsMm: endMm - gapMm }));
}

/** Courses from the middle on, the nearest first. */
const NEARBY = [0, 1, -1, 2, -2, 3, -3, 4, -4];

/** Control lines are struck so many times that way from the first line, as far as the field goes. */
const CONTROLS = [-4, -3, -2, -1, 1, 2, 3, 4];

const isQuarter = (deg: number): boolean => Math.abs(deg / 90 - Math.round(deg / 90)) < ROUNDED_OFTEN;

/** A direction that lines run in: on the surface and in the repeat, with how pieces repeat square to it. */
interface Direction {
  readonly way: Point;
  readonly normal: Point;
  /** Square to it in the repeat's own frame, to the right or up. */
  readonly ownNormal: Point;
  readonly stepMm: number;
  /** Where so many pieces on from the one nearest the middle begin, mm along the normal; null where there are no more. */
  readonly startAt: (pieces: number) => number | null;
}

/** The direction of lines whose normal is turned by some degrees in the repeat's own frame. */
function directionOf(fields: readonly Field[], normalDeg: number, { limits }: Traced): Direction {
  const { repeat, placement } = fields[0].layout;
  const [nx, ny] = motion(normalDeg, [0, 0]).turn([1, 0]);
  const ownNormal: Point = nx > ROUNDING || (Math.abs(nx) <= ROUNDING && ny > 0) ? [nx, ny] : [-nx, -ny];
  const normal = motion(placement.turnDeg, [0, 0]).turn(ownNormal);
  const piece = isQuarter(normalDeg) ? boxRing(unitOf(repeat)) : repeat.pieces[0].ring;
  const low = Math.min(...piece.map((p) => dot(p, ownNormal)));
  const stepMm = stepAlong(repeat, ownNormal);
  const middle = dot([(limits.minX + limits.maxX) / 2, (limits.minY + limits.maxY) / 2], normal);
  const stretches = fields.filter(({ kind }) => kind === 'main' || kind === 'beyondBand').map((field) => stretchAlong(field, normal, low));
  return { way: [normal[1], -normal[0]], normal, ownNormal, stepMm, startAt: startsOf(stretches, stepMm, middle) };
}

/** Pieces of a field along a direction: where one of them begins, and from where to where there are any, mm. */
interface EdgeStretch {
  readonly startMm: number;
  readonly fromMm: number;
  readonly toMm: number;
}

function stretchAlong({ layout: { placement }, box }: Field, normal: Point, low: number): EdgeStretch {
  const runs = boxRing(box).map((p) => dot(motion(placement.turnDeg, placement.origin).turn(p), normal));
  return { startMm: dot(placement.origin, normal) + low, fromMm: Math.min(...runs), toMm: Math.max(...runs) };
}

/** Where pieces begin, counted from the one nearest a place; a band moves those beyond it on. */
function startsOf(stretches: readonly EdgeStretch[], stepMm: number, nearMm: number): Direction['startAt'] {
  const [{ startMm }] = stretches;
  if (stretches.every((other) => isWhole((other.startMm - startMm) / stepMm))) {
    const first = startMm + Math.round((nearMm - startMm) / stepMm) * stepMm;
    return (pieces) => first + pieces * stepMm;
  }
  const starts = stretches
    .flatMap((stretch) => {
      const first = stretch.startMm + Math.ceil((stretch.fromMm - stretch.startMm) / stepMm - ROUNDED_OFTEN) * stepMm;
      return Array.from({ length: Math.max(0, Math.ceil((stretch.toMm - first) / stepMm)) }, (_, k) => first + k * stepMm);
    })
    .sort((a, b) => a - b);
  const nearest = starts.reduce((best, mm, k) => (Math.abs(mm - nearMm) < Math.abs(starts[best] - nearMm) ? k : best), 0);
  return (pieces) => starts[nearest + pieces] ?? null;
}

const isWhole = (steps: number): boolean => Math.abs(steps - Math.round(steps)) < ROUNDED_OFTEN;

/** From one line of pieces to the next along a direction of the repeat, mm. */
export function stepAlong(repeat: Repeat, normal: Point): number {
  const [a, b] = [cellShift(repeat, 1, 0), cellShift(repeat, 0, 1)].map((v) => Math.abs(dot(v, normal)));
  const steps = [a, b / repeat.coursesPerCell, b].filter((mm) => mm > 1);
  return steps.length === 0 ? 1 : a > 1 ? Math.min(a, ...(b > 1 ? [b] : [])) : Math.min(...steps);
}

/** How far the second course lies along the first, mm; 0 for straight joints. */
function courseShift(repeat: Repeat, along: Point): number {
  const startOf = (ring: Ring): number => Math.min(...ring.map((p) => dot(p, along)));
  const second = repeat.pieces.find(({ course, part }) => course === 1 && part === null);
  if (second) return startOf(second.ring) - startOf(repeat.pieces[0].ring);
  return repeat.pieces.length === 1 ? dot(cellShift(repeat, 0, 1), along) : 0;
}

function lineAt(
  surface: Traced,
  { way, normal, stepMm, startAt }: Direction,
  what: Pick<StruckLine, 'use' | 'alongCourses' | 'courses'>,
  shiftMm = 0,
): StruckLine | null {
  const start = startAt(what.courses);
  if (start === null) return null;
  const at = start + shiftMm;
  // A control line at the very edge checks nothing.
  const reach = surface.outline.map((p) => dot(p, normal));
  if (what.use === 'control' && (at < Math.min(...reach) + 1.5 * stepMm || at > Math.max(...reach) - 1.5 * stepMm)) return null;
  const place = placeOf(surface, way, at);
  return place && { ...what, ...place };
}

/** A line runs from where it first meets the outline to where it last does; null where it meets none. */
function placeOf(surface: Traced, way: Point, offset: number): Pick<StruckLine, 'deg' | 'ends' | 'tapes'> | null {
  const met = meetings(surface.edges, way, offset);
  if (met.length < 2) return null;
  const [low, high] = [met[0], met[met.length - 1]].sort((a, b) =>
    Math.abs(way[0]) > Math.abs(way[1]) ? a.at[0] - b.at[0] : a.at[1] - b.at[1],
  );
  const deg = ((Math.atan2(way[1], way[0]) * 180) / Math.PI + 360) % 180;
  return { deg: deg > 180 - ROUNDING ? 0 : deg, ends: [low.at, high.at], tapes: tapesTo(surface, low, high) };
}

/** The middle of a movement joint that is carried through. */
function lineAlong(surface: Traced, { joint, at, way }: CarriedLine): StruckLine | null {
  const place = placeOf(surface, way, dot(at, quarterTurn(way)));
  return place && { use: 'carried', joint, alongCourses: false, courses: 0, ...place };
}

/** Legs along the two first lines from where they cross, as long as they have room for. */
function squareCheck(first: StruckLine, level: StruckLine, partMm: number): SquareCheck | null {
  const at = crossingOf(first.ends, level.ends);
  if (!at) return null;
  const room = (line: StruckLine): { readonly mm: number; readonly end: Point } =>
    line.ends.map((end) => ({ mm: Math.hypot(end[0] - at[0], end[1] - at[1]), end })).reduce((a, b) => (b.mm > a.mm ? b : a));
  const [a, b] = [room(level), room(first)];
  const triangle = largestTriangle(a.mm, b.mm, partMm);
  if (!triangle) return null;
  const leg = ({ mm, end }: { readonly mm: number; readonly end: Point }, length: number): Point => [
    at[0] + ((end[0] - at[0]) / mm) * length,
    at[1] + ((end[1] - at[1]) / mm) * length,
  ];
  return { ...triangle, at, ends: [leg(a, triangle.firstMm), leg(b, triangle.secondMm)] };
}
