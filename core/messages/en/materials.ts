import { ON_LINE_MM, ROUNDING } from '../../tolerances.ts';
import { productName, tapeOf, type Job } from '../../job/job.ts';
import type { Material } from '../../money/priceMaterials.ts';
import type { RateHow } from '../../takeoff/byRate.ts';
import type { BarsHow } from '../../takeoff/cutFromBars.ts';
import type { Spoken } from '../../takeoff/materialKind.ts';
import type { AdhesiveHow, BackButter } from '../../takeoff/materials/bedding.ts';
import type { FillHow } from '../../takeoff/materials/fill.ts';
import type { GroutHow } from '../../takeoff/materials/jointFill.ts';
import type { AdditiveHow } from '../../takeoff/materials/liquidAdditive.ts';
import type { SealantHow } from '../../takeoff/materials/sealant.ts';
import type { TilesHow } from '../../takeoff/materials/tiles.ts';
import { imperialAmount } from '../../units/imperialAmount.ts';
import { formatArea, formatRun } from '../../units/formatArea.ts';
import { formatExactLength } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';
import { inUnit } from '../scaleFigures.ts';
import { fixed } from './figures.ts';
import { describeFigure } from './materialFigures.ts';
import { itemName, packName, UNIT_NAMES, variantName } from './materialNames.ts';
import { edgeName } from './names.ts';

/** What a line of the order is called; a tile that comes in two hands says which. */
export function materialName(
  job: Job,
  { item, productId, hand, variant }: Pick<Material, 'item' | 'productId' | 'hand' | 'variant'>,
): string {
  const name = productId ? productName(job, productId) : itemName(item);
  return [name, ...(variant ? [variantName(item, variant)] : []), ...(hand ? [`${hand} hand`] : [])].join(', ');
}

/** A quantity with its unit; beside it as it is weighed by those who measure in inches. */
export function describeAmount(quantity: number, unit: Material['unit'], { system }: Pick<Tape, 'system'>): string {
  const metric = metricAmount(quantity, unit);
  return system === 'metric' || unit === 'piece' || unit === 'sheet' ? metric : `${imperialAmount(quantity, unit)} (${metric})`;
}

/** Things whole, weights and lengths to the tenth, small volumes to the hundredth. */
function metricAmount(quantity: number, unit: Material['unit']): string {
  if (unit === 'piece') return `${Math.round(quantity)} ${Math.round(quantity) === 1 ? 'piece' : 'pieces'}`;
  if (unit === 'sheet') return `${Math.round(quantity)} ${Math.round(quantity) === 1 ? 'sheet' : 'sheets'}`;
  if (unit === 'ml') return `${Math.round(quantity)} ml`;
  return `${inUnit(quantity, unit, fixed)} ${UNIT_NAMES[unit]}`;
}

/** What is needed of a line. */
export const describeQuantity = ({ quantity, unit }: Pick<Material, 'quantity' | 'unit'>, tape: Tape): string =>
  describeAmount(quantity, unit, tape);

/** What it is bought in: "2 bags of 20 kg and 1 of 5 kg". */
export function describePacks({ item, unit, packs }: Pick<Material, 'item' | 'unit' | 'packs'>): string {
  const words = packs.map(({ count, size, litres }, k) => {
    const holds =
      litres === undefined ? `${size} ${size === 1 && unit === 'piece' ? 'piece' : UNIT_NAMES[unit]}` : heldInLitres(litres, size);
    return `${count} ${k > 0 ? '' : `${packName(item, count)} `}of ${holds}`;
  });
  return words.length === 0 ? 'none' : words.join(' and ');
}

/** What a tub holds that is sold by the litre, and what that weighs. */
const heldInLitres = (litres: number, kg: number): string => `${litres} L (${Math.round(kg * 10) / 10} kg)`;

/** Will it run out: the chance in words, or what makes it certain. */
export function describeChance(
  { chance, left, unit, closed, item }: Pick<Material, 'chance' | 'left' | 'unit' | 'closed' | 'item'>,
  tape: Tape,
): string {
  const over = left > 0.005 ? `${describeAmount(left, unit, tape)} left over` : 'nothing left over';
  const back = closed > 0 ? `, ${closed} ${packName(item, closed)} of it closed` : '';
  if (chance === null) return `${over}${back}`;
  const odds =
    chance < 0.002
      ? 'hardly ever runs out'
      : chance > 0.45
        ? 'as likely as not to run out'
        : `runs out 1 time in ${Math.round(1 / chance)}`;
  return `${odds}; ${over}${back}`;
}

/** How a quantity was computed, a step a line. */
export function explainMaterial(job: Job, material: Material): string[] {
  const words: Named = {
    nameOf: (surfaceId) => job.surfaces.find(({ id }) => id === surfaceId)?.name ?? surfaceId,
    tapeOf: (surfaceId) => {
      const surface = job.surfaces.find(({ id }) => id === surfaceId);
      return surface ? tapeOf(job, surface) : job.tape;
    },
  };
  return [...explainNeed(material, words), ...explainBuying(material, job.tape), ...explainSpread(job, material)];
}

/** Where the chance goes by one's own past jobs. */
function explainSpread({ habits }: Job, { item, chance }: Material): string[] {
  const own = item === 'tiles' || chance === null ? undefined : habits?.[item]?.['spread'];
  return own === undefined ? [] : [`The chance goes by your own past jobs: use strayed by ${Math.round(1000 * own) / 10} %.`];
}

function explainBuying({ covers, margin, inHand, unit }: Material, tape: Tape): string[] {
  return [
    ...(margin > 0 ? [`${describeAmount(margin, unit, tape)} more is bought so that it seldom runs out.`] : []),
    ...(inHand > 0 ? [`${describeAmount(inHand, unit, tape)} is there already.`] : []),
    ...(covers === null ? [] : [`What is there then is ${covers.toFixed(2)} x the need.`]),
  ];
}

interface Named {
  readonly nameOf: (surfaceId: string) => string;
  readonly tapeOf: (surfaceId: string) => Tape;
}

/** The words of each shape of `how`. */
function explainNeed(material: Material, words: Named): string[] {
  switch (material.item) {
    case 'tiles':
      return explainTiles(material.how, material.unit, words);
    case 'adhesive':
    case 'readyAdhesive':
      return explainAdhesive(material.how, words);
    case 'grout':
    case 'readyGrout':
    case 'epoxyGrout':
      return explainGrout(material.how, words);
    case 'liquidAdditive':
      return explainAdditive(material.how);
    case 'sealant':
      return explainSealant(material.how, words);
    case 'leveller':
    case 'cement':
    case 'sand':
      return explainFill(material.how, material.unit, words);
    case 'edgeProfile':
    case 'bullnose':
    case 'skirting':
    case 'nosing':
    case 'movementProfile':
    case 'ledgerBoard':
      return explainBars(material.how, material.item, words);
    default:
      return explainRate(material.how, material.unit, words);
  }
}

const figuresLine = (figures: Readonly<Record<string, Spoken>>): string[] => {
  const words = Object.entries(figures).map(([name, spoken]) => describeFigure(name, spoken));
  return words.length === 0 ? [] : [`${words.join('; ')}.`];
};

const explainTiles = (how: TilesHow, unit: Material['unit'], { nameOf }: Named): string[] => [
  ...how.surfaces.map((s) => `${nameOf(s.surfaceId)}: ${s.whole} whole, ${s.forCuts} opened for cuts.`),
  ...how.strips.map(
    (s) => `${nameOf(s.surfaceId)}, ${s.purpose}: ${s.pieces} pieces cut in strips, out of what the other cuts leave where they fit.`,
  ),
  `${how.opened} opened, ${how.breakage} for breakage while cutting, ${how.spare} left with the client.`,
  `For comparison, area and a tenth: ${how.ruleOfThumb} ${UNIT_NAMES[unit]}.`,
];

const BACKS: Readonly<Record<BackButter, string>> = { none: '', skim: ', backs skimmed', notched: ', backs notched too' };

const explainAdhesive = (how: AdhesiveHow, words: Named): string[] => [
  ...how.surfaces.map(({ surfaceId, areaM2, notchMm, backs, kgPerM2, kg }) => {
    const tape = words.tapeOf(surfaceId);
    const area = formatArea(areaM2 * 1e6, tape);
    const bed = notchMm === null ? '' : ` with a ${notchMm} mm notch${BACKS[backs]}`;
    return `${words.nameOf(surfaceId)}: ${area}${bed}, ${kgPerM2.toFixed(1)} kg/m²: ${describeAmount(kg, 'kg', tape)}.`;
  }),
  ...figuresLine(how.figures),
];

const explainGrout = (how: GroutHow, words: Named): string[] => [
  ...how.surfaces.map(({ surfaceId, jointAreaM2, depthMm, kg }) => {
    const tape = words.tapeOf(surfaceId);
    const area = formatArea(jointAreaM2 * 1e6, tape, 3);
    return `${words.nameOf(surfaceId)}: ${area} of joint, ${formatExactLength(depthMm, tape)} deep, ${how.figures.kgPerLitre.value} kg/L: ${kg.toFixed(2)} kg.`;
  }),
  ...figuresLine(how.figures),
];

const explainAdditive = ({ powderKg, figures }: AdditiveHow): string[] => [
  `In place of water, to ${powderKg.toFixed(1)} kg of adhesive: ${(powderKg * figures.litresPerKg.value).toFixed(1)} L.`,
  ...figuresLine(figures),
];

const explainSealant = (how: SealantHow, words: Named): string[] => [
  ...how.surfaces.map(({ surfaceId, lengthM, countedThereM, ml }) => {
    const tape = words.tapeOf(surfaceId);
    const there = formatRun(countedThereM * 1000, tape);
    // A joint of two surfaces is counted with one of them.
    if (Math.round(ml) === 0) return `${words.nameOf(surfaceId)}: ${there} of joint, counted with the surface they meet.`;
    const more = countedThereM > 0 ? `, ${there} more counted with the surface they meet` : '';
    return `${words.nameOf(surfaceId)}: ${formatRun(lengthM * 1000, tape)} of joint at walls and fixtures${more}: ${Math.round(ml)} ml.`;
  }),
  ...figuresLine(how.figures),
];

const explainFill = (how: FillHow, unit: Material['unit'], words: Named): string[] => [
  ...how.surfaces.map(({ surfaceId, areaM2, meanMm, quantity }) => {
    const tape = words.tapeOf(surfaceId);
    return `${words.nameOf(surfaceId)}: ${formatArea(areaM2 * 1e6, tape)}, ${formatExactLength(Math.round(meanMm * 10) / 10, tape)} thick in the mean: ${describeAmount(quantity, unit, tape)}.`;
  }),
  ...figuresLine(how.figures),
];

function explainBars(how: BarsHow, item: Material['item'], words: Named): string[] {
  const runs = how.runs.map(({ surfaceId, edgeId, mm, mitres }) => {
    const where = edgeId === 'ledger' ? 'under the second course' : edgeId.startsWith('bay') ? 'across the floor' : edgeName(edgeId);
    const cut = mitres > 0 ? `, ${mitres === 2 ? 'both ends' : 'one end'} mitred` : '';
    const parts = how.bars.flatMap(({ lengths }) =>
      lengths.filter(({ of }) => of.surfaceId === surfaceId && of.edgeId === edgeId && of.mm === mm),
    );
    // No bar is as long.
    const joined = parts.length > 1 && parts.every((part) => part.mm < mm - ON_LINE_MM) ? `, joined from ${parts.length} lengths` : '';
    return `${words.nameOf(surfaceId)}, ${where}: ${formatRun(mm, words.tapeOf(surfaceId))}${cut}${joined}.`;
  });
  const bars = how.bars.map(({ sizeM, lengths }, k) => {
    const cut = lengths.map(({ of, mm }) => formatExactLength(Math.round(mm * 2) / 2, words.tapeOf(of.surfaceId)));
    return `${k + 1}: from ${sizeM} m cut ${cut.join(' + ')}.`;
  });
  const least =
    how.bars.length > how.bound
      ? `No plan could need fewer than ${how.bound}.`
      : `No plan could need fewer than these ${how.bars.length} ${packName(item, how.bars.length)}.`;
  return [...runs, ...bars, least];
}

const RATES: Readonly<Record<RateHow['of'], string>> = { m2: 'm²', m: 'm', count: '' };

const explainRate = (how: RateHow, unit: Material['unit'], words: Named): string[] => [
  ...how.surfaces.map(({ surfaceId, amount, per, quantity }) => {
    const tape = words.tapeOf(surfaceId);
    const measured =
      how.of === 'm2'
        ? formatArea(amount * 1e6, tape)
        : how.of === 'm'
          ? formatRun(amount * 1000, tape)
          : `${Math.round(amount * 10) / 10}`;
    const rate =
      per === 1
        ? ''
        : how.of === 'count'
          ? ` x ${per.toFixed(2)}`
          : ` at ${Math.round(per * 1000) / 1000} ${UNIT_NAMES[unit]}/${RATES[how.of]}`;
    return `${words.nameOf(surfaceId)}: ${measured}${rate}: ${describeAmount(unit === 'piece' ? Math.ceil(quantity - ROUNDING) : quantity, unit, tape)}.`;
  }),
  ...figuresLine(how.figures),
];
