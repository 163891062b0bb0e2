import type { Box } from '../../geometry/ring.ts';

/** A repeat of so many pieces is worth an index. */
const MANY_PIECES = 6;

/** A place so large that it takes more parts of the cell than this is not looked up. */
const MOST_PARTS = 9;

/** Which tiles lie near a place of the lattice: a cell is parted, and every part knows the boxes that reach into it. */
export class CellIndex {
  private readonly parts: number;
  /** For every part of the cell: piece, and the cell its tile belongs to less the cell that is looked at, three numbers each. */
  private readonly reaching: readonly Int32Array[];
  /** What was found: piece, i, j, three numbers each. */
  readonly found: number[] = [];

  /** `boxes` are those of the pieces in steps of the lattice; a tile counts as near within the slack. */
  constructor(boxes: readonly Box[], slackU: number, slackV: number) {
    this.parts = boxes.length < MANY_PIECES ? 0 : Math.min(40, Math.ceil(2 * Math.sqrt(boxes.length)));
    const lists = Array.from({ length: this.parts ** 2 }, (): number[] => []);
    if (this.parts > 0)
      boxes.forEach((box, piece) => {
        const [fromU, toU] = [this.partOf(box.minX - slackU), this.partOf(box.maxX + slackU)];
        const [fromV, toV] = [this.partOf(box.minY - slackV), this.partOf(box.maxY + slackV)];
        for (let u = fromU; u <= toU; u++)
          for (let v = fromV; v <= toV; v++) {
            const [cellU, cellV] = [Math.floor(u / this.parts), Math.floor(v / this.parts)];
            lists[(v - cellV * this.parts) * this.parts + (u - cellU * this.parts)].push(piece, -cellU, -cellV);
          }
      });
    this.reaching = lists.map((list) => Int32Array.from(list));
  }

  /** Finds every tile whose box reaches into a stretch of the lattice, each once; false where looking it up is not worth it. */
  find(lowU: number, highU: number, lowV: number, highV: number): boolean {
    const { parts, found } = this;
    if (parts === 0) return false;
    const [fromU, toU, fromV, toV] = [this.partOf(lowU), this.partOf(highU), this.partOf(lowV), this.partOf(highV)];
    if ((toU - fromU + 1) * (toV - fromV + 1) > MOST_PARTS) return false;
    found.length = 0;
    for (let v = fromV; v <= toV; v++)
      for (let u = fromU; u <= toU; u++) {
        const [cellU, cellV] = [Math.floor(u / parts), Math.floor(v / parts)];
        const list = this.reaching[(v - cellV * parts) * parts + (u - cellU * parts)];
        for (let k = 0; k < list.length; k += 3) this.put(list[k], list[k + 1] + cellU, list[k + 2] + cellV);
      }
    return true;
  }

  private put(piece: number, i: number, j: number): void {
    const { found } = this;
    for (let k = 0; k < found.length; k += 3) if (found[k] === piece && found[k + 1] === i && found[k + 2] === j) return;
    found.push(piece, i, j);
  }

  private partOf(steps: number): number {
    return Math.floor(steps * this.parts);
  }
}
