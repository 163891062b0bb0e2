/**
 * Work that may be put into one draw, in squares of the cell that are looked at: about a second of it. Counted, not
 * timed, so that the same seed draws the same cell everywhere.
 */
const MOST_SQUARES = 4_000_000;

/** What is left of the work for one draw. */
export interface Effort {
  /** Takes off what a step looked at; false once nothing is left. */
  spend(squares: number): boolean;
}

/** Starts counting. */
export function startEffort(most = MOST_SQUARES): Effort {
  let left = most;
  return {
    spend: (squares) => {
      left -= squares;
      return left > 0;
    },
  };
}
