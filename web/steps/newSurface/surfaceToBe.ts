import type { Shape } from '@azulejo/core/surface/shapes/registry';

/** A surface whose lengths are not all there yet. */
export interface SurfaceToBe {
  /** Its shape, with usual figures in place of those that are not known. */
  readonly shape: Shape;
  /** What is still to be measured, in the order it is taken. */
  readonly toGo: readonly string[];
}
