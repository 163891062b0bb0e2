import { z } from 'zod';
import { add, distance, quarterTurn, scale, subtract, unit, type Point } from '../geometry/point.ts';
import { gapSchema } from '../units/lengthSchema.ts';
import type { NamedRing } from './shapes/shapeKind.ts';

/** The edge a wall stands on (tray, bath, worktop, floor), read at points from a level line above it. */
export const baseLineSchema = z.strictObject({
  edge: z.string().describe('The edge that is read'),
  readings: z
    .array(
      z.strictObject({
        alongMm: gapSchema.describe('Along the edge from where it starts, mm'),
        downMm: gapSchema.describe('From the level line down to the base, mm'),
      }),
    )
    .min(2)
    .max(60),
});

/** A base line as read. */
export type BaseLine = z.infer<typeof baseLineSchema>;

/** How a base runs, against its first reading. */
export interface BaseFigures {
  /** Height of the base at each reading over that at the first, mm; below zero where it falls away. */
  readonly heightsMm: readonly number[];
  /** The reading where the base is lowest, and highest. */
  readonly lowest: number;
  readonly highest: number;
  /** Between the lowest and the highest point, mm. */
  readonly runOutMm: number;
}

/** Heights of a base along its readings. */
export function baseFigures({ readings }: BaseLine): BaseFigures {
  const heightsMm = readings.map(({ downMm }) => readings[0].downMm - downMm);
  const [low, high] = [Math.min(...heightsMm), Math.max(...heightsMm)];
  return { heightsMm, lowest: heightsMm.indexOf(low), highest: heightsMm.indexOf(high), runOutMm: high - low };
}

/**
 * Bends the edge of an outline to its base as read; the outline is true at the first reading, and the
 * last one holds to the corner.
 *
 *      +-----------+
 *      |           |      the base falls to the right,
 *      +----___    |      so the right end comes down
 *              ----+
 */
export function bendToBase(outline: NamedRing, base: BaseLine | null): NamedRing {
  const k = base ? outline.edgeIds.indexOf(base.edge) : -1;
  if (!base || k === -1 || outline.edgeIds.lastIndexOf(base.edge) !== k) return outline;
  const { ring, edgeIds } = outline;
  const [from, to] = [ring[k], ring[(k + 1) % ring.length]];
  const lengthMm = distance(from, to);
  const along = unit(subtract(to, from));
  const { heightsMm } = baseFigures(base);
  const points = base.readings.map(({ alongMm }, m): Point =>
    add(add(from, scale(along, alongMm)), scale(quarterTurn(along), heightsMm[m])),
  );
  const inside = (m: number): boolean => base.readings[m].alongMm > 0 && base.readings[m].alongMm < lengthMm;
  const between = points.filter((_, m) => inside(m));
  const last = (k + 1) % ring.length;
  const endUp = scale(quarterTurn(along), heightsMm[heightsMm.length - 1]);
  const bent = ring.map((corner, m) => (m === last ? add(corner, endUp) : corner));
  return {
    ...outline,
    ring: [...bent.slice(0, k + 1), ...between, ...bent.slice(k + 1)],
    edgeIds: [...edgeIds.slice(0, k + 1), ...between.map(() => base.edge), ...edgeIds.slice(k + 1)],
  };
}
