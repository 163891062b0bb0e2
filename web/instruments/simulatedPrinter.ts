import type { LabelPrinter, PieceLabel } from './labelPrinter.ts';

/** Labels on a roll. */
export const ROLL = 60;

/** A label takes this long, ms. */
const LABEL_MS = 60;

/** A stand-in for a label printer: what it prints is kept as a strip, and its roll comes to an end. */
export interface SimulatedPrinter extends LabelPrinter {
  /** What came out, the last one last. */
  readonly strip: readonly PieceLabel[];
  /** Labels left on the roll. */
  readonly left: number;
  /** Puts a new roll in. */
  readonly reload: () => void;
  /** Tears the strip off. */
  readonly tear: () => void;
}

/** Makes a simulated printer. */
export function makeSimulatedPrinter(): SimulatedPrinter {
  let strip: readonly PieceLabel[] = [];
  let left = ROLL;
  return {
    name: 'Simulated label printer',
    get strip() {
      return strip;
    },
    get left() {
      return left;
    },
    reload: () => {
      left = ROLL;
    },
    tear: () => {
      strip = [];
    },
    print: async (labels, printed) => {
      for (const [k, label] of labels.entries()) {
        if (left === 0) throw new Error(`The roll is empty after ${k} of ${labels.length} labels. Put a new one in; the rest follows.`);
        await new Promise((done) => setTimeout(done, LABEL_MS));
        strip = [...strip, label];
        left--;
        printed(k + 1);
      }
    },
  };
}
