import { distance, subtract } from '../geometry/point.ts';
import type { Edge } from './edge.ts';

/** The four ways an edge can face. */
export const SIDES = ['left', 'right', 'bottom', 'top'] as const;

/** One of the four. */
export type SurfaceSide = (typeof SIDES)[number];

/** The edge that ends the rows on each side, by name; null where none faces that way. */
export type MainEdges = Readonly<Record<SurfaceSide, string | null>>;

/** Which way a straight stretch faces, away from the surface. */
export function sideOf({ from, to }: Pick<Edge, 'from' | 'to'>): SurfaceSide {
  const [x, y] = subtract(to, from);
  if (Math.abs(x) >= Math.abs(y)) return x > 0 ? 'bottom' : 'top';
  return y > 0 ? 'right' : 'left';
}

/** The longest edge of those that face each way; doorways and their reveals only where nothing else does. */
export function mainEdges(edges: readonly Edge[], doorIds: ReadonlySet<string>): MainEdges {
  const longest = (side: SurfaceSide): string | null => {
    const lengths = new Map<string, number>();
    for (const edge of edges) {
      if (edge.isReveal || doorIds.has(edge.id) || sideOf(edge) !== side) continue;
      lengths.set(edge.id, (lengths.get(edge.id) ?? 0) + distance(edge.from, edge.to));
    }
    return (
      [...lengths].reduce<readonly [string, number] | null>((best, entry) => (best && best[1] >= entry[1] ? best : entry), null)?.[0] ??
      null
    );
  };
  return { left: longest('left'), right: longest('right'), bottom: longest('bottom'), top: longest('top') };
}
