import type { Axis } from '@azulejo/core/setout/choice/axisPlacement';
import { SIDES, type MainEdges, type SurfaceSide } from '@azulejo/core/surface/sides';

/** The sides in the order a key walks them. */
export const WALKED_SIDES = ['left', 'top', 'right', 'bottom'] as const satisfies readonly SurfaceSide[];

/** The side whose rows an edge ends; the left where it ends none. */
export const sideOfEdge = (sides: MainEdges, id: string): SurfaceSide => SIDES.find((side) => sides[side] === id) ?? 'left';

/** The direction square to a side. */
export const sideAxis = (side: SurfaceSide): Axis => (side === 'left' || side === 'right' ? 'x' : 'y');

/** Whether a direction starts at a side: the left or the bottom. */
export const sideIsStart = (side: SurfaceSide): boolean => side === 'left' || side === 'bottom';
