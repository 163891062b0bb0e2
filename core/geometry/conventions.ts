import { HAIR_MM, ON_ARC_MM, ON_LINE_MM, SEEN_MM } from '../tolerances.ts';

/**
 * The conventions every figure of the computation keeps. Read this before touching geometry.
 *
 *        y ^          x runs right, y runs up. A floor is seen from above, a wall from the front.
 *          |          Lengths are millimetres. Areas are square millimetres.
 *          +---> x    Angles are degrees, counter-clockwise from +x.
 *
 * Rings are not closed twice: the last point is joined to the first.
 * Outer rings run counter-clockwise (positive area), holes clockwise; the inside is on the left.
 */

/** Polygon clipping works on whole numbers: this many of them make one millimetre (0.1 micrometre). */
export const CLIP_UNITS_PER_MM = 10_000;

/** How far a polygon that stands for an arc may stray from it, in mm. */
export const ARC_SAGITTA_MM = ON_LINE_MM;

/** The same for the round sides of tiles, of which a floor may have thousands; a tenth of what a saw can hold. */
export const TILE_SAGITTA_MM = ON_ARC_MM;

/** A joint or gap that is out by no more than this is as it was meant, in mm: a twentieth is seen by nobody. */
export const WHOLE_SLACK_MM = HAIR_MM;

/** No hand cuts less than this off a tile, in mm (trade practice): it is laid whole, and the joint or gap gives it. */
export const LEAST_CUT_MM = SEEN_MM;

/** What is narrower than this is no piece: nobody can cut or set it, and the joint takes it. */
export const SMALLEST_PIECE_WIDTH_MM = 1.5;
