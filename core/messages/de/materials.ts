import { productName, type Job } from '../../job/job.ts';
import type { Material } from '../../money/priceMaterials.ts';
import { imperialAmount } from '../../units/imperialAmount.ts';
import type { Tape } from '../../units/tape.ts';
import { inUnit } from '../scaleFigures.ts';
import { counted, figure, fixed } from './figures.ts';
import { itemName, packName, UNIT_NAMES, variantName } from './materialNames.ts';
import { handName } from './names.ts';

/** What a line of the order is called; a tile that comes in two hands says which. */
export function materialName(
  job: Job,
  { item, productId, hand, variant }: Pick<Material, 'item' | 'productId' | 'hand' | 'variant'>,
): string {
  const name = productId ? productName(job, productId) : itemName(item);
  return [name, ...(variant ? [variantName(item, variant)] : []), ...(hand ? [handName(hand)] : [])].join(', ');
}

/** A quantity with its unit; beside it as it is weighed by those who measure in inches. */
export function describeAmount(quantity: number, unit: Material['unit'], { system }: Pick<Tape, 'system'>): string {
  const metric = metricAmount(quantity, unit);
  return system === 'metric' || unit === 'piece' || unit === 'sheet' ? metric : `${imperialAmount(quantity, unit)} (${metric})`;
}

function metricAmount(quantity: number, unit: Material['unit']): string {
  if (unit === 'piece') return counted(Math.round(quantity), { other: 'Stück' });
  if (unit === 'sheet') return counted(Math.round(quantity), { one: 'Matte', other: 'Matten' });
  if (unit === 'ml') return `${Math.round(quantity)} ml`;
  return `${inUnit(quantity, unit, fixed)} ${UNIT_NAMES[unit]}`;
}

/** What is needed of a line. */
export const describeQuantity = ({ quantity, unit }: Pick<Material, 'quantity' | 'unit'>, tape: Tape): string =>
  describeAmount(quantity, unit, tape);

/** What it is bought in: "2 Säcke zu 20 kg und 1 zu 5 kg". */
export function describePacks({ item, unit, packs }: Pick<Material, 'item' | 'unit' | 'packs'>): string {
  const words = packs.map(({ count, size, litres }, k) => {
    const holds =
      litres === undefined ? `${figure(size)} ${UNIT_NAMES[unit]}` : `${figure(litres)} L (${figure(Math.round(size * 10) / 10)} kg)`;
    return `${count} ${k > 0 ? '' : `${packName(item, count)} `}zu ${holds}`;
  });
  return words.length === 0 ? 'keine' : words.join(' und ');
}
