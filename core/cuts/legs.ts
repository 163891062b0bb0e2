import { boxOf } from '../geometry/ring.ts';
import type { CutPiece } from './cutPiece.ts';

/** What stays beside a notch or a slot, and what is left of the piece that way, mm. */
export interface Leg {
  readonly mm: number;
  /** The whole tile that way, mm. */
  readonly fullMm: number;
}

/** The legs that the notches and slots of a piece leave, and what is under a slot. */
export function legsOf({ marks, sizeMm, tile }: Pick<CutPiece, 'marks' | 'sizeMm' | 'tile'>): Leg[] {
  const { minX, maxX, minY, maxY } = boxOf(tile);
  const [wide, high] = [maxX - minX, maxY - minY];
  return marks
    .flatMap((mark): Leg[] => {
      if (mark.type === 'notch')
        return [
          { mm: sizeMm.widthMm - mark.xMm, fullMm: wide },
          { mm: sizeMm.heightMm - mark.yMm, fullMm: high },
        ];
      if (mark.type !== 'slot') return [];
      const { side, startMm, widthMm, depthMm } = mark;
      const [along, across] = side === 'bottom' || side === 'top' ? [wide, high] : [high, wide];
      return [
        { mm: startMm, fullMm: along },
        { mm: along - startMm - widthMm, fullMm: along },
        { mm: across - depthMm, fullMm: across },
      ];
    })
    .filter(({ mm }) => mm > LEAST_MM);
}

/** What is less is lost with the cut, mm. */
const LEAST_MM = 0.5;

/** What stays between a hole or a box within a piece and the nearest side of its tile, mm; null where a piece has none. */
export function bridgeOf({ marks, tile }: Pick<CutPiece, 'marks' | 'tile'>): number | null {
  const { minX, maxX, minY, maxY } = boxOf(tile);
  const [wide, high] = [maxX - minX, maxY - minY];
  const bridges = marks.flatMap((mark) => {
    if (mark.type === 'window') return [mark.xMm, wide - mark.xMm - mark.widthMm, mark.yMm, high - mark.yMm - mark.heightMm];
    if (mark.type !== 'circle') return [];
    const radiusMm = mark.diameterMm / 2;
    return [mark.xMm, wide - mark.xMm, mark.yMm, high - mark.yMm].map((mm) => mm - radiusMm);
  });
  // A hole that opens to a side is bitten out anyway.
  return bridges.length === 0 || Math.min(...bridges) < LEAST_MM ? null : Math.min(...bridges);
}
