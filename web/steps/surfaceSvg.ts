import { boxOf, type Ring } from '@azulejo/core/geometry/ring';
import type { Traced } from '@azulejo/core/surface/traceSurface';

/** The frame of a surface drawn in small, with what is drawn beside it, up being up: its box with a rim, which is a share of its longer side. */
export function frameOf(
  { outline }: Pick<Traced, 'outline'>,
  rimShare: number,
  beside: readonly Ring[] = [],
): { readonly viewBox: string; readonly rimMm: number } {
  const { minX, minY, maxX, maxY } = boxOf([...outline, ...beside.flat()]);
  const rimMm = rimShare * Math.max(maxX - minX, maxY - minY);
  return { viewBox: `${minX - rimMm} ${-maxY - rimMm} ${maxX - minX + 2 * rimMm} ${maxY - minY + 2 * rimMm}`, rimMm };
}

/** Rings as one path of that frame. */
export const pathOf = (rings: readonly Ring[]): string =>
  rings.map((ring) => `M${ring.map(([x, y]) => `${x.toFixed(1)} ${(-y).toFixed(1)}`).join('L')}Z`).join('');
