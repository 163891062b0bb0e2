import { SAW_MM } from '../../tolerances.ts';
import { SMALLEST_PIECE_WIDTH_MM } from '../../geometry/conventions.ts';
import { distance, dot, quarterTurn, subtract, unit, type Point } from '../../geometry/point.ts';
import { boxOf, isBox, isInside, type Box } from '../../geometry/ring.ts';
import { areMain, type Repeat } from '../../pattern/repeat.ts';
import type { Ground } from '../fields/ground.ts';
import type { LetIn } from '../fields/letIn.ts';
import { clearTally, emptyTally, type EdgeTally, type SetoutFigures } from '../tally/figures.ts';
import type { Axis } from '../choice/axisPlacement.ts';
import { sliverLimit } from '../choice/sliver.ts';
import type { Pin } from '../choice/pins.ts';
import { alongLattice } from './alongLattice.ts';
import { boundaryOf, type Boundary } from '../edges/boundary.ts';
import { bandStretches, type BandStretch } from './bandStretches.ts';
import { POINT_MM, tallyCorner, tallyPlain } from './cornerTiles.ts';
import { countEars, fallsOf, wholeSheets, type RoundThing } from './features.ts';
import { LineWalk, MAY_BE_LOST_MM, TALLIED } from './lineWalk.ts';
import { middlesOf, type Middle } from './middles.ts';
import { lostBelow, outlineAcross, type OutlineAcross } from './outlineAcross.ts';
import { FAR_MM, pinChecks, type PinCheck } from './pinned.ts';
import { runOffsOf } from './runOffs.ts';
import { clippedTo, type TrialLine } from './trialLine.ts';
import { workOf } from './work.ts';

/** A move changes what a line leaves where it does not run along the line, as a sine. */
const MOVES_SINE = 0.5;

/** A tile that more lines run through lies along a curve. */
const MOST_CORNER_LINES = 4;

/** The joint of a field, and what is let in between its courses at the turn of the trials. */
interface Parted {
  readonly letIns: readonly LetIn[];
  readonly jointMm: number;
}

/**
 * Judges where a repeat may start on a ground without clipping a polygon: every stretch of the boundary is walked
 * through the lattice, and what stays of a tile there is how far its outline reaches beyond that line.
 * Built once for a ground, a repeat and a turn; each trial is then a matter of microseconds.
 */
export class Trials {
  readonly boundary: Boundary;
  private readonly lines: readonly TrialLine[];
  /** Whether any edge has more than one stretch. */
  private readonly mayCurve: boolean;
  private readonly tallies: readonly EdgeTally[];
  private readonly lineWalk: LineWalk;
  private readonly figures: SetoutFigures;
  readonly rounds: readonly RoundThing[];
  readonly middles: readonly Middle[];
  readonly pins: readonly PinCheck[];
  readonly ground: Ground;
  readonly repeat: Repeat;
  readonly turnDeg: number;
  /** How far what lies beyond each thing that is let in, and beyond all before it, is moved on in a direction, mm; 0 for what lies before the first. */
  readonly movedOn: Readonly<Record<Axis, readonly number[]>>;
  private readonly parted: Parted;
  private readonly box: Box;
  /** What bands left of the field in the last trial. */
  private stretches: readonly BandStretch[] = [];

  constructor(ground: Ground, repeat: Repeat, turnDeg: number, parted: Parted, pins: readonly Pin[]) {
    this.ground = ground;
    this.repeat = repeat;
    this.turnDeg = turnDeg;
    this.parted = parted;
    this.movedOn = { x: movedOnBy(parted, 0), y: movedOnBy(parted, 1) };
    this.boundary = boundaryOf(ground, turnDeg);
    this.box = boxOf(this.boundary.lines.length > 0 ? this.boundary.lines.map(({ from }) => from) : [[0, 0]]);
    this.rounds = ground.rounds.map((round) => ({
      ...round,
      centre: unturned(round.centre, turnDeg),
      part: Math.max(
        0,
        ground.region.findIndex(([outer]) => isInside(round.centre, [[outer]])),
      ),
    }));
    this.tallies = this.boundary.owners.map(emptyTally);
    // A pin asks of each tile whether it is cut.
    this.lineWalk = new LineWalk(repeat, parted.jointMm, this.tallies, pins.length === 0);
    this.lines = this.readyLines();
    this.mayCurve = new Set(this.lines.map(({ owner }) => owner)).size < this.lines.length;
    const main = areMain(repeat);
    this.middles = middlesOf(ground, repeat, turnDeg);
    this.pins = pinChecks(pins, repeat, turnDeg, {
      jointMm: parted.jointMm,
      toLattice: this.lineWalk.toLattice,
      region: ground.region,
    });
    this.figures = {
      interlocks: repeat.pieces.some(({ ring }, k) => main[k] && !isBox(ring)),
      edges: this.tallies,
      rounds: this.rounds.map(({ id }) => ({ fixtureId: id, falls: 'clear' })),
      middles: this.middles.map(({ fixtureId, axis, weight, stepMm }) => ({ fixtureId, axis, weight, offMm: 0, mostMm: stepMm / 2 })),
      runOffs: runOffsOf(this.boundary),
      cutPieces: 0,
      hardPieces: 0,
      minutes: 0,
      missedPins: pins.map(() => 0),
      ears: 0,
      legs: 0,
      motifs: 0,
      opened: 0,
    };
  }

  /** What comes out with the repeat's origin at a place of the frame, mm. The same figures are filled again by the next trial. */
  judge(x: number, y: number): SetoutFigures {
    const { tallies, lineWalk, figures } = this;
    const { tiles, alike } = lineWalk;
    const { letIns } = this.parted;
    for (const tally of tallies) {
      clearTally(tally);
    }
    lineWalk.clear();
    this.walkAll(x, y);
    const start: Point = [x, y];
    const originAt = (at: Point): Point => (letIns.length === 0 ? start : (this.originAt(at) ?? start));
    figures.ears = 0;
    figures.legs = 0;
    for (const notch of this.boundary.notches) countEars(notch, lineWalk, originAt(notch.at), tiles, figures);
    this.tallyAll();
    this.rounds.forEach((round, k) => {
      figures.rounds[k].falls = fallsOf(round, lineWalk, originAt(round.centre), tiles);
    });
    this.middles.forEach((middle, k) => (figures.middles[k].offMm = middle.offMm(...originAt(middle.at))));
    figures.motifs = wholeSheets(this.repeat, this.boundary, lineWalk.toLattice, start);
    workOf(tiles, alike, figures);
    this.pins.forEach((pin, k) => {
      const origin = pin.at && letIns.length > 0 ? this.originAt(pin.at) : start;
      figures.missedPins[k] = origin ? pin.missedMm(origin[0], origin[1], tiles, tallies) : FAR_MM;
    });
    return figures;
  }

  /** Walks every line; where there are bands, each stretch between them with the repeat as it lies there. */
  private walkAll(x: number, y: number): void {
    const { letIns, jointMm } = this.parted;
    const { lineWalk } = this;
    const { toLattice } = lineWalk;
    if (letIns.length === 0) {
      const [du, dv] = toLattice([x, y]);
      for (const line of this.lines) lineWalk.walk(line, x, y, du, dv);
      return;
    }
    this.stretches = bandStretches(this.repeat, jointMm, letIns, this.box, [x, y]);
    for (const { box, origin } of this.stretches) {
      const [du, dv] = toLattice(origin);
      for (const line of this.lines) {
        const within = clippedTo(line, box, toLattice);
        if (within) lineWalk.walk(within, origin[0], origin[1], du, dv);
      }
    }
  }

  /** Where the origin lies, in the last trial, for what is laid at a place; null on a band. */
  private originAt([x, y]: Point): Point | null {
    const own = this.stretches.find(({ box }) => x >= box.minX && x <= box.maxX && y >= box.minY && y <= box.maxY);
    return own?.origin ?? null;
  }

  /**
   * How far the last trial would have to move in a direction for one of its cuts to vanish, to be full or half, or to be
   * no sliver any more, mm: the next places where anything changes.
   */
  nextChanges(axis: Axis): number[] {
    const moves = new Set<number>();
    const { count, line, thinnest, full } = this.lineWalk.cuts;
    for (let k = 0; k < count; k++) {
      const { inX, inY } = this.lines[line[k]];
      const way = axis === 'x' ? inX : inY;
      if (Math.abs(way) < MOVES_SINE) continue;
      for (const mm of [-thinnest[k], full[k] - thinnest[k], full[k] / 2 - thinnest[k], sliverLimit(full[k]) - thinnest[k]])
        moves.add(Math.round((mm / way) * 1e4) / 1e4);
    }
    return [...moves];
  }

  private readyLines(): TrialLine[] {
    const known = new Map<string, readonly OutlineAcross[]>();
    const main = areMain(this.repeat);
    const lines = this.boundary.lines.flatMap(({ from, to, owner, part }): TrialLine[] => {
      if (this.rounds.some((round) => isOnRound(round, from) && isOnRound(round, to))) return [];
      const along = unit(subtract(to, from));
      const inward = quarterTurn(along);
      const key = `${along[0].toFixed(12)} ${along[1].toFixed(12)}`;
      const outlines = known.get(key) ?? this.repeat.pieces.map(({ ring }, k) => outlineAcross(ring, main[k], along, inward));
      known.set(key, outlines);
      return [
        {
          index: -1,
          owner,
          part,
          acrossMm: dot(from, inward),
          startMm: dot(from, along),
          endMm: dot(to, along),
          alongX: along[0],
          alongY: along[1],
          inX: inward[0],
          inY: inward[1],
          from: this.lineWalk.toLattice(from),
          to: this.lineWalk.toLattice(to),
          outlines,
          lattice: null,
        },
      ];
    });
    return lines.map((line, index) => ({ ...line, index, lattice: alongLattice(line, lines, this.rounds, this.repeat) }));
  }

  /**
   * A piece that one edge cuts in many stretches, as a curve does, is judged over all of them: by its narrowest end, or by
   * its widest where it runs out to a point.
   */
  private judgeCurves(): void {
    const { cuts, tiles } = this.lineWalk;
    const curved = (k: number): boolean => {
      const slot = cuts.slot[k];
      return slot !== TALLIED && tiles.ofOwner[slot] > 1 && this.lines[cuts.line[k]].owner === tiles.owner[slot];
    };
    const ends = new Map<number, [number, number]>();
    for (let k = 0; k < cuts.count; k++) {
      if (!curved(k)) continue;
      const other = 2 * cuts.share[k] * cuts.full[k] - cuts.thinnest[k];
      const known = ends.get(cuts.slot[k]) ?? [Infinity, 0];
      ends.set(cuts.slot[k], [Math.min(known[0], cuts.thinnest[k], other), Math.max(known[1], cuts.thinnest[k], other)]);
    }
    if (ends.size === 0) return;
    for (let k = 0; k < cuts.count; k++) {
      const own = curved(k) ? ends.get(cuts.slot[k]) : undefined;
      if (own) cuts.thinnest[k] = own[0] < POINT_MM ? own[1] : own[0];
    }
  }

  /** Takes every cut into the tally of its edge; tiles in a corner, and the narrowest, are really cut first. */
  private tallyAll(): void {
    const { lines: boundaryLines, tallies } = this;
    const { cuts, tiles } = this.lineWalk;
    if (this.mayCurve) this.judgeCurves();
    let corners: Map<number, number[]> | null = null;
    for (let k = 0; k < cuts.count; k++) {
      const slot = cuts.slot[k];
      if (slot === TALLIED) continue;
      const lines = tiles.lines[slot];
      const line = boundaryLines[cuts.line[k]];
      const deepest = cuts.deepest[k];
      // Stretches of one edge make a curve, no corner.
      const isCorner = lines > 1 && lines <= MOST_CORNER_LINES && tiles.ofOwner[slot] < lines;
      if (lines === 1 && tiles.notches[slot] === 0 && deepest < MAY_BE_LOST_MM && deepest < lostBelow(line.outlines[cuts.piece[k]])) {
        tiles.lines[slot] = tiles.round[slot] = 0;
        // The gap there is wider by what is lost and the joint before it.
        tallies[line.owner].openMm2 += cuts.length[k] * (deepest + this.parted.jointMm);
      } else if (tiles.notches[slot] > 0 && deepest < SMALLEST_PIECE_WIDTH_MM) {
        // A leg beside what stands there that is too narrow to hold.
        tallies[line.owner].openMm2 += cuts.length[k] * (deepest + this.parted.jointMm);
      } else if (isCorner && tiles.notches[slot] === 0) {
        corners ??= new Map<number, number[]>();
        const own = corners.get(slot);
        if (own) own.push(k);
        else corners.set(slot, [k]);
      } else tallyPlain(line, cuts, k, tallies);
    }
    if (!corners) return;
    for (const [slot, own] of corners)
      if (!tallyCorner(this.repeat, boundaryLines, cuts, own, tallies)) tiles.lines[slot] = tiles.round[slot] = 0;
  }
}

function movedOnBy({ letIns, jointMm }: Parted, k: 0 | 1): number[] {
  const moved = [0];
  for (const letIn of letIns) if (letIn.k === k) moved.push(moved[moved.length - 1] + letIn.wideMm + jointMm);
  return moved;
}

/** How near a corner of a ring lies to the circle it stands for, mm. */
const ROUND_MM = SAW_MM;

const isOnRound = ({ centre, radiusMm }: RoundThing, p: Point): boolean => Math.abs(distance(p, centre) - radiusMm) < ROUND_MM;

function unturned([x, y]: Point, turnDeg: number): Point {
  if (turnDeg === 0) return [x, y];
  const [c, s] = [Math.cos((turnDeg * Math.PI) / 180), Math.sin((turnDeg * Math.PI) / 180)];
  return [c * x + s * y, -s * x + c * y];
}
