import type { MaterialUnit } from '../takeoff/materialKind.ts';
import { imperialAmount } from '../units/imperialAmount.ts';
import type { Tape } from '../units/tape.ts';
import type { Figures } from './figures.ts';

type Fixed = Pick<Figures, 'fixed'>['fixed'];

/** As a scale shows it: to the tenth of a kilogram, under a kilogram in grams. */
export const inKg = (amount: number, fixed: Fixed): string =>
  amount < 0.995 ? `${10 * Math.round(amount * 100)} g` : `${fixed(amount, 1)} kg`;

/** Water as a jug or, under half a litre, a measuring cup shows it. */
export const inLitres = (amount: number, fixed: Fixed): string =>
  amount < 0.4975 ? `${Math.max(5, 5 * Math.round(amount * 200))} ml` : `${fixed(Math.round(amount * 20) / 20, 2)} L`;

/** A weight as the tape's people read it. */
export const weighed = (amount: number, { system }: Pick<Tape, 'system'>, fixed: Fixed): string =>
  system === 'metric' ? inKg(amount, fixed) : `${imperialAmount(amount, 'kg')} (${inKg(amount, fixed)})`;

/** From the least to the most of some weights, the unit once where it is the same: "4.5 to 6.0 kg"; `beside` the same in kilograms. */
export function weightRange(
  [least, most]: readonly [number, number],
  to: string,
  { system }: Pick<Tape, 'system'>,
  fixed: Fixed,
): { readonly range: string; readonly beside: string } {
  const from = most < 0.995 || least >= 0.995 ? inKg(least, fixed).replace(/ k?g$/, '') : inKg(least, fixed);
  const metric = least === most ? inKg(most, fixed) : `${from} ${to} ${inKg(most, fixed)}`;
  if (system === 'metric') return { range: metric, beside: '' };
  const [low, high] = [least, most].map((amount) => imperialAmount(amount, 'kg'));
  return { range: low === high ? high : `${low} ${to} ${high}`, beside: ` (${metric})` };
}

/** An amount to so many decimals as its unit is bought by: weights and lengths to the tenth, small ones to the hundredth. */
export function inUnit(quantity: number, unit: Exclude<MaterialUnit, 'piece' | 'sheet' | 'ml'>, fixed: Fixed): string {
  const fine = unit === 'm3' || (unit === 'l' && quantity < 10) || (unit === 'kg' && quantity < 1);
  return fixed(quantity, fine ? 2 : 1);
}
