import { HAIR_MM } from '../../tolerances.ts';
import type { BaseFigures, BaseLine } from '../../surface/baseLine.ts';
import type { BuildUpFigures } from '../../surface/buildUp.ts';
import type { LevelFigures } from '../../surface/levels/levelFigures.ts';
import type { Levels } from '../../surface/levels/levels.ts';
import { formatArea } from '../../units/formatArea.ts';
import { formatLength, formatLengthWithUnit } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';

/** What the levels of a surface come to, a sentence a figure. */
export function describeLevels(figures: LevelFigures, { fill, leastMm }: Pick<Levels, 'fill' | 'leastMm'>, tape: Tape): string[] {
  const length = (mm: number): string => formatLengthWithUnit(mm, tape);
  const { limit, worst, holds } = figures.flatness;
  const found = `Under a straightedge of ${length(limit.straightedgeMm)} it gapes by up to ${length(worst.gapMm)}; the limit is ${length(limit.gapMm)}`;
  return [
    figures.rangeMm === 0
      ? 'All readings are the same: it is level.'
      : `Highest at ${figures.highest}, lowest at ${figures.lowest}: ${length(figures.rangeMm)} between them.`,
    `${found}${holds ? ', so it is flat enough.' : ', so it has to be made flat.'}`,
    `With ${length(leastMm)} over the highest point the ${fill} is ${length(figures.meanMm)} thick in the mean: ${figures.volumeLitres.toFixed(0)} L over ${formatArea(figures.areaMm2, tape)}.`,
  ];
}

/** How a base runs, and where it is lowest. */
export function describeBase(figures: BaseFigures, { readings }: BaseLine, tape: Tape): string {
  if (figures.runOutMm < 0.25) return 'The base is level.';
  const at = (k: number): string => formatLength(readings[k].alongMm, tape);
  return `The base runs out by ${formatLengthWithUnit(figures.runOutMm, tape)}: lowest at ${at(figures.lowest)}, highest at ${at(figures.highest)} along it.`;
}

/** How a finish meets its neighbour, and what would make it flush. */
export function describeBuildUp(
  { totalMm, proudMm, flushMm }: BuildUpFigures,
  neighbour: string,
  layer: string | null,
  tape: Tape,
): string[] {
  const length = (mm: number): string => formatLengthWithUnit(mm, tape);
  const name = neighbour || 'its neighbour';
  const meets =
    Math.abs(proudMm) < HAIR_MM ? `flush with ${name}` : `${length(Math.abs(proudMm))} ${proudMm > 0 ? 'proud of' : 'below'} ${name}`;
  const mend =
    flushMm === null || Math.abs(proudMm) < HAIR_MM
      ? []
      : flushMm >= 0
        ? [`${layer ?? 'The layer'} of ${length(flushMm)} would make it flush.`]
        : [`No thickness of ${layer ?? 'that layer'} makes it flush: the others alone are too high.`];
  return [`The build-up is ${length(totalMm)} with the tile and finishes ${meets}.`, ...mend];
}
