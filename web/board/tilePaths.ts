import { chanceAt } from '@azulejo/core/pattern/colours';
import { isMixed } from '@azulejo/core/pattern/laying';
import { boxOf, isBox, type Box, type Ring } from '@azulejo/core/geometry/ring';
import { placementMotion } from '@azulejo/core/setout/place/layout';
import { productAt, type Field } from '@azulejo/core/setout/fields/field';

/** Pieces near each other, as paths in millimetres: one path for all that look alike. */
export interface Patch {
  readonly box: Box;
  readonly looks: ReadonlyMap<string, Look>;
}

/** Pieces that are painted alike. */
export interface Look {
  readonly productId: string;
  /** The colour of a chip that has one of its own; null for that of its tile. */
  readonly chipColour: string | null;
  /** Which of the slightly different shades, from 0; always 0 outside the finished look. */
  readonly shade: number;
  readonly path: Path2D;
}

/** Shades that the pieces of one tile differ by in the finished look. */
export const SHADES = 7;

/** So many pieces make a patch, so that those out of sight are passed over together. */
const PATCH_PIECES = 1200;

const known = new WeakMap<Field, { plain?: readonly Patch[]; finished?: readonly Patch[] }>();

/** The paths of the whole pieces of a field; made once for each layout. */
export function tilePatches(field: Field, finished: boolean): readonly Patch[] {
  const own = known.get(field) ?? {};
  const key = finished ? 'finished' : 'plain';
  const patches = own[key] ?? makePatches(field, finished);
  known.set(field, { ...own, [key]: patches });
  return patches;
}

function makePatches(field: Field, finished: boolean): Patch[] {
  const { layout, laid } = field;
  const { turn } = placementMotion(layout.placement);
  const [a, b] = layout.repeat.vectors;
  const mixed = isMixed(laid);
  const patches: Patch[] = [];
  let open = newPatch();
  const close = (): void => {
    if (open.count > 0) patches.push({ box: open.box, looks: open.looks });
    open = newPatch();
  };
  const runs = layout.wholeRuns;
  for (let k = 0; k < runs.length; k += 4) {
    const [piece, j, first, last] = [runs[k], runs[k + 1], runs[k + 2], runs[k + 3]];
    const { ring, colour = null } = layout.repeat.pieces[piece];
    const turned = outlineOf(ring.map(turn));
    const [ox, oy] = turn([0, 0]);
    for (let i = first; i <= last; i++) {
      const [x, y] = turn([i * a[0] + j * b[0], i * a[1] + j * b[1]]);
      const productId = mixed ? productAt(field, { piece, i, j }) : laid.productIds[piece];
      const shade = finished ? shadeAt(piece, i, j) : 0;
      addPiece(open, { productId, chipColour: colour, shade }, turned, x - ox, y - oy);
      if (++open.count >= PATCH_PIECES) close();
    }
  }
  close();
  return patches;
}

interface OpenPatch {
  box: { minX: number; minY: number; maxX: number; maxY: number };
  readonly looks: Map<string, Look>;
  count: number;
}

const newPatch = (): OpenPatch => ({
  box: { minX: Infinity, minY: Infinity, maxX: -Infinity, maxY: -Infinity },
  looks: new Map(),
  count: 0,
});

/** An outline with its box; upright rectangles are traced in one stroke of the pen, five times as fast. */
interface Outline {
  readonly ring: Ring;
  readonly box: Box;
  readonly upright: boolean;
}

const outlineOf = (ring: Ring): Outline => ({ ring, box: boxOf(ring), upright: ring.length === 4 && isBox(ring) });

function addPiece(patch: OpenPatch, look: Omit<Look, 'path'>, { ring, box: own, upright }: Outline, dx: number, dy: number): void {
  const key = `${look.productId} ${look.chipColour} ${look.shade}`;
  let looked = patch.looks.get(key);
  if (!looked) {
    looked = { ...look, path: new Path2D() };
    patch.looks.set(key, looked);
  }
  const { path } = looked;
  const { box } = patch;
  box.minX = Math.min(box.minX, own.minX + dx);
  box.maxX = Math.max(box.maxX, own.maxX + dx);
  box.minY = Math.min(box.minY, own.minY + dy);
  box.maxY = Math.max(box.maxY, own.maxY + dy);
  if (upright) {
    path.rect(own.minX + dx, own.minY + dy, own.maxX - own.minX, own.maxY - own.minY);
    return;
  }
  ring.forEach(([x, y], k) => {
    if (k === 0) path.moveTo(x + dx, y + dy);
    else path.lineTo(x + dx, y + dy);
  });
  path.closePath();
}

/** Which shade a piece has: as if drawn from the box, but the same each time. */
export function shadeAt(piece: number, i: number, j: number): number {
  return Math.floor(chanceAt({ piece, i, j }, 0) * SHADES);
}

/** The box of a ring is within sight. */
export const inSight = (a: Box, b: Box): boolean => a.minX <= b.maxX && a.maxX >= b.minX && a.minY <= b.maxY && a.maxY >= b.minY;

/** The smaller side of the first piece of a field, mm. */
export function smallestSide({ layout }: Field): number {
  const box = boxOf(layout.repeat.pieces[0].ring);
  return Math.min(box.maxX - box.minX, box.maxY - box.minY);
}
