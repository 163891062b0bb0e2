import { distance } from '@azulejo/core/geometry/point';
import { boxOf, ringArea } from '@azulejo/core/geometry/ring';
import { cellShift } from '@azulejo/core/pattern/repeat';
import type { Drawing } from '@azulejo/core/planning/planned';
import { productAt, type Field } from '@azulejo/core/setout/fields/field';
import { forEachWhole, placementMotion } from '@azulejo/core/setout/place/layout';
import { hasWayUp } from '@azulejo/core/tile/product';
import type { Faces } from './faces.ts';
import type { Brush } from './paintTiles.ts';
import { smallestSide } from './tilePaths.ts';
import { toScreen } from './view.ts';

/** Arrows are drawn on tiles larger than this, pixels, and on no more than so many. */
const LEAST_SIDE_PX = 26;
const MOST_ARROWS = 3000;
const LONGEST_PX = 22;

/** Which way up whole tiles lie, where their face or the arrow on their back tells. */
export function paintArrows(brush: Brush, { fields }: Drawing, faces: Faces): void {
  for (const field of fields) {
    const sidePx = narrowest(field) * brush.view.scale;
    if (sidePx >= LEAST_SIDE_PX && field.layout.wholeCount <= MOST_ARROWS && !field.layout.repeat.sheet)
      paintField(brush, field, faces, sidePx);
  }
}

/** How wide the pieces of a field are at most across: a strip that lies askew has a large box, mm. */
function narrowest(field: Field): number {
  const [{ ring }] = field.layout.repeat.pieces;
  const longest = Math.max(...ring.map((p, k) => distance(p, ring[(k + 1) % ring.length])));
  return Math.min(smallestSide(field), ringArea(ring) / longest);
}

function paintField(brush: Brush, field: Field, faces: Faces, sidePx: number): void {
  const { context, view, palette } = brush;
  const { layout } = field;
  const { turn } = placementMotion(layout.placement);
  const middles = layout.repeat.pieces.map(({ ring }) => {
    const { minX, minY, maxX, maxY } = boxOf(ring);
    return [(minX + maxX) / 2, (minY + maxY) / 2] as const;
  });
  const long = Math.min(LONGEST_PX, sidePx * 0.5);
  context.beginPath();
  forEachWhole(layout, (address) => {
    const product = faces.tiles.get(productAt(field, address));
    if (!product || !hasWayUp(product)) return;
    const [dx, dy] = cellShift(layout.repeat, address.i, address.j);
    const [mx, my] = middles[address.piece];
    const [x, y] = toScreen(view, turn([mx + dx, my + dy]));
    const up = ((layout.repeat.pieces[address.piece].turnDeg + layout.placement.turnDeg + 90) * Math.PI) / 180;
    const at = (along: number, aside: number): [number, number] => [
      x + along * Math.cos(up) + aside * Math.sin(up),
      y - along * Math.sin(up) + aside * Math.cos(up),
    ];
    context.moveTo(...at(-long / 2, 0));
    context.lineTo(...at(long / 2, 0));
    context.moveTo(...at(long / 2 - 5, -4));
    context.lineTo(...at(long / 2, 0));
    context.lineTo(...at(long / 2 - 5, 4));
  });
  context.strokeStyle = palette.arrow;
  context.lineWidth = 1.3;
  context.stroke();
}
