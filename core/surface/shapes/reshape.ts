import { boxOf } from '../../geometry/ring.ts';
import { asWalls } from './asWalls.ts';
import { outlineOf, SHAPES, type Shape, type ShapeId } from './registry.ts';

/** Another kind of shape of about the same size: its usual figures, stretched to the box of the first. Rounded to whole mm. */
export function reshape(shape: Shape, kind: ShapeId): Shape {
  if (kind === 'walls') return asWalls(shape);
  const size = sizeOf(shape);
  if (kind === 'rectangle') return { kind, widthMm: size.widthMm, heightMm: size.heightMm };
  const { defaults } = SHAPES[kind];
  const usual = sizeOf(defaults);
  const share = Math.min(size.widthMm / usual.widthMm, size.heightMm / usual.heightMm);
  const stretched = Object.entries(defaults).map(([field, value]) => [
    field,
    typeof value === 'number' ? Math.round(value * share) : value,
  ]);
  return { ...defaults, ...Object.fromEntries(stretched) } as Shape;
}

function sizeOf(shape: Shape): { readonly widthMm: number; readonly heightMm: number } {
  const { minX, minY, maxX, maxY } = boxOf(outlineOf(shape).ring);
  return { widthMm: maxX - minX, heightMm: maxY - minY };
}
