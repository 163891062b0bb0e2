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

/** Powder and water, as it is weighed and poured. */
function powderToWater(powder: string, powderKg: number, waterL: number, { system }: Tape): string {
  const metric = `${powder} auf ${inLitres(waterL, fixed)}`;
  return system === 'metric' ? metric : `${imperialAmount(powderKg, 'kg')} auf ${imperialAmount(waterL, 'l')} (${metric})`;
}

const describeMix = ({ powderKg, waterL, liquid }: Mix, tape: Tape): string =>
  `${powderToWater(inKg(powderKg, fixed), powderKg, waterL, tape)} ${LIQUIDS[liquid]}`;

/** What powder is stirred with. */
const LIQUIDS: Readonly<Record<Mix['liquid'], string>> = { water: 'Wasser', additive: 'Flüssigzusatz' };

/** Powder and water for a zone, to what a scale shows. */
export const describeShare = ({ powderKg, waterL, liquid }: Pick<ZoneMix, 'powderKg' | 'waterL' | 'liquid'>, tape: Tape): string =>
  `${powderToWater(inKg(onScale(powderKg), fixed), onScale(powderKg), waterL, tape)} ${LIQUIDS[liquid]}`;

const LIMITS: Readonly<Record<Mix['limit'], string>> = {
  potLife: 'Nicht mehr, sonst bindet es im Eimer ab, bevor es verbraucht ist.',
  bucket: 'So viel, wie in den Eimer geht und sich noch rühren lässt.',
  need: 'Eine Mischung reicht für alles.',
};

/** When the next one is begun, so that it is ready in time; nothing where one mix does it all. */
export const describeAhead = ({ count, aheadMinutes, aheadM2 }: Mix, tape: Tape): string =>
  count === 1
    ? ''
    : `Die nächste ${Math.round(aheadMinutes)} min vorher beginnen: wenn von dieser noch ${formatArea(1e5 * Math.ceil(aheadM2 * 10), tape, 1)} zu verlegen sind.`;

/** How much at a time: one mix, or of adhesive from the smallest to the largest zone. */
export function describeStirred(mix: Mix, stirred: readonly SurfaceMixes[], tape: Tape): string {
  const shares = stirred.flatMap(({ zones }) => zones.map(({ powderKg }) => onScale(powderKg)));
  if (shares.length < 2) return describeMix(mix, tape);
  const { range, beside } = weightRange([Math.min(...shares), Math.max(...shares)], 'bis', tape, fixed);
  return `${range} je Abschnitt${beside}`;
}

/** What to know beside it, a line each; of adhesive with what is stirred zone by zone. */
export function explainMix(mix: Mix, stirred: readonly SurfaceMixes[], tape: Tape): string[] {
  const zones = stirred.reduce((sum, one) => sum + one.zones.length, 0);
  return zones > 1
    ? [
        `In ${zones} Abschnitten verlegt, jeder mit eigener Mischung.`,
        `Der leere Eimer wiegt ${weighed(tareOf(mix), tape, fixed)} dazu.`,
        ...handling(mix, tape),
      ]
    : [...howOften(mix, tape), `Mit Eimer zeigt die Waage ${weighed(mix.scaleKg, tape, fixed)}.`, ...handling(mix, tape)];
}

/** What to know beside the mix of one zone, a line each. */
export const explainZoneMix = (mix: Mix, { powderKg }: ZoneMix, tape: Tape): string[] => [
  `Mit Eimer zeigt die Waage ${weighed(tareOf(mix) + onScale(powderKg), tape, fixed)}.`,
  ...handling(mix, tape),
];

const tareOf = ({ scaleKg, powderKg }: Mix): number => scaleKg - powderKg;

/** From the stirring to the end of its time in the bucket. */
const handling = (mix: Mix, tape: Tape): string[] => [
  ...(mix.slakeMinutes > 0 ? [`${Math.round(mix.slakeMinutes)} min reifen lassen, dann noch einmal rühren.`] : []),
  ...(mix.count === 1 ? [] : [describeAhead(mix, tape)]),
  `Innerhalb von ${Math.round(mix.potLifeMinutes / 5) * 5} min verbrauchen; nie wieder verdünnen.`,
];

/** How often it is stirred, and what keeps it from being more at a time. */
function howOften({ count, powderKg, lastKg, lastWaterL, areaM2, limit }: Mix, tape: Tape): string[] {
  if (count === 1) return [LIMITS.need];
  const isLess = lastKg < powderKg - 0.05;
  const last = isLess ? `, die letzte ${powderToWater(inKg(lastKg, fixed), lastKg, lastWaterL, tape)}` : '';
  return [`${count} Mischungen${last}; jede reicht für ${formatArea(areaM2 * 1e6, tape, 1)}.`, LIMITS[limit]];
}

/** What is stirred for the zones of a surface, those alike together. */
export const describeZoneMixes = (zones: readonly ZoneMix[], tape: Tape): string[] =>
  zoneRuns(zones, (zone) => describeShare(zone, tape)).map(
    ({ from, to, share }) => `${from === to ? `Abschnitt ${from}` : `Abschnitte ${from} bis ${to}, je`}: ${share}`,
  );
