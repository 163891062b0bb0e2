import { oncePer } from '../../oncePer.ts';
import { LEAST_CUT_MM } from '../../geometry/conventions.ts';
import { motion } from '../../geometry/point.ts';
import { boxOf, mapPolygon, mapRing, type Box, type Polygon } from '../../geometry/ring.ts';
import { cellShift, type Repeat } from '../../pattern/repeat.ts';
import { cutTile, prototypeOf } from './cutTile.ts';
import type { CutTile, Layout, Placement } from './layout.ts';
import { RegionNear } from './regionNear.ts';
import { boundarySegments, latticeOf, markCells, type MarkedCells, type Segment } from './markCells.ts';

/**
 * Lays a repeat over a region: which tiles are whole, and the exact outline of those that are not.
 * Work grows with the length of the boundary, not with the number of tiles. A tile that would lose less than the least cut
 * is whole: half a millimetre against walls, next to nothing where other pieces lie a joint away.
 */
export function placeRepeat(region: readonly Polygon[], repeat: Repeat, placement: Placement, leastCutMm = LEAST_CUT_MM): Layout {
  const { unturn, turn } = motion(placement.turnDeg, [0, 0]);
  const { segments, near } = turnedRegion(region, placement.turnDeg, repeat);
  const [x0, y0] = unturn(placement.origin);
  const toLattice = latticeOf(repeat);
  const runs = new RunList();
  const cutTiles: CutTile[] = [];
  const dropped: Polygon[] = [];

  if (near === null) return { repeat, placement, wholeRuns: new Int32Array(), wholeCount: 0, cutTiles, dropped };
  repeat.pieces.forEach((own, piece) => {
    const ring = mapRing(own.ring, ([x, y]) => [x + x0, y + y0]);
    const prototype = prototypeOf(ring);
    const marked = markCells(ring, toLattice, segments);
    const cutRow = (j: number, i: number, touching: readonly Segment[]): void => {
      const [dx, dy] = cellShift(repeat, i, j);
      const moved = mapRing(ring, ([x, y]) => [x + dx, y + dy]);
      const remains = cutTile(moved, prototype, touching, near, leastCutMm);
      for (const polygon of remains.dropped) dropped.push(mapPolygon(polygon, turn));
      if (remains.whole) runs.add(piece, j, i, i);
      else if (remains.polygons.length > 0) {
        cutTiles.push({ piece, i, j, polygons: remains.polygons.map((p) => mapPolygon(p, turn)) });
      }
    };
    for (const [j, row] of marked.touched) for (const [i, touching] of row) cutRow(j, i, touching);
    for (const [j, first, last] of untouchedRuns(marked)) runs.add(piece, j, first, last);
  });
  return { repeat, placement, wholeRuns: runs.toArray(), wholeCount: runs.count, cutTiles, dropped };
}

/** A region as a turn sees it: the same wherever in it a repeat begins. */
interface TurnedRegion {
  readonly turnDeg: number;
  readonly tile: Box;
  readonly segments: readonly Segment[];
  /** Null where there is nothing of it. */
  readonly near: RegionNear | null;
}

/** What a region looks like from the turns it was last seen from. */
const seenFrom = oncePer<readonly Polygon[], { turns: readonly TurnedRegion[] }>(() => ({ turns: [] }));
const MOST_TURNS = 4;

function turnedRegion(region: readonly Polygon[], turnDeg: number, { pieces }: Repeat): TurnedRegion {
  const boxes = pieces.map(({ ring }) => boxOf(ring));
  const tile: Box = {
    minX: 0,
    minY: 0,
    maxX: Math.max(...boxes.map(({ minX, maxX }) => maxX - minX)),
    maxY: Math.max(...boxes.map(({ minY, maxY }) => maxY - minY)),
  };
  const seen = seenFrom(region);
  const same = seen.turns.find((one) => one.turnDeg === turnDeg && one.tile.maxX === tile.maxX && one.tile.maxY === tile.maxY);
  if (same) return same;
  const { unturn } = motion(turnDeg, [0, 0]);
  const flat = region.map((polygon) => mapPolygon(polygon, unturn));
  const near = flat.length > 0 ? new RegionNear(flat, boxOf(flat.flat(2)), tile) : null;
  const turned = { turnDeg, tile, segments: boundarySegments(flat), near };
  seen.turns = [turned, ...seen.turns].slice(0, MOST_TURNS);
  return turned;
}

/** The stretches inside, broken where the boundary touches a cell. */
function* untouchedRuns({ inside, touched }: MarkedCells): Generator<[number, number, number]> {
  for (const [j, stretches] of inside) {
    const row = touched.get(j);
    const stops = row ? [...row.keys()].sort((a, b) => a - b) : [];
    for (const [first, last] of stretches) {
      let start = first;
      for (const stop of stops) {
        if (stop < start) continue;
        if (stop > last) break;
        if (stop > start) yield [j, start, stop - 1];
        start = stop + 1;
      }
      if (start <= last) yield [j, start, last];
    }
  }
}

/** Collects runs of whole tiles. */
class RunList {
  private readonly numbers: number[] = [];
  count = 0;

  add(piece: number, j: number, first: number, last: number): void {
    this.numbers.push(piece, j, first, last);
    this.count += last - first + 1;
  }

  toArray(): Int32Array {
    return Int32Array.from(this.numbers);
  }
}
