/** Corners a drawing may have: an outline has some hundreds, and whatever is worked out from them grows with their square. */
export const MOST_CORNERS = 6000;

/** A drawing has more corners than are read. */
export class TooManyCorners extends Error {}

/** Counts the corners of a drawing while it is read, so that nothing is built up that is then refused. */
export interface DrawnBudget {
  /** Throws TooManyCorners once there are too many. */
  spend(corners: number): void;
}

/** Starts the count. */
export function startBudget(): DrawnBudget {
  let left = MOST_CORNERS;
  return {
    spend: (corners) => {
      left -= corners;
      if (left < 0) throw new TooManyCorners(`a drawing of more than ${MOST_CORNERS} corners`);
    },
  };
}
