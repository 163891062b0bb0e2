import { intersect } from '../../geometry/clip.ts';
import { distanceToStretch } from '../../geometry/distanceToStretch.ts';
import { add, scale, type Point } from '../../geometry/point.ts';
import { boxOf, mapRing, polygonsArea, type Box, type Ring } from '../../geometry/ring.ts';
import { oncePer } from '../../oncePer.ts';
import { chipRing } from './sheetChips.ts';
import type { Sheet } from './sheet.ts';

/** What is wrong with a sheet: chips that lie on each other, or a seam that no next sheet fits. */
export type SheetFault =
  | { readonly kind: 'overlap'; readonly chips: readonly [number, number] }
  | { readonly kind: 'seam'; readonly side: 'across' | 'up'; readonly gapMm: number };

/** Chips may touch by this much before they count as lying on each other, mm². */
const TOUCH_MM2 = 0.5;

/**
 * What keeps a sheet from being laid: two of its chips overlap, or the sheets beside it overlap it or
 * stay further away than twice its joint. At most one fault of each kind is named.
 */
export const sheetFaults = oncePer(findFaults);

function findFaults(sheet: Sheet): SheetFault[] {
  const rings = sheet.chips.map((chip) => chipRing(sheet, chip));
  const boxes = rings.map(boxOf);
  const pair = firstOverlap(rings, boxes);
  if (pair) return [{ kind: 'overlap', chips: pair }];
  return (['across', 'up'] as const).flatMap((side): SheetFault[] => {
    const step = sheet[side];
    const other = sheet[side === 'across' ? 'up' : 'across'];
    // The neighbours that way, straight and slantwise; the straight one has to touch by a joint.
    const gaps = [step, add(step, other), add(step, scale(other, -1))].map((by) => nearest(rings, boxes, by, sheet.jointMm));
    const gapMm = Math.min(...gaps) < 0 ? Math.min(...gaps) : gaps[0];
    return gapMm < Math.min(0, sheet.jointMm - 0.5) || gapMm > 2 * sheet.jointMm + 0.5 ? [{ kind: 'seam', side, gapMm }] : [];
  });
}

function firstOverlap(rings: readonly Ring[], boxes: readonly Box[]): [number, number] | null {
  const order = boxes.map((box, k) => ({ box, k })).sort((a, b) => a.box.minX - b.box.minX);
  for (let m = 0; m < order.length; m++) {
    for (let n = m + 1; n < order.length && order[n].box.minX < order[m].box.maxX; n++) {
      const [a, b] = [order[m].k, order[n].k];
      if (isOver(boxes[a], boxes[b], 0) && overlaps(rings[a], rings[b])) return a < b ? [a, b] : [b, a];
    }
  }
  return null;
}

const isOver = (a: Box, b: Box, byMm: number): boolean =>
  a.minX < b.maxX + byMm && a.maxX > b.minX - byMm && a.minY < b.maxY + byMm && a.maxY > b.minY - byMm;

const overlaps = (a: Ring, b: Ring): boolean => polygonsArea(intersect([[a]], [[b]])) > TOUCH_MM2;

/** How near the chips of the sheet moved by a vector come, mm; -1 where they overlap. Further than some joints is not told apart. */
function nearest(rings: readonly Ring[], boxes: readonly Box[], by: Point, jointMm: number): number {
  const reach = 3 * jointMm + 12;
  let gap = reach;
  rings.forEach((ring, k) => {
    const box = boxes[k];
    const there: Box = { minX: box.minX + by[0], maxX: box.maxX + by[0], minY: box.minY + by[1], maxY: box.maxY + by[1] };
    let moved: Ring | null = null;
    boxes.forEach((other, m) => {
      if (!isOver(other, there, Math.max(0, gap))) return;
      moved ??= mapRing(ring, (p) => add(p, by));
      if (isOver(other, there, 0) && overlaps(rings[m], moved)) gap = -1;
      else gap = Math.min(gap, ringGap(rings[m], moved, gap));
    });
  });
  return gap;
}

/** The distance between two rings that do not overlap where it is less than a limit, else the limit; mm. */
function ringGap(a: Ring, b: Ring, limitMm: number): number {
  const oneWay = (from: Ring, to: Ring): number => {
    const { minX, maxX, minY, maxY } = boxOf(to);
    const near = from.filter(([x, y]) => x > minX - limitMm && x < maxX + limitMm && y > minY - limitMm && y < maxY + limitMm);
    return Math.min(limitMm, ...near.flatMap((p) => to.map((q, k) => distanceToStretch(p, q, to[(k + 1) % to.length]))));
  };
  return Math.min(oneWay(a, b), oneWay(b, a));
}
