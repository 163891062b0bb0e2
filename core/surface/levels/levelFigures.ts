import { ROUNDED_OFTEN } from '../../tolerances.ts';
import { boxOf, isInside, polygonsArea, type Box, type Polygon } from '../../geometry/ring.ts';
import type { Point } from '../../geometry/point.ts';
import { flatnessLimit, worstGap, type FlatnessLimit, type Practice, type WorstGap } from './flatness.ts';
import { heightField, type HeightField } from './heightField.ts';
import type { Levels } from './levels.ts';

/** One reading with what is to be laid over it. */
export interface LevelPad {
  readonly id: string;
  readonly at: Point;
  /** Over the lowest reading, mm. */
  readonly heightMm: number;
  /** What is laid here so that all ends up level, mm: the height of a pad. */
  readonly thicknessMm: number;
}

/** What the levels of a surface come to. */
export interface LevelFigures {
  readonly pads: readonly LevelPad[];
  readonly highest: string;
  readonly lowest: string;
  /** Between the highest and the lowest reading, mm. */
  readonly rangeMm: number;
  /** Mean thickness of the fill over the surface, mm. */
  readonly meanMm: number;
  readonly areaMm2: number;
  readonly volumeLitres: number;
  readonly flatness: { readonly limit: FlatnessLimit; readonly worst: WorstGap; readonly holds: boolean };
}

/** The level figures of a surface over its region; null before there are three readings. */
export function levelFigures(levels: Levels, region: readonly Polygon[], practice: Practice, longestSideMm: number): LevelFigures | null {
  if (levels.readings.length < 3 || region.length === 0) return null;
  const height = heightField(levels.readings);
  const box = boxOf(region.flat(2));
  const heights = levels.readings.map(({ downMm }) => -downMm);
  const [low, high] = [Math.min(...heights), Math.max(...heights)];
  const finish = high + levels.leastMm;
  const { mean, areaMm2 } = meanOver(height, region, box);
  const limit = flatnessLimit(practice, longestSideMm);
  const worst = worstGap(height, region, box, limit.straightedgeMm);
  return {
    pads: levels.readings.map(({ id, xMm, yMm }, k) => ({
      id,
      at: [xMm, yMm],
      heightMm: heights[k] - low,
      thicknessMm: finish - heights[k],
    })),
    highest: levels.readings[heights.indexOf(high)].id,
    lowest: levels.readings[heights.indexOf(low)].id,
    rangeMm: high - low,
    meanMm: finish - mean,
    areaMm2,
    volumeLitres: ((finish - mean) * areaMm2) / 1e6,
    flatness: { limit, worst, holds: worst.gapMm <= limit.gapMm + ROUNDED_OFTEN },
  };
}

const CELLS = 120;

/** Mean of a height over a region, by cells whose middles lie inside. */
function meanOver(height: HeightField, region: readonly Polygon[], box: Box): { mean: number; areaMm2: number } {
  const step = Math.max(box.maxX - box.minX, box.maxY - box.minY) / CELLS;
  let [sum, count] = [0, 0];
  for (let x = box.minX + step / 2; x < box.maxX; x += step) {
    for (let y = box.minY + step / 2; y < box.maxY; y += step) {
      if (!isInside([x, y], region)) continue;
      sum += height([x, y]);
      count++;
    }
  }
  return { mean: count === 0 ? 0 : sum / count, areaMm2: polygonsArea(region) };
}
