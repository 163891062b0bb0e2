import { boxOf, mapPolygon, mapRing, type Polygon } from '../../geometry/ring.ts';
import { cellShift, type Repeat } from '../../pattern/repeat.ts';
import { cutTile, prototypeOf } from './cutTile.ts';
import { placementMotion, type CutTile, type Layout, type Placement } from './layout.ts';
import { RegionNear } from './regionNear.ts';
import { boundarySegments, latticeOf, markCells, type MarkedCells, type Segment } from './markCells.ts';

/**
 * Lays a repeat over a region: which tiles are whole, and the exact outline of those that are not.
 * Work grows with the length of the boundary, not with the number of tiles.
 */
export function placeRepeat(region: readonly Polygon[], repeat: Repeat, placement: Placement): Layout {
  const { unturn, turn } = placementMotion(placement);
  const flat = region.map((polygon) => mapPolygon(polygon, unturn));
  const segments = boundarySegments(flat);
  const toLattice = latticeOf(repeat);
  const runs = new RunList();
  const cutTiles: CutTile[] = [];
  const dropped: Polygon[] = [];
  const box = flat.length > 0 ? boxOf(flat.flat(2)) : null;

  if (box === null) return { repeat, placement, wholeRuns: new Int32Array(), wholeCount: 0, cutTiles, dropped };
  repeat.pieces.forEach(({ ring }, piece) => {
    const prototype = prototypeOf(ring);
    const near = new RegionNear(flat, box, boxOf(ring));
    const marked = markCells(ring, toLattice, segments);
    const cutRow = (j: number, i: number, touching: readonly Segment[]): void => {
      const [dx, dy] = cellShift(repeat, i, j);
      const moved = mapRing(ring, ([x, y]) => [x + dx, y + dy]);
      const remains = cutTile(moved, prototype, touching, near);
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
