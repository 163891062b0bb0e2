/**
 * Work that may be put into a draw, in squares of the cell that are looked at: some seconds for the first, less for
 * each that is tried after it. Counted, not timed, so that the same seed draws the same cell everywhere.
 */
export const FIRST_DRAW_SQUARES = 12_000_000;
export const LATER_DRAW_SQUARES = 3_000_000;

/** What is left of the work for one draw. */
export interface Effort {
  /** Takes off what a step looked at; false once nothing is left. */
  spend(squares: number): boolean;
}

/** Starts counting. */
export function startEffort(most: number): Effort {
  let left = most;
  return {
    spend: (squares) => {
      left -= squares;
      return left > 0;
    },
  };
}
