import { ROUNDED_OFTEN } from '../tolerances.ts';
import { labelPoint } from '../geometry/labelPoint.ts';
import { cross, motion, subtract, unit, type Motion, type Point } from '../geometry/point.ts';
import { intersect } from '../geometry/clip.ts';
import { boxOf, boxRing, mapPolygon, polygonArea, polygonsArea, rectangleRing, ringArea, type Polygon } from '../geometry/ring.ts';
import { cellShift, unitOf } from '../pattern/repeat.ts';
import type { Edge } from '../surface/edge.ts';
import type { SurfaceKind } from '../surface/surface.ts';
import type { Traced } from '../surface/traceSurface.ts';
import type { Field } from '../setout/fields/field.ts';
import type { Ledger } from '../setout/lines/ledger.ts';
import { stepAlong } from '../setout/lines/strikeLines.ts';
import { forEachWhole, placementMotion, type Layout } from '../setout/place/layout.ts';
import { PASS_MM, partsOf, type FloorPart, type PartGrid, type Parts } from './floorParts.ts';
import { sharedRun, sidesOf } from './sharedRun.ts';
import { waysFree } from './wayFree.ts';
import { backToTheDoor, stepsOut, type NextStep } from './wayOut.ts';
import { USUAL_REACH_MM, type ZoneChoice } from './zoneChoice.ts';

/** A part of a surface that is laid in one go. */
export interface LayingZone {
  /** By its place, the same while the surface is parted alike. */
  readonly id: string;
  /** Its turn, from 1. */
  readonly number: number;
  readonly polygons: readonly Polygon[];
  /** What its pieces cover with their share of the joints, mm²: all zones together are the surface. */
  readonly areaMm2: number;
  readonly wholePieces: number;
  /** The labels of its cuts. */
  readonly cuts: readonly string[];
  /** Well inside, for its number. */
  readonly labelAt: Point;
  /** Where the work goes on to: towards the next place to kneel, or out; null for the last of a wall. */
  readonly towards: Point | null;
  /** Whether it is the course below a ledger, laid when that is off and the rest is firm. */
  readonly offLedger: boolean;
  /** Of a floor: whether it is reached, and left, over floor that is not laid yet. */
  readonly isReached: boolean;
}

/** A surface in the zones in which it is laid, in their order. */
export interface LayingZones {
  readonly zones: readonly LayingZone[];
  /** A floor goes backwards to the door, a wall up from its base. */
  readonly way: 'backToTheDoor' | 'upFromTheBase';
  /** The edges one leaves by; empty on a wall. */
  readonly exits: readonly string[];
  /** Whether no way out was measured, and the front edge is taken for it. */
  readonly exitIsGuessed: boolean;
}

/** What is parted into zones. */
export interface ZonedSurface {
  readonly kind: SurfaceKind;
  readonly traced: Traced;
  readonly layout: Layout;
  readonly fields: readonly Field[];
  readonly cuts: readonly { readonly polygon: Polygon; readonly labelAt: Point }[];
  readonly toCut: readonly { readonly label: string; readonly labelAt: Point; readonly strip?: object }[];
  /** What the second course stands on: what lies below is laid last, when it is off. */
  readonly ledger?: Pick<Ledger, 'atMm'> | null;
  readonly zones?: ZoneChoice | undefined;
}

/** More parts help nobody; larger surfaces get larger ones. */
const MOST_ZONES = 120;

/** A zone is at most so many times as long as it is deep. */
const LONGEST = 2;

/** Courses that lie this near to level carry the parts with them, degrees. */
const NEAR_SQUARE_DEG = 20;

/** Parts a surface into zones that one arm reaches over and one mix covers (`areaM2`), and puts them in order. */
export function layingZones(surface: ZonedSurface, areaM2: number): LayingZones {
  const { kind, traced, layout, zones: choice = {} } = surface;
  const frame = motion(frameTurn(layout.placement.turnDeg), [0, 0]);
  // One walks over a movement joint: it parts no zone.
  const region = traced.floor.map((polygon) => mapPolygon(polygon, frame.unturn));
  if (polygonsArea(traced.region) < 1) return { zones: [], way: wayOf(kind), exits: [], exitIsGuessed: false };
  const size = { reachMm: choice.reachMm ?? USUAL_REACH_MM, areaM2: choice.areaM2 ?? areaM2 };
  const partIn = (own: readonly Polygon[]): Parts => partsOf(own, gridOf(own, layout, frame, size));
  const { parts, partAt, below } = partedAtLedger(region, surface.ledger?.atMm ?? null, frame, partIn);
  const { exits, isGuessed } = kind === 'floor' ? exitsOf(traced, choice.exit) : { exits: [], isGuessed: false };
  const doors = doorsOf(parts, exits, frame);
  const proposed = kind === 'floor' ? backToTheDoor(parts, doors, opensAcrossRows(exits, frame)) : upFromTheBase(parts, below);
  const order = byHand(proposed, parts, choice.order);
  const steps = kind === 'floor' ? stepsOut(parts, doors, order) : [];
  const reached =
    kind === 'floor'
      ? waysFree(
          parts,
          doors,
          exits.map(({ from, to }) => [frame.unturn(from), frame.unturn(to)]),
          order,
        )
      : [];
  const turnOf = new Map(order.map((k, turn) => [k, turn]));
  const numberAt = (p: Point): number => (turnOf.get(partAt(frame.unturn(p))) ?? 0) + 1;
  const counts = countPieces(surface, numberAt, order.length);
  // Courses that reach into each other may leave nothing by itself below a ledger.
  if (below.size > 0 && order.every((k, turn) => !below.has(k) || counts[turn].laidMm2 === 0))
    return layingZones({ ...surface, ledger: null }, areaM2);
  const laid = counts.reduce((sum, { laidMm2 }) => sum + laidMm2, 0);
  const all = polygonsArea(traced.region);
  const areas = counts.map(({ laidMm2 }, turn) => (laid > 0 ? (all * laidMm2) / laid : parts[order[turn]].areaMm2));
  return {
    zones: order.map((k, turn): LayingZone => {
      const polygons = parts[k].polygons.map((polygon) => mapPolygon(polygon, frame.turn));
      const largest = polygons.reduce((a, b) => (polygonArea(b) > polygonArea(a) ? b : a));
      const towards = kind === 'floor' ? stepPoint(parts, k, steps[turn], exits, frame) : onwards(parts, order, turn);
      return {
        id: parts[k].id,
        number: turn + 1,
        polygons,
        areaMm2: areas[turn],
        wholePieces: counts[turn].whole,
        cuts: counts[turn].cuts,
        labelAt: labelPoint(largest),
        towards: towards && frame.turn(towards),
        offLedger: below.has(k),
        isReached: kind !== 'floor' || steps[turn] !== null || reached[turn],
      };
    }),
    way: wayOf(kind),
    exits: exits.map(({ id }) => id),
    exitIsGuessed: isGuessed,
  };
}

const wayOf = (kind: SurfaceKind): LayingZones['way'] => (kind === 'floor' ? 'backToTheDoor' : 'upFromTheBase');

/** Parts lie square to courses that are nearly level or upright, else square to the surface. */
function frameTurn(turnDeg: number): number {
  const off = turnDeg - 90 * Math.round(turnDeg / 90);
  return Math.abs(off) <= NEAR_SQUARE_DEG ? off : 0;
}

/** Lines that part a region evenly into what is no deeper than the reach and no larger than the area, each in a joint where one is near. */
function gridOf(
  region: readonly Polygon[],
  layout: Layout,
  frame: Motion,
  { reachMm, areaM2 }: { readonly reachMm: number; readonly areaM2: number },
): PartGrid {
  const box = boxOf(region.flat(2));
  const least = polygonsArea(region) / MOST_ZONES;
  const areaMm2 = Math.max(1e6 * areaM2, least);
  const deep = Math.max(Math.min(reachMm, Math.sqrt(areaMm2)), Math.sqrt(least / LONGEST));
  const long = Math.min(LONGEST * deep, areaMm2 / deep);
  const { repeat, placement } = layout;
  const quarter = Math.round((placement.turnDeg - frameTurn(placement.turnDeg)) / 90) % 2 !== 0;
  const isSquare = Math.abs(placement.turnDeg - frameTurn(placement.turnDeg) - 90 * Math.round(placement.turnDeg / 90)) < ROUNDED_OFTEN;
  const unit = unitOf(repeat);
  const { turn } = placementMotion(placement);
  const piece = boxOf(boxRing(unit).map((p) => frame.unturn(turn(p))));
  const snapped = (mm: number, k: 0 | 1): number => {
    if (!isSquare) return mm;
    const own = quarter ? 1 - k : k;
    const step = stepAlong(repeat, own === 0 ? [1, 0] : [0, 1]);
    if (step > reachMm / 2) return mm;
    // Between the pieces of two courses: half a joint before a piece begins.
    const shifts = [cellShift(repeat, 1, 0), cellShift(repeat, 0, 1)].map((shift) => Math.abs(shift[own]));
    const joint = Math.max(...shifts) - (own === 0 ? unit.maxX - unit.minX : unit.maxY - unit.minY);
    const start = (k === 0 ? piece.minX : piece.minY) - Math.max(0, Math.min(joint, 20)) / 2;
    return start + Math.round((mm - start) / step) * step;
  };
  const lines = (low: number, high: number, size: number, k: 0 | 1): number[] => {
    const count = Math.max(1, Math.ceil((high - low) / size - 0.05));
    const inner = Array.from({ length: count - 1 }, (_, n) => snapped(low + ((high - low) * (n + 1)) / count, k));
    const sorted = [...new Set(inner)].filter((mm) => mm > low + 1 && mm < high - 1).sort((a, b) => a - b);
    return [low - 1, ...sorted, high + 1];
  };
  return { xs: lines(box.minX, box.maxX, long, 0), ys: lines(box.minY, box.maxY, deep, 1) };
}

/** The edges one leaves by: the one that was chosen, else thresholds and where the floor runs on, else the front edge. */
function exitsOf({ edges, sides }: Traced, chosen: string | undefined): { readonly exits: readonly Edge[]; readonly isGuessed: boolean } {
  const own = edges.filter(({ id }) => id === chosen);
  if (own.length > 0) return { exits: own, isGuessed: false };
  const measured = edges.filter(({ role }) => role === 'threshold' || role === 'continues');
  if (measured.length > 0) return { exits: measured, isGuessed: false };
  return { exits: edges.filter(({ id }) => id === (sides.bottom ?? edges[0].id)), isGuessed: true };
}

/** The parts that lie at a way out which is wide enough for a person. */
function doorsOf(parts: readonly FloorPart[], exits: readonly Edge[], frame: Motion): Set<number> {
  const doors = new Set<number>();
  for (const { from, to, endMm } of exits) {
    const stretch = [frame.unturn(from), frame.unturn(to)] as const;
    const widths = parts.map(({ polygons }) => sharedRun(sidesOf(polygons), [stretch], endMm + 1).mm);
    const widest = Math.max(...widths);
    // A narrow way out is the way out all the same.
    widths.forEach((mm, k) => {
      if (mm > 0 && (mm >= PASS_MM || mm === widest)) doors.add(k);
    });
  }
  return doors;
}

/** Whether the way out leads across the rows of parts, as from a door in the front wall. */
function opensAcrossRows(exits: readonly Edge[], frame: Motion): boolean {
  const longest = exits.reduce<Edge | null>((a, b) => (a && sizeOf(a) >= sizeOf(b) ? a : b), null);
  if (!longest) return true;
  const along = unit(subtract(frame.unturn(longest.to), frame.unturn(longest.from)));
  return Math.abs(cross(along, [0, 1])) >= Math.SQRT1_2;
}

const sizeOf = ({ from, to }: Edge): number => Math.hypot(to[0] - from[0], to[1] - from[1]);

/** A wall goes up row by row, each from the same side; what a ledger kept free comes last. */
const upFromTheBase = (parts: readonly FloorPart[], below: ReadonlySet<number>): number[] =>
  parts
    .map((_, k) => k)
    .sort((a, b) => Number(below.has(a)) - Number(below.has(b)) || parts[a].row - parts[b].row || parts[a].column - parts[b].column);

/** A tile of the bottom course ends below the ledger by the joint between them; wider ones there are none, mm. */
const BELOW_LEDGER_MM = 1;

/** A region in parts, those below a ledger by themselves. */
function partedAtLedger(
  region: readonly Polygon[],
  atMm: number | null,
  frame: Motion,
  partIn: (own: readonly Polygon[]) => Parts,
): Parts & { readonly below: ReadonlySet<number> } {
  const box = boxOf(region.flat(2));
  // A ledger is level; the frame of its courses is turned by hardly anything.
  const at = atMm === null ? null : frame.unturn([(box.minX + box.maxX) / 2, atMm])[1] - BELOW_LEDGER_MM;
  if (at === null || at <= box.minY + 1 || at >= box.maxY - 1) return { ...partIn(region), below: new Set() };
  const within = (low: number, high: number): Polygon[] =>
    intersect(region, [[rectangleRing(box.minX - 1, low, box.maxX - box.minX + 2, high - low)]]);
  const [upper, lower] = [partIn(within(at, box.maxY + 1)), partIn(within(box.minY - 1, at))];
  const count = upper.parts.length;
  const under = lower.parts.map((part): FloorPart => {
    return { ...part, id: `under-${part.id}`, passes: part.passes.map((pass) => ({ ...pass, to: pass.to + count })) };
  });
  return {
    parts: [...upper.parts, ...under],
    partAt: (p) => (p[1] < at ? count + lower.partAt(p) : upper.partAt(p)),
    below: new Set(under.map((_, k) => count + k)),
  };
}

/** The order of the person; what it does not name comes before the first that the proposed one has after it. */
function byHand(proposed: readonly number[], parts: readonly FloorPart[], ids: readonly string[] = []): number[] {
  const rank = new Map(proposed.map((k, turn) => [parts[k].id, { k, turn }]));
  const order = [...new Set(ids)].flatMap((id) => rank.get(id) ?? []);
  const named = new Set(order);
  for (const one of rank.values()) {
    if (named.has(one)) continue;
    const at = order.findIndex(({ turn }) => turn > one.turn);
    order.splice(at === -1 ? order.length : at, 0, one);
  }
  return order.map(({ k }) => k);
}

/** Where the next step leads, in the frame: the middle of the way into the next part, or of the way out. */
function stepPoint(parts: readonly FloorPart[], k: number, step: NextStep, exits: readonly Edge[], frame: Motion): Point | null {
  if (typeof step === 'number') return parts[k].passes.find(({ to }) => to === step)?.at ?? null;
  if (step === null) return null;
  const own = sidesOf(parts[k].polygons);
  const runs = exits.map(({ from, to, endMm }) => sharedRun(own, [[frame.unturn(from), frame.unturn(to)]], endMm + 1));
  return runs.reduce((a, b) => (b.mm > a.mm ? b : a)).at;
}

/** Where a wall goes on: the middle of the way into the next zone; null after the last, or where they do not meet. */
function onwards(parts: readonly FloorPart[], order: readonly number[], turn: number): Point | null {
  return parts[order[turn]].passes.find(({ to }) => to === order[turn + 1])?.at ?? null;
}

/** What lies in a zone. */
interface ZoneCount {
  whole: number;
  readonly cuts: string[];
  laidMm2: number;
}

/** The pieces of each zone, by where their middle lies; of what is cut by where it is well inside: the middle of an L is beside it. */
function countPieces({ fields, cuts, toCut }: ZonedSurface, numberAt: (p: Point) => number, zones: number): ZoneCount[] {
  const counts = Array.from({ length: zones }, (): ZoneCount => ({ whole: 0, cuts: [], laidMm2: 0 }));
  for (const { layout } of fields) {
    const { turn } = placementMotion(layout.placement);
    const middles = layout.repeat.pieces.map(({ ring }) => middleOf([ring]));
    const sizes = layout.repeat.pieces.map(({ ring }) => ringArea(ring));
    forEachWhole(layout, ({ piece, i, j }) => {
      // What is cut from a tile is among the cuts, also where it lies whole.
      if (layout.repeat.pieces[piece].cutFrom) return;
      const [dx, dy] = cellShift(layout.repeat, i, j);
      const own = counts[numberAt(turn([middles[piece][0] + dx, middles[piece][1] + dy])) - 1];
      own.whole++;
      own.laidMm2 += sizes[piece];
    });
  }
  for (const { polygon, labelAt } of cuts) counts[numberAt(labelAt) - 1].laidMm2 += polygonArea(polygon);
  // Strips are set when all tiles lie.
  for (const { label, labelAt, strip } of toCut) if (!strip) counts[numberAt(labelAt) - 1].cuts.push(label);
  return counts;
}

/** The middle of the box of an outline. */
function middleOf([outer]: Polygon): Point {
  const { minX, minY, maxX, maxY } = boxOf(outer);
  return [(minX + maxX) / 2, (minY + maxY) / 2];
}
