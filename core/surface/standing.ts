import { add, quarterTurn, scale, subtract, unit } from '../geometry/point.ts';
import type { Ring } from '../geometry/ring.ts';
import type { Traced } from './traceSurface.ts';

/** What stands between edges and the joints there, a strip each: the tile and bed of the face that runs through, a bullnose, the face of a profile. */
export const standingAlong = ({ edges }: Pick<Traced, 'edges'>): Ring[] =>
  edges
    .filter(({ endMm, gapMm }) => endMm > gapMm)
    .map(({ from, to, endMm, gapMm }): Ring => {
      const inward = scale(quarterTurn(unit(subtract(to, from))), endMm - gapMm);
      return [from, to, add(to, inward), add(from, inward)];
    });
