import { ON_LINE_MM, SMALLEST_PIECE_WIDTH_MM } from '../../geometry/conventions.ts';
import { distance, dot, quarterTurn, subtract, unit, type Point } from '../../geometry/point.ts';
import { boxOf, type Box } from '../../geometry/ring.ts';
import type { Repeat } from '../../pattern/repeat.ts';
import type { Ground } from '../fields/ground.ts';
import type { BandPlace } from '../fields/splitBands.ts';
import { latticeOf } from '../place/markCells.ts';
import { emptyTally, type EdgeTally, type SetoutFigures } from '../weigh/figures.ts';
import type { Axis } from '../weigh/axisPlacement.ts';
import { sliverLimit } from '../weigh/sliver.ts';
import type { Pin } from '../weigh/pins.ts';
import { tallyCut } from '../weigh/tallyCut.ts';
import { MINUTES } from '../../tile/cutKinds.ts';
import { alongLattice, type AlongLattice } from './alongLattice.ts';
import { boundaryOf, type Boundary } from './boundary.ts';
import { bandStretches } from './bandStretches.ts';
import { POINT_MM, tallyCorner } from './cornerTiles.ts';
import { fallsOf, notchesIn, wholeSheets, type RoundThing } from './features.ts';
import { middlesOf, type Middle } from './middles.ts';
import { CellIndex } from './cellIndex.ts';
import { CutList } from './cutList.ts';
import { CHORD, chordOf, lostBelow, outlineAcross, type OutlineAcross } from './outlineAcross.ts';
import { pinChecks, type PinCheck } from './pinned.ts';
import { runOffsOf } from './runOffs.ts';
import { TileTable } from './tileTable.ts';
import { clippedTo, type TrialLine } from './trialLine.ts';
import { workOf } from './work.ts';

/** A tile that reaches over a line by no more than this is full in a trial, mm: nothing is gained by leaning on the slack. */
const FULL_MM = 0.005;

/** A strip this narrow can't be snapped, mm (trade practice). */
const NARROW_MM = 20;

/** What reaches no further may be too narrow to be set, mm: what is narrower by its mean width is left to the joint. */
const MAY_BE_LOST_MM = 20 * SMALLEST_PIECE_WIDTH_MM;

/** A move changes what a line leaves where it does not run along the line, as a sine. */
const MOVES_SINE = 0.5;

/** A cut that is in the tally of its edge already. */
const TALLIED = -1;

/** A tile that more lines run through lies along a curve. */
const MOST_CORNER_LINES = 4;

/** The joint of a field, and the bands that are let into its joints; they run with the surface, so such a field is never turned. */
interface Banded {
  readonly bands: readonly BandPlace[];
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
  readonly boxes: readonly Box[];
  readonly index: CellIndex;
  private readonly tallies: readonly EdgeTally[];
  private readonly tiles = new TileTable();
  private readonly cuts = new CutList();
  /** What tiles that were met many at once come to. */
  private readonly alike = { pieces: 0, minutes: 0, opened: 0 };
  private readonly figures: SetoutFigures;
  readonly rounds: readonly RoundThing[];
  readonly middles: readonly Middle[];
  readonly pins: readonly PinCheck[];
  readonly toLattice: (p: Point) => Point;
  private readonly ax: number;
  private readonly ay: number;
  /** How far beyond a line tiles are looked for: as far as a joint, mm, and in steps of the lattice. */
  private readonly reachMm: number;
  private readonly slackU: number;
  private readonly slackV: number;
  private readonly bx: number;
  private readonly by: number;

  readonly ground: Ground;
  readonly repeat: Repeat;
  readonly turnDeg: number;
  private readonly banded: Banded;
  private readonly box: Box;

  constructor(ground: Ground, repeat: Repeat, turnDeg: number, banded: Banded, pins: readonly Pin[]) {
    this.ground = ground;
    this.repeat = repeat;
    this.turnDeg = turnDeg;
    this.banded = banded;
    [[this.ax, this.ay], [this.bx, this.by]] = repeat.vectors;
    this.boundary = boundaryOf(ground, turnDeg);
    this.box = boxOf(this.boundary.lines.length > 0 ? this.boundary.lines.map(({ from }) => from) : [[0, 0]]);
    this.toLattice = latticeOf(repeat);
    this.reachMm = banded.jointMm + ON_LINE_MM;
    const [alongU, alongV] = [this.toLattice([this.reachMm, 0]), this.toLattice([0, this.reachMm])];
    this.slackU = Math.abs(alongU[0]) + Math.abs(alongV[0]);
    this.slackV = Math.abs(alongU[1]) + Math.abs(alongV[1]);
    this.boxes = repeat.pieces.map(({ ring }) => boxOf(ring.map(this.toLattice)));
    this.index = new CellIndex(this.boxes, this.slackU, this.slackV);
    this.rounds = ground.rounds.map((round) => ({ ...round, centre: unturned(round.centre, turnDeg) }));
    this.lines = this.readyLines();
    this.middles = middlesOf(ground, repeat, turnDeg);
    this.tallies = this.boundary.owners.map(emptyTally);
    this.pins = pinChecks(pins, repeat, turnDeg, banded.jointMm, this.toLattice);
    this.figures = {
      edges: this.tallies,
      rounds: this.rounds.map(({ id }) => ({ fixtureId: id, falls: 'clear' })),
      middles: this.middles.map(({ fixtureId, axis, stepMm }) => ({ fixtureId, axis, offMm: 0, mostMm: stepMm / 2 })),
      runOffs: runOffsOf(this.boundary),
      cutPieces: 0,
      hardPieces: 0,
      minutes: 0,
      missedPins: pins.map(() => 0),
      ears: 0,
      motifs: 0,
      opened: 0,
    };
  }

  /** What comes out with the repeat's origin at a place of the frame, mm. The same figures are filled again by the next trial. */
  judge(x: number, y: number): SetoutFigures {
    const { tallies, tiles, figures } = this;
    for (const tally of tallies) {
      tally.cutMm = tally.smallMm = tally.sliverMm = tally.shareMm = tally.openMm2 = tally.widestMm = 0;
      tally.thinnestMm = Infinity;
    }
    tiles.clear();
    this.cuts.count = 0;
    this.alike.pieces = this.alike.minutes = this.alike.opened = 0;
    this.walkAll(x, y);
    figures.ears = notchesIn(this.boundary.notches, this, [x, y], tiles);
    this.tallyAll();
    this.rounds.forEach((round, k) => {
      figures.rounds[k].falls = fallsOf(round, this, [x, y], tiles);
    });
    this.middles.forEach((middle, k) => (figures.middles[k].offMm = middle.offMm(x, y)));
    figures.motifs = wholeSheets(this.repeat, this.boundary, this.toLattice, [x, y]);
    workOf(tiles, this.alike, figures);
    for (let k = 0; k < this.pins.length; k++) figures.missedPins[k] = this.pins[k].missedMm(x, y, tiles, tallies);
    return figures;
  }

  /** Walks every line; where there are bands, each stretch between them with the repeat as it lies there. */
  private walkAll(x: number, y: number): void {
    const { bands, jointMm } = this.banded;
    if (bands.length === 0) {
      const [du, dv] = this.toLattice([x, y]);
      for (const line of this.lines) this.walk(line, x, y, du, dv);
      return;
    }
    for (const { box, origin } of bandStretches(this.repeat, jointMm, bands, this.box, [x, y])) {
      const [du, dv] = this.toLattice(origin);
      for (const line of this.lines) {
        const within = clippedTo(line, box, this.toLattice);
        if (within) this.walk(within, origin[0], origin[1], du, dv);
      }
    }
  }

  /**
   * How far the last trial would have to move in a direction for one of its cuts to vanish, to be full or half, or to be
   * no sliver any more, mm: the next places where anything changes.
   */
  nextChanges(axis: Axis): number[] {
    const moves = new Set<number>();
    const { count, line, thinnest, full } = this.cuts;
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
    const lines = this.boundary.lines.flatMap(({ from, to, owner }): TrialLine[] => {
      if (this.rounds.some((round) => isOnRound(round, from) && isOnRound(round, to))) return [];
      const along = unit(subtract(to, from));
      const inward = quarterTurn(along);
      const key = `${along[0].toFixed(12)} ${along[1].toFixed(12)}`;
      const outlines = known.get(key) ?? this.repeat.pieces.map(({ ring }) => outlineAcross(ring, along, inward));
      known.set(key, outlines);
      return [
        {
          index: -1,
          owner,
          acrossMm: dot(from, inward),
          startMm: dot(from, along),
          endMm: dot(to, along),
          alongX: along[0],
          alongY: along[1],
          inX: inward[0],
          inY: inward[1],
          from: this.toLattice(from),
          to: this.toLattice(to),
          outlines,
          lattice: null,
        },
      ];
    });
    return lines.map((line, index) => ({ ...line, index, lattice: alongLattice(line, lines, this.rounds, this.repeat) }));
  }

  /** Meets every tile that a line runs through. */
  private walk(line: TrialLine, x: number, y: number, du: number, dv: number): void {
    if (line.lattice && this.pins.length === 0) return this.walkAlong(line, line.lattice, x, y);
    const u0 = line.from[0] - du;
    const v0 = line.from[1] - dv;
    const u1 = line.to[0] - du;
    const v1 = line.to[1] - dv;
    const lowV = v0 < v1 ? v0 : v1;
    const highV = v0 < v1 ? v1 : v0;
    if (this.index.find(u0 < u1 ? u0 : u1, u0 < u1 ? u1 : u0, lowV, highV)) {
      const { found } = this.index;
      for (let k = 0; k < found.length; k += 3) this.meet(line, found[k], found[k + 1], found[k + 2], x, y);
      return;
    }
    const level = v0 === v1;
    const slope = level ? 0 : (u1 - u0) / (v1 - v0);
    const { slackU, slackV } = this;
    for (let piece = 0; piece < this.boxes.length; piece++) {
      const box = this.boxes[piece];
      const lastRow = Math.floor(highV - box.minY + slackV);
      for (let j = Math.ceil(lowV - box.maxY - slackV); j <= lastRow; j++) {
        const from = level ? u0 : u0 + slope * (clamp(j + box.minY - slackV, lowV, highV) - v0);
        const to = level ? u1 : u0 + slope * (clamp(j + box.maxY + slackV, lowV, highV) - v0);
        const last = Math.floor((from < to ? to : from) - box.minX + slackU);
        for (let i = Math.ceil((from < to ? from : to) - box.maxX - slackU); i <= last; i++) this.meet(line, piece, i, j, x, y);
      }
    }
  }

  /** The same for a line that runs with the lattice: the tiles of a row lie alike to it, and where nothing else is near they are met at once. */
  private walkAlong(line: TrialLine, { g, h, stepMm, rowAlongMm, rowAcrossMm, clear }: AlongLattice, x: number, y: number): void {
    const across = x * line.inX + y * line.inY - line.acrossMm;
    const along = x * line.alongX + y * line.alongY;
    for (let piece = 0; piece < this.boxes.length; piece++) {
      const { lowAcross, highAcross, lowAlong, highAlong, straight } = line.outlines[piece];
      const lastRow = Math.floor(((straight ? this.reachMm : FULL_MM) - lowAcross - across) / rowAcrossMm);
      for (let row = Math.ceil((ON_LINE_MM - highAcross - across) / rowAcrossMm); row <= lastRow; row++) {
        const base = along + row * rowAlongMm;
        const last = Math.floor((line.endMm - lowAlong - base) / stepMm);
        let n = Math.ceil((line.startMm - highAlong - base) / stepMm);
        for (const { from, to } of clear) {
          const first = Math.max(n, Math.ceil((from - lowAlong - base) / stepMm));
          const end = Math.floor((to - highAlong - base) / stepMm);
          if (end - first < 1) continue;
          for (; n < first; n++) this.meet(line, piece, n * g[0] + row * h[0], n * g[1] + row * h[1], x, y);
          this.meetAlike(line, piece, n * g[0] + row * h[0], n * g[1] + row * h[1], x, y, end - n + 1);
          n = end + 1;
        }
        for (; n <= last; n++) this.meet(line, piece, n * g[0] + row * h[0], n * g[1] + row * h[1], x, y);
      }
    }
  }

  /** Takes in what a line leaves of one tile. */
  private meet(line: TrialLine, piece: number, i: number, j: number, x: number, y: number): void {
    const sx = x + i * this.ax + j * this.bx;
    const sy = y + i * this.ay + j * this.by;
    if (!this.measure(line, line.outlines[piece], sx, sy, 1)) return;
    const { tiles, cuts } = this;
    const slot = tiles.at(piece, i, j);
    tiles.lines[slot]++;
    if (tiles.owner[slot] === -1) tiles.owner[slot] = line.owner;
    if (tiles.owner[slot] === line.owner) tiles.ofOwner[slot]++;
    tiles.share[slot] *= cuts.share[cuts.count];
    if (cuts.thinnest[cuts.count] < NARROW_MM) tiles.narrow[slot] = 1;
    cuts.keep(line.index, slot, piece, sx, sy);
  }

  /** Takes in so many tiles of which a line leaves the same, and that nothing else cuts. */
  private meetAlike(line: TrialLine, piece: number, i: number, j: number, x: number, y: number, count: number): void {
    const sx = x + i * this.ax + j * this.bx;
    const sy = y + i * this.ay + j * this.by;
    if (!this.measure(line, line.outlines[piece], sx, sy, count)) return;
    const { cuts } = this;
    const at = cuts.count;
    const [share, thinnest, length, deepest] = [cuts.share[at], cuts.thinnest[at], cuts.length[at], cuts.deepest[at]];
    const tally = this.tallies[line.owner];
    if (deepest < MAY_BE_LOST_MM && deepest < lostBelow(line.outlines[piece])) {
      tally.openMm2 += count * length * (deepest + this.banded.jointMm);
      return;
    }
    tallyCut(tally, share, thinnest, cuts.full[at], count * length);
    this.alike.pieces += count;
    this.alike.minutes += count * (thinnest < NARROW_MM ? MINUTES.rip : MINUTES.straight);
    this.alike.opened += share <= 0.5 ? count / 2 : count;
    cuts.keep(line.index, TALLIED, piece, sx, sy);
  }

  /** Writes what a line leaves of a tile whose cell begins at `sx`, `sy` at the end of the list; false where it does not cut it. A gap is so many tiles long. */
  private measure(line: TrialLine, outline: OutlineAcross, sx: number, sy: number, count: number): boolean {
    const off = sx * line.inX + sy * line.inY - line.acrossMm;
    const deepest = outline.highAcross + off;
    const nearest = outline.lowAcross + off;
    if (deepest <= ON_LINE_MM) return false;
    if (nearest >= -FULL_MM) {
      if (nearest > ON_LINE_MM) this.leaveOpen(line, outline, nearest, sx, sy, count);
      return false;
    }
    const shift = sx * line.alongX + sy * line.alongY;
    if (outline.highAlong + shift < line.startMm || outline.lowAlong + shift > line.endMm) return false;
    if (outline.straight) {
      CHORD.low = outline.lowAlong;
      CHORD.high = outline.highAlong;
    } else chordOf(outline.chords, outline.highAcross, -off);
    const start = CHORD.low + shift > line.startMm ? CHORD.low + shift : line.startMm;
    const end = CHORD.high + shift < line.endMm ? CHORD.high + shift : line.endMm;
    const length = end - start;
    if (!(length > ON_LINE_MM)) return false;
    let first = deepest;
    let second = deepest;
    let full = deepest - nearest;
    if (outline.way) {
      full = outline.way.fullMm;
      if (!outline.straight) {
        const { dir, farMm } = outline.way;
        const base = farMm + sx * dir[0] + sy * dir[1] - line.acrossMm * (line.inX * dir[0] + line.inY * dir[1]);
        const slope = line.alongX * dir[0] + line.alongY * dir[1];
        first = clamp(base - start * slope, 0, full);
        second = clamp(base - end * slope, 0, full);
      }
    }
    const narrow = first < second ? first : second;
    const wide = first < second ? second : first;
    const { cuts } = this;
    const at = cuts.count;
    cuts.thinnest[at] = narrow < POINT_MM ? wide : narrow;
    cuts.share[at] = (first + second) / 2 / full;
    cuts.full[at] = full;
    cuts.length[at] = length;
    cuts.deepest[at] = deepest;
    return true;
  }

  /** Takes in a tile that stops short of a line by less than a joint: the gap there is so much wider. */
  private leaveOpen(line: TrialLine, outline: OutlineAcross, gapMm: number, sx: number, sy: number, count: number): void {
    if (!outline.straight || gapMm > this.reachMm) return;
    const shift = sx * line.alongX + sy * line.alongY;
    const length = Math.min(outline.highAlong + shift, line.endMm) - Math.max(outline.lowAlong + shift, line.startMm);
    if (length > 0) this.tallies[line.owner].openMm2 += count * length * gapMm;
  }

  /** Takes every cut into the tally of its edge; tiles in a corner, and the narrowest, are really cut first. */
  private tallyAll(): void {
    const { cuts, tiles, tallies } = this;
    let corners: Map<number, number[]> | null = null;
    for (let k = 0; k < cuts.count; k++) {
      const slot = cuts.slot[k];
      if (slot === TALLIED) continue;
      const lines = tiles.lines[slot];
      const line = this.lines[cuts.line[k]];
      const deepest = cuts.deepest[k];
      // Stretches of one edge make a curve, no corner.
      const isCorner = lines > 1 && lines <= MOST_CORNER_LINES && tiles.ofOwner[slot] < lines;
      if (lines === 1 && tiles.notches[slot] === 0 && deepest < MAY_BE_LOST_MM && deepest < lostBelow(line.outlines[cuts.piece[k]])) {
        tiles.lines[slot] = tiles.round[slot] = 0;
        // The gap there is wider by what is lost and the joint before it.
        tallies[line.owner].openMm2 += cuts.length[k] * (deepest + this.banded.jointMm);
      } else if (isCorner && tiles.notches[slot] === 0) {
        corners ??= new Map<number, number[]>();
        const own = corners.get(slot);
        if (own) own.push(k);
        else corners.set(slot, [k]);
      } else tallyCut(tallies[line.owner], cuts.share[k], cuts.thinnest[k], cuts.full[k], cuts.length[k]);
    }
    if (!corners) return;
    for (const [slot, own] of corners)
      if (!tallyCorner(this.repeat, this.lines, cuts, own, tallies)) tiles.lines[slot] = tiles.round[slot] = 0;
  }
}

const clamp = (value: number, low: number, high: number): number => (value < low ? low : value > high ? high : value);

/** How near a corner of a ring lies to the circle it stands for, mm. */
const ROUND_MM = 0.1;

const isOnRound = ({ centre, radiusMm }: RoundThing, p: Point): boolean => Math.abs(distance(p, centre) - radiusMm) < ROUND_MM;

function unturned([x, y]: Point, turnDeg: number): Point {
  if (turnDeg === 0) return [x, y];
  const [c, s] = [Math.cos((turnDeg * Math.PI) / 180), Math.sin((turnDeg * Math.PI) / 180)];
  return [c * x + s * y, -s * x + c * y];
}
