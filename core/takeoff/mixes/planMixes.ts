import { ROUNDED_OFTEN, ROUNDING } from '../../tolerances.ts';
import { z } from 'zod';
import type { MaterialId, MaterialRules, Quantity } from '../registry.ts';
import { saidFor } from '../registry.ts';

/** What a site does to a mix. */
export const mixingSchema = z.strictObject({
  temperatureC: z.number().min(-10).max(50).optional().describe('20 where left out'),
  humidityPercent: z.number().min(0).max(100).optional().describe('Humidity of the air; 50 where left out'),
  bucketLitres: z.number().min(1).max(200).optional().describe('What fits the bucket with room to stir; 20 where left out'),
  tareKg: z.number().min(0).max(20).optional().describe('Weight of the empty bucket; 1 where left out'),
});

/** What a site does to a mix. */
export type Mixing = z.infer<typeof mixingSchema>;

/** Powders that are mixed with water. */
export const MIXED = ['adhesive', 'grout', 'leveller'] as const satisfies readonly MaterialId[];

/** How a powder is mixed: so much at a time. */
export interface Mix {
  readonly item: (typeof MIXED)[number];
  readonly variant: string | null;
  /** The surfaces it is for, each with what a square metre of it takes, kg of powder. */
  readonly surfaces: readonly { readonly surfaceId: string; readonly kgPerM2: number }[];
  /** Powder of one mix, kg. */
  readonly powderKg: number;
  /** What the powder is stirred with: water, or a liquid additive in its place. */
  readonly liquid: 'water' | 'additive';
  /** So much of it for one mix, l. */
  readonly waterL: number;
  /** Mixes of that size; the last one is what remains. */
  readonly count: number;
  readonly lastKg: number;
  readonly lastWaterL: number;
  /** What one mix covers, m². */
  readonly areaM2: number;
  /** What the bucket weighs with the powder in it, kg. */
  readonly scaleKg: number;
  readonly slakeMinutes: number;
  /** It is begun so long before it is needed, stirred and rested, minutes; so much of what is laid before is left then, m². */
  readonly aheadMinutes: number;
  readonly aheadM2: number;
  /** Pot life as it is at this temperature, minutes. */
  readonly potLifeMinutes: number;
  /** What keeps the mix from being larger. */
  readonly limit: 'potLife' | 'bucket' | 'need';
}

/** Of the pot life, so much is for laying: the rest goes on mixing, slaking and cleaning. */
const USED_OF_POT_LIFE = 0.75;

/** Weighing, stirring, and stirring again after the rest take about so long, minutes (trade practice). */
const STIR_MINUTES = 5;

/** A litre of mixed mortar weighs about this much, kg. */
const MIXED_KG_PER_LITRE = 1.6;

/** Pot life at a temperature: about a third shorter for ten degrees more, as long again for ten less (typical; the bag decides). */
export const potLifeAt = (minutes: number, temperatureC: number): number => minutes * 2 ** ((20 - temperatureC) / 17);

/** Square metres an hour that are laid, grouted or poured, one pair of hands. */
export interface MixPace {
  readonly m2PerHour: Readonly<Record<(typeof MIXED)[number], number>>;
}

/** Mixes of every powder of a job: no more than can be used within its pot life at this pace, no more than the bucket holds. */
export function planMixes(
  quantities: readonly Quantity[],
  rules: MaterialRules & { readonly mixing?: Mixing | undefined },
  { m2PerHour }: MixPace,
): Mix[] {
  return quantities.flatMap((line): Mix[] => {
    const item = MIXED.find((one) => one === line.item);
    if (!item || line.quantity <= 0 || !('surfaces' in line.how)) return [];
    const { temperatureC = 20, bucketLitres = 20, tareKg = 1 } = rules.mixing ?? {};
    const { figures, choices } = saidFor(item, rules);
    const liquid = choices['mixedWith'] === 'additive' ? 'additive' : 'water';
    const water = (liquid === 'additive' ? saidFor('liquidAdditive', rules).figures['litresPerKg'] : figures['waterPerKg']).value;
    const potLifeMinutes = potLifeAt(figures['potLifeMinutes'].value, temperatureC);
    const slakeMinutes = figures['slakeMinutes']?.value ?? 0;
    const areaM2 = areaCovered(line);
    const kgPerM2 = line.quantity / areaM2;
    const byPotLife = (m2PerHour[item] * kgPerM2 * potLifeMinutes * USED_OF_POT_LIFE) / 60;
    const byBucket = (bucketLitres * MIXED_KG_PER_LITRE) / (1 + water);
    const most = Math.min(byPotLife, byBucket, line.quantity);
    const limit = most === line.quantity ? 'need' : byPotLife <= byBucket ? 'potLife' : 'bucket';
    const count = Math.ceil(line.quantity / roundDown(most) - ROUNDED_OFTEN);
    const powderKg = limit === 'need' ? line.quantity : evenShare(line.quantity, count, roundDown(most));
    const mixes = limit === 'need' ? 1 : count;
    const lastKg = line.quantity - (mixes - 1) * powderKg;
    return [
      {
        item,
        variant: line.variant ?? null,
        surfaces: ratesOf(line),
        powderKg,
        liquid,
        waterL: powderKg * water,
        count: mixes,
        lastKg,
        lastWaterL: lastKg * water,
        areaM2: powderKg / kgPerM2,
        scaleKg: powderKg + tareKg,
        slakeMinutes,
        aheadMinutes: STIR_MINUTES + slakeMinutes,
        aheadM2: (m2PerHour[item] * (STIR_MINUTES + slakeMinutes)) / 60,
        potLifeMinutes,
        limit,
      },
    ];
  });
}

/** Powder and water for an area of one surface, by what that surface takes; null where the mix is not for it. */
export function mixFor(
  { surfaces, powderKg, waterL, liquid }: Mix,
  surfaceId: string,
  m2: number,
): { readonly powderKg: number; readonly waterL: number; readonly liquid: Mix['liquid'] } | null {
  const own = surfaces.find((one) => one.surfaceId === surfaceId);
  return own ? { powderKg: own.kgPerM2 * m2, waterL: (waterL / powderKg) * own.kgPerM2 * m2, liquid } : null;
}

/** What a square metre of each surface of a line takes, kg: all surfaces together take what is on the line. */
function ratesOf(line: Quantity): Mix['surfaces'] {
  const rows = rowsOf(line);
  const share = line.quantity / rows.reduce((sum, { kg }) => sum + kg, 0);
  return rows.map(({ surfaceId, kg, m2 }) => ({ surfaceId, kgPerM2: (share * kg) / m2 }));
}

function rowsOf(line: Quantity): readonly { readonly surfaceId: string; readonly kg: number; readonly m2: number }[] {
  if (line.item === 'adhesive') return line.how.surfaces.map(({ surfaceId, kg, areaM2: m2 }) => ({ surfaceId, kg, m2 }));
  if (line.item === 'leveller') return line.how.surfaces.map(({ surfaceId, quantity: kg, areaM2: m2 }) => ({ surfaceId, kg, m2 }));
  return line.item === 'grout' ? line.how.surfaces.map(({ surfaceId, kg, coveredM2: m2 }) => ({ surfaceId, kg, m2 })) : [];
}

/** The area a line is for, m². */
function areaCovered(line: Quantity): number {
  if (line.item === 'adhesive' || line.item === 'leveller') return line.how.surfaces.reduce((sum, { areaM2 }) => sum + areaM2, 0);
  return line.item === 'grout' ? line.how.surfaces.reduce((sum, { coveredM2 }) => sum + coveredM2, 0) : 1;
}

/** The same for every mix as nearly as can be, so that the last one is no handful. */
function evenShare(need: number, count: number, most: number): number {
  const even = Math.min(most, -roundDown(-need / count));
  return even * (count - 1) < need ? even : most;
}

/** Weights that are easily set on a scale: halves from five kilograms on, tenths below. */
const roundDown = (kg: number): number => {
  const step = Math.abs(kg) >= 5 ? 2 : 10;
  const down = Math.floor(kg * step + ROUNDING) / step;
  return kg > 0 ? Math.max(0.1, down) : down;
};
