const FIRST_ROOM = 256;

/**
 * What lines leave of tiles in one trial, an entry for every line through a tile; numbers in arrays that are filled
 * again and again. Lengths in mm.
 */
export class CutList {
  count = 0;
  /** Which line, by its place; which tile, by its place in the table; which piece of the repeat. */
  line = new Int32Array(FIRST_ROOM);
  slot = new Int32Array(FIRST_ROOM);
  piece = new Int32Array(FIRST_ROOM);
  /** Where the cell of the tile begins. */
  sx = new Float64Array(FIRST_ROOM);
  sy = new Float64Array(FIRST_ROOM);
  /** The share of the tile that stays, what it is judged by, the whole tile that way, and the length along the line. */
  share = new Float64Array(FIRST_ROOM);
  thinnest = new Float64Array(FIRST_ROOM);
  full = new Float64Array(FIRST_ROOM);
  length = new Float64Array(FIRST_ROOM);
  /** How far the tile reaches beyond the line. */
  deepest = new Float64Array(FIRST_ROOM);

  /** Keeps what was written at the end. */
  keep(line: number, slot: number, piece: number, sx: number, sy: number): void {
    const at = this.count++;
    this.line[at] = line;
    this.slot[at] = slot;
    this.piece[at] = piece;
    this.sx[at] = sx;
    this.sy[at] = sy;
    if (this.count === this.line.length) this.lengthen();
  }

  private lengthen(): void {
    const room = 2 * this.line.length;
    const ints = (from: Int32Array): Int32Array<ArrayBuffer> => {
      const to = new Int32Array(room);
      to.set(from);
      return to;
    };
    const floats = (from: Float64Array): Float64Array<ArrayBuffer> => {
      const to = new Float64Array(room);
      to.set(from);
      return to;
    };
    [this.line, this.slot, this.piece] = [ints(this.line), ints(this.slot), ints(this.piece)];
    [this.sx, this.sy, this.share, this.thinnest] = [floats(this.sx), floats(this.sy), floats(this.share), floats(this.thinnest)];
    [this.full, this.length, this.deepest] = [floats(this.full), floats(this.length), floats(this.deepest)];
  }
}
