import { ON_LINE_MM } from '../../tolerances.ts';
import { areaInBox } from '../../geometry/areaInBox.ts';
import type { Box, Polygon } from '../../geometry/ring.ts';

/** A box may reach over an outline by this much on average, mm. */
const OVER_MM = ON_LINE_MM;

/** So many corners of an outline are tried as sides of a box; a curve has more. */
const MOST_CORNERS = 9;

/** So many boxes are held against the outline, the largest first. */
const MOST_TRIED = 60;

/** The largest upright box between corners of a polygon that lies in it and for which `counts` holds; null where none does. */
export function largestBoxWithin(polygon: Polygon, counts: (box: Box) => boolean): Box | null {
  const step = Math.ceil(polygon[0].length / MOST_CORNERS);
  const corners = polygon[0].filter((_, k) => k % step === 0);
  const xs = distinct(corners.map(([x]) => x));
  const ys = distinct(corners.map(([, y]) => y));
  const boxes: Box[] = [];
  for (let a = 0; a < xs.length; a++)
    for (let b = a + 1; b < xs.length; b++)
      for (let c = 0; c < ys.length; c++)
        for (let d = c + 1; d < ys.length; d++) {
          const box: Box = { minX: xs[a], maxX: xs[b], minY: ys[c], maxY: ys[d] };
          if (counts(box)) boxes.push(box);
        }
  const bySize = boxes.sort((p, q) => areaOf(q) - areaOf(p)).slice(0, MOST_TRIED);
  return bySize.find((box) => isWithin(box, polygon)) ?? null;
}

const areaOf = ({ minX, minY, maxX, maxY }: Box): number => (maxX - minX) * (maxY - minY);

const distinct = (values: readonly number[]): number[] =>
  [...values].sort((a, b) => a - b).filter((mm, k, all) => k === 0 || mm - all[k - 1] > OVER_MM);

const isWithin = (box: Box, polygon: Polygon): boolean =>
  areaOf(box) - areaInBox(polygon, box) <= OVER_MM * (box.maxX - box.minX + box.maxY - box.minY);
