import { MINUTES } from '../../tile/cutKinds.ts';
import type { SetoutFigures } from '../tally/figures.ts';
import { HOLE } from './features.ts';
import type { TileTable } from './tileTable.ts';

/** A piece that one edge cuts in so many stretches is cut to a curve. */
const CURVED_STRETCHES = 3;

/** Pieces with one straight cut each, the minutes they take, and the tiles they come from. */
interface PlainWork {
  readonly pieces: number;
  readonly minutes: number;
  readonly opened: number;
}

/** Counts the pieces that were cut, those that are hard, the minutes they take and the tiles they come from. */
export function workOf(tiles: TileTable, plain: PlainWork, figures: SetoutFigures): void {
  let { pieces, minutes, opened } = plain;
  let hard = 0;
  for (let k = 0; k < tiles.count; k++) {
    // A tile of which the corner leaves nothing to set.
    if (tiles.lines[k] + tiles.notches[k] + tiles.round[k] === 0) continue;
    pieces++;
    const round = tiles.round[k];
    const notches = tiles.notches[k];
    const curved = tiles.ofOwner[k] >= CURVED_STRETCHES;
    if (round !== 0 || notches > 0 || curved) hard++;
    if (round !== 0) minutes += round === HOLE ? MINUTES.hole : MINUTES.halfHole;
    if (notches > 0) minutes += notches === 1 ? MINUTES.notch : MINUTES.uCut;
    if (curved) minutes += MINUTES.curve;
    else if (notches === 0) minutes += tiles.lines[k] * (tiles.narrow[k] === 1 ? MINUTES.rip : MINUTES.straight);
    // Two pieces of no more than half a tile come from one.
    opened += notches === 0 && round === 0 && tiles.share[k] <= 0.5 ? 0.5 : 1;
  }
  figures.cutPieces = pieces;
  figures.hardPieces = hard;
  figures.minutes = minutes;
  figures.opened = Math.ceil(opened);
}
