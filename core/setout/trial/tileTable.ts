/** Spreads tiles over a table. */
const hashOf = (part: number, piece: number, i: number, j: number): number =>
  Math.imul(part, 50331653) ^ Math.imul(piece, 73856093) ^ Math.imul(i, 19349663) ^ Math.imul(j, 83492791);

/** A table this full is made larger. */
const MOST_FULL = 0.5;

/**
 * Tiles that are cut in one trial, each once in each part of the region that it reaches into, with what is known of its cuts. Emptied by a new stamp, so that
 * thousands of trials leave nothing to be collected.
 */
export class TileTable {
  count = 0;
  /** By place in the table, in the order they were met: how many lines cut it, whose the first is, how often that one does. */
  lines = new Int32Array(256);
  owner = new Int32Array(256);
  ofOwner = new Int32Array(256);
  /** What stays of it by straight cuts alone, as a share. */
  share = new Float64Array(256);
  /** Whether a strip of it is narrow. */
  narrow = new Uint8Array(256);
  /** Corners of the boundary that reach into it. */
  notches = new Int32Array(256);
  /** 1 where something round bites into it, 2 where it comes through; 0 otherwise. */
  round = new Uint8Array(256);
  private parts = new Int32Array(256);
  private pieces = new Int32Array(256);
  private columns = new Int32Array(256);
  private rows = new Int32Array(256);
  private slots = new Int32Array(1024);
  private stamps = new Int32Array(1024);
  private stamp = 0;

  clear(): void {
    this.count = 0;
    this.stamp++;
  }

  /** Whether a tile is cut. */
  isCut(part: number, piece: number, i: number, j: number): boolean {
    const mask = this.slots.length - 1;
    let at = hashOf(part, piece, i, j) & mask;
    while (this.stamps[at] === this.stamp) {
      const slot = this.slots[at];
      if (this.parts[slot] === part && this.pieces[slot] === piece && this.columns[slot] === i && this.rows[slot] === j) return true;
      at = (at + 1) & mask;
    }
    return false;
  }

  /** The place of a tile, which is put in where it is new. */
  at(part: number, piece: number, i: number, j: number): number {
    const mask = this.slots.length - 1;
    let at = hashOf(part, piece, i, j) & mask;
    while (this.stamps[at] === this.stamp) {
      const slot = this.slots[at];
      if (this.parts[slot] === part && this.pieces[slot] === piece && this.columns[slot] === i && this.rows[slot] === j) return slot;
      at = (at + 1) & mask;
    }
    if (this.count >= this.slots.length * MOST_FULL) {
      this.enlarge();
      return this.at(part, piece, i, j);
    }
    const slot = this.count++;
    this.stamps[at] = this.stamp;
    this.slots[at] = slot;
    if (slot >= this.lines.length) this.lengthen();
    this.parts[slot] = part;
    this.pieces[slot] = piece;
    this.columns[slot] = i;
    this.rows[slot] = j;
    this.lines[slot] = 0;
    this.owner[slot] = -1;
    this.ofOwner[slot] = 0;
    this.share[slot] = 1;
    this.narrow[slot] = 0;
    this.notches[slot] = 0;
    this.round[slot] = 0;
    return slot;
  }

  private enlarge(): void {
    const size = this.slots.length * 2;
    this.slots = new Int32Array(size);
    this.stamps = new Int32Array(size);
    this.stamp = 1;
    const mask = size - 1;
    for (let slot = 0; slot < this.count; slot++) {
      let at = hashOf(this.parts[slot], this.pieces[slot], this.columns[slot], this.rows[slot]) & mask;
      while (this.stamps[at] === 1) at = (at + 1) & mask;
      this.stamps[at] = 1;
      this.slots[at] = slot;
    }
  }

  private lengthen(): void {
    const size = this.lines.length * 2;
    const ints = (from: Int32Array): Int32Array<ArrayBuffer> => {
      const to = new Int32Array(size);
      to.set(from);
      return to;
    };
    const bytes = (from: Uint8Array): Uint8Array<ArrayBuffer> => {
      const to = new Uint8Array(size);
      to.set(from);
      return to;
    };
    const share = new Float64Array(size);
    share.set(this.share);
    [this.lines, this.owner, this.ofOwner, this.notches] = [ints(this.lines), ints(this.owner), ints(this.ofOwner), ints(this.notches)];
    [this.parts, this.pieces, this.columns, this.rows] = [ints(this.parts), ints(this.pieces), ints(this.columns), ints(this.rows)];
    [this.narrow, this.round, this.share] = [bytes(this.narrow), bytes(this.round), share];
  }
}
