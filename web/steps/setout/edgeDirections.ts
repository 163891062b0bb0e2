import type { Axis } from '@azulejo/core/setout/axisPlacement';

/** The sides of a rectangular surface, in the order a key walks them. */
export const MAIN_EDGES = ['left', 'top', 'right', 'bottom'] as const;

/** The direction square to an edge; doorways open upright ones as well, but lie along their own wall. */
export const edgeAxis = (id: string): Axis => (id === 'left' || id === 'right' ? 'x' : 'y');

/** Whether an edge is where its direction starts: the left or the bottom. */
export const edgeIsStart = (id: string): boolean => id === 'left' || id === 'bottom';
