import { TOLERANCE_MM } from '../tolerances.ts';
import { pointsOfArc } from '../geometry/arc.ts';
import { TILE_SAGITTA_MM } from '../geometry/conventions.ts';
import { circleRing } from '../geometry/circleRing.ts';
import { drawnIn } from '../geometry/drawnIn.ts';
import type { Point } from '../geometry/point.ts';
import { boxOf, rectangleRing, type Ring } from '../geometry/ring.ts';
import type { Size } from './product.ts';
import type { PieceShape } from './pieceShape.ts';

/** Height of the points of a hexagon above its flats, mm: a regular one's where none is given. */
export const tipOf = (shape: Extract<PieceShape, { kind: 'hexagon' }>, widthMm: number): number =>
  shape.tipMm ?? widthMm / (2 * Math.sqrt(3));

/**
 * The outline of one tile as it lies in its carton: the box round it starts at the origin; mm,
 * counter-clockwise. Lanterns and scallops are shown for no joint; laid, they are drawn in by half of it.
 */
export function tileOutline(shape: PieceShape, { widthMm: w, heightMm: h }: Size): Ring {
  switch (shape.kind) {
    case 'rectangle':
      return rectangleRing(0, 0, w, h);
    case 'hexagon':
      return hexagon(w, h, tipOf(shape, w));
    case 'octagon':
      return octagon(w, h, shape.cornerMm);
    case 'lantern':
      return moved(lanternCell(w, h, shape.swell), w / 2, h / 2);
    case 'round':
      return circleRing([w / 2, w / 2], w / 2, TILE_SAGITTA_MM);
    case 'scallop':
      return moved(scallopCell(w, h), w / 2, h / 2);
    case 'diamond':
      return [
        [w / 2, 0],
        [w, h / 2],
        [w / 2, h],
        [0, h / 2],
      ];
    case 'triangle':
      return [
        [0, 0],
        [w, 0],
        [w / 2, h],
      ];
    case 'chevron': {
      const lean = h / Math.tan((shape.cutDeg * Math.PI) / 180);
      return [
        [0, 0],
        [w, 0],
        [w + lean, h],
        [lean, h],
      ];
    }
  }
}

const moved = (ring: Ring, dx: number, dy: number): Ring => ring.map(([x, y]) => [x + dx, y + dy]);

const hexagon = (w: number, h: number, tip: number): Ring => [
  [w / 2, 0],
  [w, tip],
  [w, h - tip],
  [w / 2, h],
  [0, h - tip],
  [0, tip],
];

const octagon = (w: number, h: number, c: number): Ring => [
  [c, 0],
  [w - c, 0],
  [w, c],
  [w, h - c],
  [w - c, h],
  [c, h],
  [0, h - c],
  [0, c],
];

/** A closed outline of arcs, each from one corner to the next; mm. */
function arcRing(corners: readonly { readonly at: Point; readonly riseMm: number }[]): Ring {
  return corners.flatMap(({ at, riseMm }, k) => {
    const to = corners[(k + 1) % corners.length].at;
    return Math.abs(riseMm) < TILE_SAGITTA_MM ? [at] : [at, ...pointsOfArc({ from: at, to, riseMm }, TILE_SAGITTA_MM)];
  });
}

/**
 * The cell of a lantern, its middle at the origin: a rhombus whose four edges are point-symmetric
 * S-curves of two equal arcs, tangent in the middle. Round towards the sides, hollow towards the points.
 */
export function lanternCell(widthMm: number, heightMm: number, swell: number): Ring {
  const [x, y] = [widthMm / 2, heightMm / 2];
  // At full swell a curve leaves the side tip upright: its angle to the chord is that of the chord to the upright.
  const rise = (Math.hypot(x, y) / 4) * Math.tan((Math.atan2(x, y) * swell) / 2);
  return arcRing([
    { at: [x, 0], riseMm: rise },
    { at: [x / 2, y / 2], riseMm: -rise },
    { at: [0, y], riseMm: -rise },
    { at: [-x / 2, y / 2], riseMm: rise },
    { at: [-x, 0], riseMm: rise },
    { at: [-x / 2, -y / 2], riseMm: -rise },
    { at: [0, -y], riseMm: -rise },
    { at: [x / 2, -y / 2], riseMm: rise },
  ]);
}

/**
 * The cell of a scallop, its middle at the origin: a half round above, two hollow quarters below that
 * take the half rounds of the course underneath. Heights are stretched to the height asked for.
 */
export function scallopCell(widthMm: number, heightMm: number): Ring {
  const r = widthMm / 2;
  const quarter = r * (1 - Math.SQRT1_2);
  const ring = arcRing([
    { at: [r, 0], riseMm: quarter },
    { at: [0, r], riseMm: quarter },
    { at: [-r, 0], riseMm: -quarter },
    { at: [0, -r], riseMm: -quarter },
  ]);
  return ring.map(([x, y]) => [x, (y * heightMm) / widthMm]);
}

/**
 * The cell that, drawn in by half a joint, is a piece of the wanted size: lanterns and scallops lose
 * more at their thin tips than the joint. `cellOf` makes a cell of a width and height in mm.
 */
export function cellAround(
  { widthMm, heightMm }: Size,
  jointMm: number,
  cellOf: (widthMm: number, heightMm: number) => Ring,
): { readonly size: Size; readonly piece: Ring } {
  let size = { widthMm: widthMm + jointMm, heightMm: heightMm + jointMm };
  for (let round = 0; ; round++) {
    const piece = drawnIn(cellOf(size.widthMm, size.heightMm), jointMm / 2);
    const { minX, minY, maxX, maxY } = boxOf(piece);
    const short = { widthMm: widthMm - (maxX - minX), heightMm: heightMm - (maxY - minY) };
    if (round === ROUNDS || Math.max(Math.abs(short.widthMm), Math.abs(short.heightMm)) < TOLERANCE_MM) return { size, piece };
    size = { widthMm: size.widthMm + short.widthMm, heightMm: size.heightMm + short.heightMm };
  }
}

/** Each round brings the size some ten times nearer. */
const ROUNDS = 12;
