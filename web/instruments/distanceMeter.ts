/** A laser distance meter, as the product sees any of them. */
export interface DistanceMeter {
  /** What to show the person. */
  readonly name: string;
  /** Finds the device; rejects with words for the person when there is none. */
  readonly connect: () => Promise<void>;
  readonly disconnect: () => void;
  /** Calls back with each distance the device reads, mm. */
  readonly onReading: (take: (mm: number) => void) => void;
}
