import { ON_LINE_MM } from '../../tolerances.ts';
import { WHOLE_SLACK_MM } from '../../geometry/conventions.ts';
import { distance, motion, subtract } from '../../geometry/point.ts';
import { boxOf, mapPolygon, ringArea } from '../../geometry/ring.ts';
import { layPattern } from '../../pattern/laying.ts';
import { ONE_COLOUR } from '../../pattern/colours.ts';
import type { Border } from '../../pattern/edging.ts';
import { actualSize, type Product, type Size } from '../../tile/product.ts';
import type { Field } from './field.ts';
import type { Layout } from '../place/layout.ts';
import { placeRepeat } from '../place/placeRepeat.ts';
import type { BorderSide } from './splitBorder.ts';

/** A tile as it lies in a run: its side along it and across it, mm. */
export function runSize(
  product: Product,
  run: Border['run'],
): { readonly alongMm: number; readonly acrossMm: number; readonly lay: 'lying' | 'upright' } {
  const { widthMm, heightMm }: Size = actualSize(product);
  const [long, short] = [Math.max(widthMm, heightMm), Math.min(widthMm, heightMm)];
  return run === 'along' ? { alongMm: long, acrossMm: short, lay: 'lying' } : { alongMm: short, acrossMm: long, lay: 'upright' };
}

/**
 * Lays one row of tiles along a side: a piece or a joint on its middle, whichever leaves the larger end
 * pieces. Courses run along the side, so that its pieces are counted from its start.
 */
export function layRun(id: string, kind: Field['kind'], side: BorderSide, product: Product, run: Border['run'], jointMm: number): Field {
  const { alongMm, acrossMm, lay } = runSize(product, run);
  const upright = lay === 'upright' && Math.abs(alongMm - acrossMm) > ON_LINE_MM;
  const [x, y] = subtract(side.to, side.from);
  const turnDeg = (Math.atan2(y, x) * 180) / Math.PI;
  // An upright stack runs its courses up: along the side it has to be the same tiles in one lying course.
  const laid = layPattern(
    {
      productId: product.id,
      parts: {},
      jointMm,
      pattern: { kind: 'stack', lay: upright ? 'upright' : 'lying' },
      turnDeg: 0,
      mirrored: false,
      colours: ONE_COLOUR,
      partColours: {},
    },
    [product],
  );
  const length = distance(side.from, side.to);
  const { turn, unturn } = motion(turnDeg, side.from);
  const place = (start: number): Layout => placeRepeat(side.region, laid.repeat, { origin: turn([start, 0]), turnDeg }, WHOLE_SLACK_MM);
  const [onPiece, onJoint] = [(length - alongMm) / 2, (length + jointMm) / 2].map((start) => {
    const laidSo = place(start);
    return { layout: laidSo, ends: endsOf(laidSo, start % (alongMm + jointMm), alongMm, jointMm) };
  });
  const { layout } = onJoint.ends > onPiece.ends ? onJoint : onPiece;
  const flat = side.region.map((polygon) => mapPolygon(polygon, unturn)).flat(2);
  return { id, kind, laid, layout, box: flat.length > 0 ? boxOf(flat) : { minX: 0, minY: 0, maxX: 1, maxY: 1 } };
}

/** A joint at an end of a run may be so much wider than the others before it is seen, mm and as a share of them. */
const WIDER_MM = 1;
const WIDER_SHARE = 0.25;

/**
 * How well a run ends, the more the better: by the area of its smallest piece, mm²; best where nothing is cut. Worst where
 * the last joint takes what no piece fits into: `restMm` from the last whole piece to the end.
 */
function endsOf({ cutTiles }: Layout, restMm: number, alongMm: number, jointMm: number): number {
  if (cutTiles.length > 0) return Math.min(...cutTiles.flatMap(({ polygons }) => polygons.map(([outer]) => Math.abs(ringArea(outer)))));
  return restMm > Math.max(WIDER_MM, WIDER_SHARE * jointMm) && restMm < alongMm ? -restMm : Infinity;
}
