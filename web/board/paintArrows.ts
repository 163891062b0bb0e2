import type { Drawing } from '@azulejo/core/plan/planned';
import type { Field } from '@azulejo/core/setout/fields/field';
import { forEachWayUp, narrowestTile } from '@azulejo/core/setout/fields/wayUp';
import { hasWayUp } from '@azulejo/core/tile/product';
import type { Faces } from './faces.ts';
import type { Brush } from './paintTiles.ts';
import { toScreen } from './view.ts';

/** Arrows are drawn on tiles larger than this, pixels, and on no more than so many. */
const LEAST_SIDE_PX = 26;
const MOST_ARROWS = 3000;
const LONGEST_PX = 22;

/** Which way up whole tiles lie, where their face or the arrow on their back tells. */
export function paintArrows(brush: Brush, { fields }: Drawing, faces: Faces): void {
  for (const field of fields) {
    const sidePx = narrowestTile(field) * brush.view.scale;
    if (sidePx >= LEAST_SIDE_PX && field.layout.wholeCount <= MOST_ARROWS && !field.layout.repeat.sheet)
      paintField(brush, field, faces, sidePx);
  }
}

function paintField({ context, view, palette }: Brush, field: Field, faces: Faces, sidePx: number): void {
  const isDirectional = (productId: string): boolean => {
    const product = faces.tiles.get(productId);
    return product !== undefined && hasWayUp(product);
  };
  const long = Math.min(LONGEST_PX, sidePx * 0.5);
  context.beginPath();
  forEachWayUp(field, isDirectional, (middle, topDeg) => {
    const [x, y] = toScreen(view, middle);
    const up = (topDeg * Math.PI) / 180;
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
