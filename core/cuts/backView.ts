import { boxOf, type Polygon, type Ring } from '../geometry/ring.ts';
import type { Mark, Side, SideMeasure } from './cutKind.ts';
import { flatLength, flatsOf, isLevel, type FlatMeasure, type FlatName } from './flats.ts';
import { setInTime } from './measuredFrom.ts';
import type { CutPiece } from './cutPiece.ts';

/** The side of a tile that is marked. */
export type MarkedSide = 'face' | 'back';

/** What is seen of a piece in its tile. */
export type SeenPiece = Pick<CutPiece, 'inTile' | 'tile' | 'marks' | 'hasWayUp'>;

const OTHER: Readonly<Record<Side, Side>> = { left: 'right', right: 'left', bottom: 'bottom', top: 'top' };
const otherFlat = (name: FlatName): FlatName => name.replace(/left|right/, (word) => (word === 'left' ? 'right' : 'left')) as FlatName;
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
  const turned = back(tile);
  return {
    inTile: inTile.map(back) as Polygon,
    tile: turned,
    hasWayUp,
    marks: setInTime(
      marks.map((mark) => markFromBack(mark, tile, maxX - minX, piece.maxX - piece.minX)),
      turned,
    ),
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
      const flats = flatsOf(tile) ?? [];
      const [start, end] = mark.ends.map(({ flat: name, mm }): FlatMeasure => {
        const own = flats.find((flat) => flat.name === name);
        return { flat: otherFlat(name), mm: own && isLevel(name) ? flatLength(own) - mm : mm };
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
