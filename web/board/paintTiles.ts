import type { Polygon, Ring } from '@azulejo/core/geometry/ring';
import { productAt, type Field } from '@azulejo/core/setout/fields/field';
import { forEachWhole, tileRing } from '@azulejo/core/setout/place/layout';
import type { Drawing } from '@azulejo/core/plan/planned';
import type { DrawingPalette } from '../theme/drawingPalette.ts';
import { colourOf, type Faces } from './faces.ts';
import { grainFor, shaded } from './finish.ts';
import { inSight, shadeAt, smallestSide, tilePatches } from './tilePaths.ts';
import { toScreen, visibleBox, type ScreenSize, type View } from './view.ts';

/** What every painter draws with. */
export interface Brush {
  readonly context: CanvasRenderingContext2D;
  readonly view: View;
  readonly size: ScreenSize;
  readonly palette: DrawingPalette;
}

/** Adds a ring to the path of a brush. */
export function traceRing({ context, view }: Brush, ring: Ring): void {
  ring.forEach((point, k) => {
    const [x, y] = toScreen(view, point);
    if (k === 0) context.moveTo(x, y);
    else context.lineTo(x, y);
  });
  context.closePath();
}

/** Adds all rings of some polygons; fill with the even-odd rule. */
export const tracePolygons = (brush: Brush, polygons: readonly Polygon[]): void =>
  polygons.forEach((polygon) => polygon.forEach((ring) => traceRing(brush, ring)));

/** How the tiles of a field are painted. */
export interface TileLook {
  readonly faces: Faces;
  /** As it will look: shades, grain and grout, without the pencil. */
  readonly finished: boolean;
}

/** One field: its whole pieces, then those that are cut. */
export function paintField(brush: Brush, field: Field, look: TileLook): void {
  const { context, view } = brush;
  context.save();
  context.transform(view.scale, 0, 0, -view.scale, ...toScreen(view, [0, 0]));
  paintWholes(brush, field, look);
  context.restore();
  paintCutTiles(brush, field, look);
}

/** Fields that stay while the main one slides below: their joints are drawn round their pieces. */
export function paintFixedFields(brush: Brush, { fields }: Drawing, look: TileLook): void {
  const { context, view } = brush;
  for (const field of fields.filter(({ kind }) => kind !== 'main')) {
    context.beginPath();
    forEachWhole(field.layout, (address) => traceRing(brush, tileRing(field.layout, address)));
    for (const { polygons } of field.layout.cutTiles) tracePolygons(brush, polygons);
    context.strokeStyle = look.faces.jointColour;
    context.lineWidth = 2 * field.laid.jointMm * view.scale;
    context.stroke();
    paintField(brush, field, look);
  }
}

/** The floor in the colour of its joints, sealant included, then the pieces of every field. */
export function paintTiles(brush: Brush, { traced, fields }: Drawing, look: TileLook): void {
  const { context } = brush;
  context.beginPath();
  tracePolygons(brush, traced.floor);
  context.fillStyle = look.faces.jointColour;
  context.fill('evenodd');
  for (const field of fields) paintField(brush, field, look);
}

/** Whole pieces, a patch at a time; the brush draws in millimetres. */
function paintWholes({ context, view, size, palette }: Brush, field: Field, { faces, finished }: TileLook): void {
  const sidePx = smallestSide(field) * view.scale;
  const seen = visibleBox(view, size);
  for (const { box, looks } of tilePatches(field, finished)) {
    if (!inSight(box, seen)) continue;
    for (const { productId, chipColour, shade, path } of looks.values()) {
      const tile = faces.tiles.get(productId);
      const colour = chipColour ?? colourOf(faces, productId);
      context.fillStyle = finished ? shaded(colour, shade, tile?.material) : colour;
      context.fill(path);
      if (finished && tile && sidePx > GRAIN_PX_SIDE) fillGrain(context, tile, path, shade);
      if (sidePx < STROKED_TILE_PX) continue;
      context.strokeStyle = finished ? FINISHED_EDGE : palette.pieceLine;
      context.lineWidth = 1 / view.scale;
      context.stroke(path);
    }
  }
}

/** Pieces smaller than this on screen have no outline: their joints part them, pixels. */
const STROKED_TILE_PX = 6;

/** The grain of a face is seen on pieces larger than this, pixels. */
const GRAIN_PX_SIDE = 14;

/** Millimetres that the texture of a face stands for. */
const GRAIN_MM = 420;

const FINISHED_EDGE = 'rgba(20,24,28,0.16)';

/** The grain of a face over a path, or over the path that is open, where a unit is so many pixels. */
function fillGrain(
  context: CanvasRenderingContext2D,
  tile: NonNullable<ReturnType<Faces['tiles']['get']>>,
  path: Path2D | null,
  shade: number,
  pxPerUnit = 1,
): void {
  const texture = grainFor(tile);
  const pattern = texture && context.createPattern(texture, 'repeat');
  if (!pattern) return;
  const scale = (GRAIN_MM * pxPerUnit) / texture.width;
  pattern.setTransform(new DOMMatrix().translate(shade * 97, shade * 61).scale(scale, scale));
  context.fillStyle = pattern;
  if (path) context.fill(path);
  else context.fill('evenodd');
}

/** Cut pieces as they lie. */
function paintCutTiles(brush: Brush, field: Field, { faces, finished }: TileLook): void {
  const { context, palette, view } = brush;
  const sidePx = smallestSide(field) * view.scale;
  const stroked = sidePx >= STROKED_TILE_PX;
  for (const tile of field.layout.cutTiles) {
    const productId = productAt(field, tile);
    const colour = field.layout.repeat.pieces[tile.piece].colour ?? colourOf(faces, productId);
    context.beginPath();
    tracePolygons(brush, tile.polygons);
    const face = faces.tiles.get(productId);
    const shade = shadeAt(tile.piece, tile.i, tile.j);
    context.fillStyle = finished ? shaded(colour, shade, face?.material) : colour;
    context.fill('evenodd');
    if (finished && face && sidePx > GRAIN_PX_SIDE) fillGrain(context, face, null, shade, view.scale);
    if (!stroked) continue;
    context.strokeStyle = finished ? FINISHED_EDGE : palette.pieceLine;
    context.lineWidth = 1;
    context.stroke();
  }
}

const OVER_PX = 12;
const OVER_FONT = `600 ${OVER_PX}px "Barlow Condensed", sans-serif`;

/** How much room a text written over tiles takes, pixels. */
export function overSize({ context }: Brush, text: string): ScreenSize {
  context.font = OVER_FONT;
  return { width: context.measureText(text).width + 6, height: OVER_PX + 3 };
}

/** Writes a short text over tiles, on a ground that keeps it readable. */
export function writeOver(brush: Brush, text: string, x: number, y: number): void {
  const { context, palette } = brush;
  const { width, height } = overSize(brush, text);
  context.fillStyle = palette.labelHalo;
  context.beginPath();
  context.roundRect(x - width / 2, y - height / 2, width, height, 3);
  context.fill();
  context.fillStyle = palette.label;
  context.textAlign = 'center';
  context.textBaseline = 'middle';
  context.fillText(text, x, y + 0.5);
}
