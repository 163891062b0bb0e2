import { distance } from '../geometry/point.ts';
import { boxOf, type Polygon, type Ring } from '../geometry/ring.ts';
import type { Mark, Side, SideMeasure } from './cutKind.ts';
import type { CutPiece } from './cutPiece.ts';

/** The side of a tile that is marked. */
export type MarkedSide = 'face' | 'back';

/** What is seen of a piece in its tile. */
export type SeenPiece = Pick<CutPiece, 'inTile' | 'tile' | 'marks' | 'hasWayUp'>;

const OTHER: Readonly<Record<Side, Side>> = { left: 'right', right: 'left', bottom: 'bottom', top: 'top' };
const otherX = { left: 'right', right: 'left' } as const;

/**
 * A piece as it is marked on a tile that lies face down, its top still away from the person: what is at the left from the
 * face is at the right. The marks say the same cuts.
 */
export function seenFromBack({ inTile, tile, marks, hasWayUp }: SeenPiece): SeenPiece {
  const { minX, maxX } = boxOf(tile);
  const flip = ([x, y]: readonly [number, number]): readonly [number, number] => [minX + maxX - x, y];
  const back = (ring: Ring): Ring => ring.map(flip).reverse();
  const piece = boxOf(inTile[0]);
  return {
    inTile: inTile.map(back) as Polygon,
    tile: back(tile),
    hasWayUp,
    marks: marks.map((mark) => markFromBack(mark, tile, maxX - minX, piece.maxX - piece.minX)),
  };
}

function markFromBack(mark: Mark, tile: Ring, tileMm: number, pieceMm: number): Mark {
  switch (mark.type) {
    case 'line': {
      const [first, last] = mark.mm;
      const isUpright = mark.from === 'left' || mark.from === 'right';
      return { ...mark, from: OTHER[mark.from], mm: isUpright ? [first, last] : [last, first] };
    }
    case 'corner':
    case 'notch':
      return { ...mark, sideX: otherX[mark.sideX] };
    case 'chord': {
      const [start, end] = mark.ends.map(({ corner, mm }) => {
        const [from, to] = [tile[corner - 1], tile[corner % tile.length]];
        // Round the other way the side begins where it ended, and corners count backwards.
        return { corner: corner === tile.length ? corner : tile.length - corner, mm: distance(from, to) - mm };
      });
      return { ...mark, ends: [end, start] };
    }
    case 'slot': {
      const opensAcross = mark.side === 'left' || mark.side === 'right';
      return { ...mark, side: OTHER[mark.side], startMm: opensAcross ? mark.startMm : pieceMm - mark.startMm - mark.widthMm };
    }
    case 'bite': {
      const [start, end] = mark.ends.map(({ side, mm }): SideMeasure => ({
        side: OTHER[side],
        mm: side === 'left' || side === 'right' ? mm : tileMm - mm,
      }));
      return { ...mark, ends: [end, start] };
    }
    case 'circle':
      return { ...mark, xMm: tileMm - mark.xMm };
    case 'window':
      return { ...mark, xMm: tileMm - mark.xMm - mark.widthMm };
    case 'path':
      return {
        ...mark,
        points: mark.points.map(([x, y]) => [tileMm - x, y] as const).reverse(),
        from: mark.to && OTHER[mark.to],
        to: mark.from && OTHER[mark.from],
      };
  }
}
