import { oncePer } from '../oncePer.ts';
import { distance, subtract, type Point } from '../geometry/point.ts';
import type { Ring } from '../geometry/ring.ts';

/** The straight sides of a tile of many sides, by the way they look; round to the left from the right. */
export const FLATS = ['right', 'upper right', 'top', 'upper left', 'left', 'lower left', 'bottom', 'lower right'] as const;

export type FlatName = (typeof FLATS)[number];

/** A flat, from its lower end up, or from its left end where it lies at the top or the bottom. */
export interface Flat {
  readonly name: FlatName;
  readonly from: Point;
  readonly to: Point;
}

/** A place on a flat: so far from where it begins, mm. */
export interface FlatMeasure {
  readonly flat: FlatName;
  readonly mm: number;
}

/** The flats of a tile; null where two look the same way, so that no name tells which is meant. */
export const flatsOf = oncePer((tile: Ring): readonly Flat[] | null => {
  const flats = tile.length > FLATS.length ? [] : tile.map((corner, k) => flatFrom(corner, tile[(k + 1) % tile.length]));
  return flats.length > 0 && new Set(flats.map(({ name }) => name)).size === flats.length ? flats : null;
});

function flatFrom(corner: Point, next: Point): Flat {
  const [x, y] = subtract(next, corner);
  // The tile lies to the left of its side, so the side looks a quarter turn to the right.
  const eighths = Math.round(Math.atan2(-x, y) / (Math.PI / 4));
  const name = FLATS[(eighths + FLATS.length) % FLATS.length];
  const isBegin = isLevel(name) ? corner[0] < next[0] : corner[1] < next[1];
  return isBegin ? { name, from: corner, to: next } : { name, from: next, to: corner };
}

/** Whether a flat is measured from the left, and not up. */
export const isLevel = (name: FlatName): boolean => name === 'top' || name === 'bottom';

/** How long a flat is, mm. */
export const flatLength = ({ from, to }: Flat): number => distance(from, to);
