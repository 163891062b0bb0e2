import { ON_LINE_MM, ROUNDING, TOLERANCE_MM } from '../../tolerances.ts';
import { SMALLEST_PIECE_WIDTH_MM } from '../../geometry/conventions.ts';
import type { Point } from '../../geometry/point.ts';
import { boxOf, type Box } from '../../geometry/ring.ts';
import type { Repeat } from '../../pattern/repeat.ts';
import { MINUTES } from '../../tile/cutKinds.ts';
import { latticeOf } from '../place/markCells.ts';
import type { EdgeTally } from '../tally/figures.ts';
import { tallyCut } from '../tally/tallyCut.ts';
import type { AlongLattice } from './alongLattice.ts';
import { CellIndex } from './cellIndex.ts';
import { POINT_MM } from './cornerTiles.ts';
import { CutList } from './cutList.ts';
import { CHORD, chordOf, lostBelow, type OutlineAcross } from './outlineAcross.ts';
import { TileTable } from './tileTable.ts';
import type { TrialLine } from './trialLine.ts';

/** A tile that reaches over a line by no more than this is full in a trial, mm: nothing is gained by leaning on the slack. */
const FULL_MM = 5 * TOLERANCE_MM;

/** A strip this narrow can't be snapped, mm (trade practice). */
const NARROW_MM = 20;

/** What reaches no further may be too narrow to be set, mm: what is narrower by its mean width is left to the joint. */
export const MAY_BE_LOST_MM = 20 * SMALLEST_PIECE_WIDTH_MM;

/** Steps smaller than this lead nowhere, mm. */
const LEVEL_MM = ROUNDING;

/** Tiles are looked for this much further, in steps of the lattice, so that rounding leaves none out. */
const BY_A_HAIR = ROUNDING;

/** A cut that is in the tally of its edge already. */
export const TALLIED = -1;

/**
 * Walks lines through the lattice of a repeat, and writes down what each leaves of every tile it meets. Tiles that lie
 * alike to a line and that nothing else cuts are met at once, and are in the tally of their edge already.
 */
export class LineWalk {
  readonly tiles = new TileTable();
  readonly cuts = new CutList();
  /** What tiles that were met many at once come to. */
  readonly alike = { pieces: 0, minutes: 0, opened: 0 };
  readonly repeat: Repeat;
  readonly toLattice: (p: Point) => Point;
  /** Where pieces lie in the lattice, and which are near a place. */
  readonly boxes: readonly Box[];
  readonly index: CellIndex;
  private readonly tallies: readonly EdgeTally[];
  private readonly jointMm: number;
  private readonly atOnce: boolean;
  /** How far beyond a line tiles are looked for: as far as a joint, mm, and in steps of the lattice. */
  private readonly reachMm: number;
  private readonly slackU: number;
  private readonly slackV: number;
  private readonly ax: number;
  private readonly ay: number;
  private readonly bx: number;
  private readonly by: number;

  /** `atOnce`: whether tiles may be met many at once, so that the table does not know each. */
  constructor(repeat: Repeat, jointMm: number, tallies: readonly EdgeTally[], atOnce: boolean) {
    this.repeat = repeat;
    this.tallies = tallies;
    this.jointMm = jointMm;
    this.atOnce = atOnce;
    [[this.ax, this.ay], [this.bx, this.by]] = repeat.vectors;
    this.toLattice = latticeOf(repeat);
    this.reachMm = jointMm + ON_LINE_MM;
    const [alongU, alongV] = [this.toLattice([this.reachMm, 0]), this.toLattice([0, this.reachMm])];
    this.slackU = Math.abs(alongU[0]) + Math.abs(alongV[0]);
    this.slackV = Math.abs(alongU[1]) + Math.abs(alongV[1]);
    this.boxes = repeat.pieces.map(({ ring }) => boxOf(ring.map(this.toLattice)));
    this.index = new CellIndex(this.boxes, this.slackU, this.slackV);
  }

  /** Forgets what was met. */
  clear(): void {
    this.tiles.clear();
    this.cuts.count = 0;
    this.alike.pieces = this.alike.minutes = this.alike.opened = 0;
  }

  /** Meets every tile that a line runs through. */
  walk(line: TrialLine, x: number, y: number, du: number, dv: number): void {
    if (line.lattice && this.atOnce) return this.walkAlong(line, line.lattice, x, y);
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
    // From one tile of a row to the next, and from a row to the next, across the line and along it.
    const acrossU = this.ax * line.inX + this.ay * line.inY;
    const acrossV = this.bx * line.inX + this.by * line.inY;
    const alongU = this.ax * line.alongX + this.ay * line.alongY;
    const alongV = this.bx * line.alongX + this.by * line.alongY;
    const [goesAcross, goesAlong] = [Math.abs(acrossU) > LEVEL_MM, Math.abs(alongU) > LEVEL_MM];
    const [perAcross, perAlong] = [1 / acrossU, 1 / alongU];
    const across = x * line.inX + y * line.inY - line.acrossMm;
    const along = x * line.alongX + y * line.alongY;
    for (let piece = 0; piece < this.boxes.length; piece++) {
      const box = this.boxes[piece];
      const outline = line.outlines[piece];
      const least = ON_LINE_MM - outline.highAcross - across;
      const most = (outline.straight ? this.reachMm : FULL_MM) - outline.lowAcross - across;
      const start = line.startMm - outline.highAlong - along;
      const end = line.endMm - outline.lowAlong - along;
      const lastRow = Math.floor(highV - box.minY + this.slackV);
      for (let j = Math.ceil(lowV - box.maxY - this.slackV); j <= lastRow; j++) {
        let from = -Infinity;
        let to = Infinity;
        if (goesAcross) {
          const a = (least - j * acrossV) * perAcross;
          const b = (most - j * acrossV) * perAcross;
          from = a < b ? a : b;
          to = a < b ? b : a;
        } else if (least > j * acrossV || most < j * acrossV) continue;
        if (goesAlong) {
          const a = (start - j * alongV) * perAlong;
          const b = (end - j * alongV) * perAlong;
          if ((a < b ? a : b) > from) from = a < b ? a : b;
          if ((a < b ? b : a) < to) to = a < b ? b : a;
        }
        const last = Math.floor(to + BY_A_HAIR);
        for (let i = Math.ceil(from - BY_A_HAIR); i <= last; i++) this.meet(line, piece, i, j, x, y);
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
    const slot = tiles.at(line.part, piece, i, j);
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
      tally.openMm2 += count * length * (deepest + this.jointMm);
      return;
    }
    tallyCut(tally, share, thinnest, cuts.full[at], count * length, line.outlines[piece].isMain);
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
    const { way } = outline;
    if (way) {
      full = way.fullMm;
      if (!outline.straight) {
        const base = way.farMm + sx * way.x + sy * way.y - line.acrossMm * way.across;
        first = clamp(base - start * way.along, 0, full);
        second = clamp(base - end * way.along, 0, full);
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
}

const clamp = (value: number, low: number, high: number): number => (value < low ? low : value > high ? high : value);
