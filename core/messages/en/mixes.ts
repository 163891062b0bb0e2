import type { Mix } from '../../takeoff/mixes/planMixes.ts';
import { itemName, variantName } from './materialNames.ts';

/** What is mixed. */
export const mixName = ({ item, variant }: Mix): string => [itemName(item), ...(variant ? [variantName(item, variant)] : [])].join(', ');

const kg = (amount: number): string => `${Math.round(amount * 100) / 100} kg`;
/** Water as a jug or, under half a litre, a measuring cup shows it. */
const litres = (amount: number): string =>
  amount < 0.4975 ? `${Math.max(5, 5 * Math.round(amount * 200))} ml` : `${(Math.round(amount * 20) / 20).toFixed(2)} L`;

/** One mix: powder and water. */
export const describeMix = ({ powderKg, waterL }: Mix): string => `${kg(powderKg)} to ${litres(waterL)} of water`;

/** Powder and water for a zone, to what a scale shows. */
export const describeShare = ({ powderKg, waterL }: { readonly powderKg: number; readonly waterL: number }): string =>
  `${(Math.ceil(powderKg * 10 - 1e-6) / 10).toFixed(1)} kg to ${litres(waterL)}`;

const LIMITS: Readonly<Record<Mix['limit'], string>> = {
  potLife: 'No larger, or it sets in the bucket before it is used.',
  bucket: 'As much as the bucket holds with room to stir.',
  need: 'One mix does it all.',
};

/** When the next one is begun, so that it is ready in time; nothing where one mix does it all. */
export const describeAhead = ({ count, aheadMinutes, aheadM2 }: Mix): string =>
  count === 1
    ? ''
    : `Begin the next ${Math.round(aheadMinutes)} min before it is needed: when ${(Math.ceil(aheadM2 * 10) / 10).toFixed(1)} m² of this one is left to do.`;

/** What to know beside it, a line each. */
export function explainMix(mix: Mix): string[] {
  const { count, powderKg, lastKg, lastWaterL, areaM2, scaleKg, slakeMinutes, potLifeMinutes, limit } = mix;
  const isLess = lastKg < powderKg - 0.05;
  return [
    count === 1
      ? LIMITS.need
      : `${count} mixes${isLess ? `, the last of ${kg(lastKg)} to ${litres(lastWaterL)}` : ''}; each does ${(Math.round(areaM2 * 10) / 10).toFixed(1)} m².`,
    ...(count === 1 ? [] : [LIMITS[limit]]),
    `With the bucket the scale shows ${kg(scaleKg)}.`,
    ...(slakeMinutes > 0 ? [`Let it rest ${Math.round(slakeMinutes)} min, then stir again.`] : []),
    ...(count === 1 ? [] : [describeAhead(mix)]),
    `Use it within ${Math.round(potLifeMinutes / 5) * 5} min; never thin it again.`,
  ];
}
