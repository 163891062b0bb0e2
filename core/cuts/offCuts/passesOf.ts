import { boxOf, isBox, type Box, type Polygon, type Ring } from '../../geometry/ring.ts';
import type { Side } from '../cutKind.ts';

/** Nearer than this two edges are one, mm. */
const SAME_MM = 0.1;

/** A straight cut right through a part of a tile. */
export interface Pass {
  /** Where the blade runs, the edge that is kept, mm in the tile's frame. */
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
  /** The edge of the part in hand that lies at the fence, and what the fence is set to, mm. */
  readonly side: Side;
  readonly mm: number;
}

/**
 * The passes that take pieces out of a tile, each through the whole of the part that is then in hand: first those that part
 * pieces from each other, then those that trim each to its box. Null where pieces nest in each other's notches, so that no
 * row of such passes takes them apart, and for tiles that are no rectangles.
 */
export function passesOf(tile: Ring, outlines: readonly Polygon[], kerfMm: number): Pass[] | null {
  if (!isBox(tile)) return null;
  const passes: Pass[] = [];
  const takeApart = (part: Box, boxes: readonly Box[]): boolean => {
    if (boxes.length === 0) return true;
    const cut = nextCut(part, boxes, kerfMm);
    if (cut === null) return boxes.length === 1;
    passes.push(cut.pass);
    const within = (half: Box): Box[] => boxes.filter((box) => isIn(box, half));
    const [low, high] = [within(cut.low), within(cut.high)];
    if (low.length + high.length < boxes.length) return false;
    return takeApart(cut.low, low) && takeApart(cut.high, high);
  };
  const done = takeApart(
    boxOf(tile),
    outlines.map(([outer]) => boxOf(outer)),
  );
  return done ? passes : null;
}

const isIn = (box: Box, { minX, minY, maxX, maxY }: Box): boolean =>
  box.minX > minX - SAME_MM && box.maxX < maxX + SAME_MM && box.minY > minY - SAME_MM && box.maxY < maxY + SAME_MM;

interface Cut {
  readonly pass: Pass;
  readonly low: Box;
  readonly high: Box;
  /** How many pieces lie on the side that has fewer; more is better. */
  readonly parts: number;
}

/** The cut that parts most pieces from each other; among equals the shortest, which is made soonest. */
function nextCut(part: Box, boxes: readonly Box[], kerfMm: number): Cut | null {
  const cuts = boxes.flatMap((box) => [
    cutAt(part, boxes, 'x', box.maxX, 'low', kerfMm),
    cutAt(part, boxes, 'x', box.minX, 'high', kerfMm),
    cutAt(part, boxes, 'y', box.maxY, 'low', kerfMm),
    cutAt(part, boxes, 'y', box.minY, 'high', kerfMm),
  ]);
  const lengthOf = ({ pass: { from, to } }: Cut): number => Math.abs(to[0] - from[0]) + Math.abs(to[1] - from[1]);
  return cuts.reduce<Cut | null>((best, cut) => {
    if (!cut || !best) return cut ?? best;
    return cut.parts > best.parts || (cut.parts === best.parts && lengthOf(cut) < lengthOf(best) - SAME_MM) ? cut : best;
  }, null);
}

/** A cut across one axis that keeps a piece on its low or its high side; null where it would run through a piece or cut nothing off. */
function cutAt(part: Box, boxes: readonly Box[], axis: 'x' | 'y', at: number, keeps: 'low' | 'high', kerfMm: number): Cut | null {
  const [start, end] = axis === 'x' ? [part.minX, part.maxX] : [part.minY, part.maxY];
  if (at < start + SAME_MM || at > end - SAME_MM) return null;
  const spanOf = (box: Box): readonly [number, number] => (axis === 'x' ? [box.minX, box.maxX] : [box.minY, box.maxY]);
  // The blade takes its width on the side that is not kept; at the rim of the tile there may be less to take.
  const [bladeFrom, bladeTo] = keeps === 'low' ? [at, Math.min(end, at + kerfMm)] : [Math.max(start, at - kerfMm), at];
  const isCrossed = boxes.some((box) => {
    const [low, high] = spanOf(box);
    return low < bladeTo - 2 * SAME_MM && high > bladeFrom + 2 * SAME_MM;
  });
  if (isCrossed) return null;
  const lows = boxes.filter((box) => spanOf(box)[1] <= bladeFrom + 2 * SAME_MM).length;
  const [low, high]: [Box, Box] =
    axis === 'x'
      ? [
          { ...part, maxX: bladeFrom },
          { ...part, minX: bladeTo },
        ]
      : [
          { ...part, maxY: bladeFrom },
          { ...part, minY: bladeTo },
        ];
  const side: Side = axis === 'x' ? (keeps === 'low' ? 'left' : 'right') : keeps === 'low' ? 'bottom' : 'top';
  const [from, to] =
    axis === 'x'
      ? ([
          [at, part.minY],
          [at, part.maxY],
        ] as const)
      : ([
          [part.minX, at],
          [part.maxX, at],
        ] as const);
  return {
    pass: { from, to, side, mm: keeps === 'low' ? at - start : end - at },
    low,
    high,
    parts: Math.min(lows, boxes.length - lows),
  };
}
