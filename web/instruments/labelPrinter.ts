/** What is printed on the label of a piece. */
export interface PieceLabel {
  /** Large. */
  readonly label: string;
  /** Small, below it. */
  readonly lines: readonly string[];
  /** Whether the tile has a way up, which an arrow tells. */
  readonly hasWayUp: boolean;
}

/** A label printer, as the product sees any of them. */
export interface LabelPrinter {
  /** What to show the person. */
  readonly name: string;
  /** Prints labels one after the other; rejects with words for the person when it can't, and tells how many came out. */
  readonly print: (labels: readonly PieceLabel[], printed: (count: number) => void) => Promise<void>;
}
