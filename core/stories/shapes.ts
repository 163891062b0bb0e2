import { makeSheet } from '../pattern/makeSheet.ts';
import { wallsThrough } from '../surface/shapes/asWalls.ts';
import type { Shape } from '../surface/shapes/registry.ts';
import type { Sheet } from '../tile/sheet/sheet.ts';

/** A rectangle, mm. */
export const plain = (widthMm: number, heightMm: number): Shape => ({ kind: 'rectangle', widthMm, heightMm });
/** An outline through its corners, mm, with the edges that bulge, by how far. */
export const through = (points: readonly (readonly [number, number])[], curves: Record<number, number> = {}): Shape =>
  wallsThrough(
    points,
    points.map((_, k) => ({
      id: `w${k + 1}`,
      name: '',
      curve: curves[k] === undefined ? null : { by: 'rise' as const, riseMm: curves[k], bulges: 'out' as const },
    })),
  );
/** A full piece at the low end. */
export const start = { rule: 'fullFromStart' } as const;

/** Chips of 48 and joints of 2, six by six. */
export const squares = (): Sheet => {
  const chip = { widthMm: 48, heightMm: 48, jointMm: 2, shape: { kind: 'rectangle' } as const };
  const sheet = makeSheet({ kind: 'stack', lay: 'lying' }, chip, { widthMm: 298, heightMm: 298 }, ['#335577']);
  if (!sheet) throw new Error('chips of 48 make a sheet of 298');
  return sheet;
};
