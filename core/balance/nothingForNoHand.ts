import { LEAST_CUT_MM } from '../geometry/conventions.ts';
import { distanceToStretch } from '../geometry/distanceToStretch.ts';
import { isInside } from '../geometry/ring.ts';
import type { Law } from './law.ts';

/** Reckoning and the arcs of tiles stray by less, mm. */
const STRAYS_MM = 0.1;

/** No piece is cut of which nobody could take anything off: somewhere it lacks half a millimetre of its tile at least. */
export const nothingForNoHand: Law = (_job, { surfaces }) =>
  surfaces.flatMap(({ surfaceId, cuts, fields }) =>
    cuts.flatMap(({ label, of, tile, inTile }) => {
      // Beside other pieces the joint is kept as it is meant.
      if (of === 'chip' || fields.length > 1) return [];
      const [outer, ...holes] = inTile;
      if (holes.length > 0) return [];
      const lost = Math.max(
        ...tile.map((p) =>
          isInside(p, [[outer]]) ? 0 : Math.min(...outer.map((from, k) => distanceToStretch(p, from, outer[(k + 1) % outer.length]))),
        ),
        // A bite out of a side leaves all corners of the tile.
        ...outer.map((p) =>
          isInside(p, [[tile]]) ? Math.min(...tile.map((from, k) => distanceToStretch(p, from, tile[(k + 1) % tile.length]))) : 0,
        ),
      );
      return lost >= LEAST_CUT_MM - STRAYS_MM ? [] : [`${label} of ${surfaceId} loses ${lost.toFixed(3)} mm`];
    }),
  );
