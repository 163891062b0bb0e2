import type { Mix } from '../../takeoff/mixes/planMixes.ts';
import { onScale, type SurfaceMixes, type ZoneMix } from '../../takeoff/mixes/zoneMixes.ts';
import { formatArea } from '../../units/formatArea.ts';
import { imperialAmount } from '../../units/imperialAmount.ts';
import type { Tape } from '../../units/tape.ts';
import { inKg, inLitres, weighed, weightRange } from '../scaleFigures.ts';
import { zoneRuns } from '../zoneRuns.ts';
import { fixed } from './figures.ts';
import { itemName, variantName } from './materialNames.ts';

/** What is mixed. */
export const mixName = ({ item, variant }: Mix): string => [itemName(item), ...(variant ? [variantName(item, variant)] : [])].join(', ');

/** Powder and what it is stirred with, as it is weighed and poured. */
function powderToWater(powder: string, powderKg: number, waterL: number, { system }: Tape): string {
  const metric = `${powder} to ${inLitres(waterL, fixed)}`;
  return system === 'metric' ? metric : `${imperialAmount(powderKg, 'kg')} to ${imperialAmount(waterL, 'l')} (${metric})`;
}

/** What powder is stirred with. */
const LIQUIDS: Readonly<Record<Mix['liquid'], string>> = { water: 'water', additive: 'additive' };

/** One mix: powder and water, or what takes its place. */
const describeMix = ({ powderKg, waterL, liquid }: Mix, tape: Tape): string =>
  `${powderToWater(inKg(powderKg, fixed), powderKg, waterL, tape)} of ${LIQUIDS[liquid]}`;

/** The same for a zone, to what a scale shows. */
export const describeShare = ({ powderKg, waterL, liquid }: Pick<ZoneMix, 'powderKg' | 'waterL' | 'liquid'>, tape: Tape): string =>
  `${powderToWater(inKg(onScale(powderKg), fixed), onScale(powderKg), waterL, tape)} of ${LIQUIDS[liquid]}`;

const LIMITS: Readonly<Record<Mix['limit'], string>> = {
  potLife: 'No larger, or it sets in the bucket before it is used.',
  bucket: 'As much as the bucket holds with room to stir.',
  need: 'One mix does it all.',
};

/** When the next one is begun, so that it is ready in time; nothing where one mix does it all. */
export const describeAhead = ({ count, aheadMinutes, aheadM2 }: Mix, tape: Tape): string =>
  count === 1
    ? ''
    : `Begin the next ${Math.round(aheadMinutes)} min before it is needed: when ${formatArea(1e5 * Math.ceil(aheadM2 * 10), tape, 1)} of this one is left to do.`;

/** How much at a time: one mix, or of adhesive from the smallest to the largest zone. */
export function describeStirred(mix: Mix, stirred: readonly SurfaceMixes[], tape: Tape): string {
  const shares = stirred.flatMap(({ zones }) => zones.map(({ powderKg }) => onScale(powderKg)));
  if (shares.length < 2) return describeMix(mix, tape);
  const { range, beside } = weightRange([Math.min(...shares), Math.max(...shares)], 'to', tape, fixed);
  return `${range} a zone${beside}`;
}

/** What to know beside it, a line each; of adhesive with what is stirred zone by zone. */
export function explainMix(mix: Mix, stirred: readonly SurfaceMixes[], tape: Tape): string[] {
  const zones = stirred.reduce((sum, one) => sum + one.zones.length, 0);
  return zones > 1
    ? [
        `Laid in ${zones} zones, each with a mix of its own.`,
        `The empty bucket adds ${weighed(tareOf(mix), tape, fixed)} on the scale.`,
        ...handling(mix, tape),
      ]
    : [...howOften(mix, tape), `With the bucket the scale shows ${weighed(mix.scaleKg, tape, fixed)}.`, ...handling(mix, tape)];
}

/** What to know beside the mix of one zone, a line each. */
export const explainZoneMix = (mix: Mix, { powderKg }: ZoneMix, tape: Tape): string[] => [
  `With the bucket the scale shows ${weighed(tareOf(mix) + onScale(powderKg), tape, fixed)}.`,
  ...handling(mix, tape),
];

const tareOf = ({ scaleKg, powderKg }: Mix): number => scaleKg - powderKg;

/** From the stirring to the end of its time in the bucket. */
const handling = (mix: Mix, tape: Tape): string[] => [
  ...(mix.slakeMinutes > 0 ? [`Let it rest ${Math.round(mix.slakeMinutes)} min, then stir again.`] : []),
  ...(mix.count === 1 ? [] : [describeAhead(mix, tape)]),
  `Use it within ${Math.round(mix.potLifeMinutes / 5) * 5} min; never thin it again.`,
];

/** How often it is stirred, and what keeps it from being more at a time. */
function howOften({ count, powderKg, lastKg, lastWaterL, areaM2, limit }: Mix, tape: Tape): string[] {
  if (count === 1) return [LIMITS.need];
  const isLess = lastKg < powderKg - 0.05;
  const each = `each does ${formatArea(areaM2 * 1e6, tape, 1)}.`;
  return [
    `${count} mixes${isLess ? `, the last of ${powderToWater(inKg(lastKg, fixed), lastKg, lastWaterL, tape)}` : ''}; ${each}`,
    LIMITS[limit],
  ];
}

/** What is stirred for the zones of a surface, those alike together. */
export const describeZoneMixes = (zones: readonly ZoneMix[], tape: Tape): string[] =>
  zoneRuns(zones, (zone) => describeShare(zone, tape)).map(
    ({ from, to, share }) => `${from === to ? `zone ${from}` : `zones ${from} to ${to}, each`}: ${share}`,
  );
