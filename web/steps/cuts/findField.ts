/** The field that a piece is found with, for the key that leads there. */
export const FIND_FIELD = 'find-piece';
