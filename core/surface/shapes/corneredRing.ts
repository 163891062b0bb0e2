import type { Point } from '../../geometry/point.ts';
import { issue, type Issue } from '../../result.ts';
import type { NamedRing } from './shapeKind.ts';

/** An outline from its corners with the edge that starts at each, counter-clockwise. */
export function corneredRing(corners: readonly (readonly [x: number, y: number, edgeId: string])[]): NamedRing {
  return { ring: corners.map(([x, y]): Point => [x, y]), edgeIds: corners.map(([, , id]) => id) };
}

/** Mirrors an outline left to right within its width; `left` and `right` in the names of edges change places. */
export function mirrored({ ring, edgeIds }: NamedRing, widthMm: number): NamedRing {
  const count = ring.length;
  return {
    ring: ring.map(([x, y]): Point => [widthMm - x, y]).reverse(),
    edgeIds: edgeIds.map((_, k) => swapSides(edgeIds[(2 * count - 2 - k) % count], 'left', 'right')),
  };
}

/** Turns an outline upside down within its height; `bottom` and `top` change places. */
export function upturned({ ring, edgeIds }: NamedRing, heightMm: number): NamedRing {
  const count = ring.length;
  return {
    ring: ring.map(([x, y]): Point => [x, heightMm - y]).reverse(),
    edgeIds: edgeIds.map((_, k) => swapSides(edgeIds[(2 * count - 2 - k) % count], 'bottom', 'top')),
  };
}

const swapSides = (id: string, a: string, b: string): string =>
  id
    .split('-')
    .map((word) => (word === a ? b : word === b ? a : word))
    .join('-');

/** Refuses a part that is not smaller than the whole it is measured in. */
export function mustBeUnder(part: string, partMm: number, wholeMm: number): Issue[] {
  return partMm < wholeMm ? [] : [issue('shape/part-too-long', [part], { partMm, wholeMm })];
}
