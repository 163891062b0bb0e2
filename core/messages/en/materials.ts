import { productName, tapeOf, type Job } from '../../job/job.ts';
import type { Material } from '../../money/priceMaterials.ts';
import type { AdhesiveHow } from '../../takeoff/materials/adhesive.ts';
import type { GroutHow } from '../../takeoff/materials/grout.ts';
import type { SealantHow } from '../../takeoff/materials/sealant.ts';
import type { TilesHow } from '../../takeoff/materials/tiles.ts';
import type { MaterialId } from '../../takeoff/registry.ts';
import { formatArea, formatRun } from '../../units/formatArea.ts';
import { formatExactLength } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';

const ITEM_NAMES: Readonly<Record<MaterialId, string>> = {
  tiles: 'Tiles',
  adhesive: 'Tile adhesive',
  grout: 'Grout',
  sealant: 'Sealant',
};

/** What a pack of each is called, one and many. */
const PACK_NAMES: Readonly<Record<MaterialId, readonly [string, string]>> = {
  tiles: ['box', 'boxes'],
  adhesive: ['bag', 'bags'],
  grout: ['bag', 'bags'],
  sealant: ['cartridge', 'cartridges'],
};

const UNIT_NAMES: Readonly<Record<Material['unit'], string>> = { piece: 'pieces', sheet: 'sheets', kg: 'kg', ml: 'ml' };

/** What a line of the order is called; a tile that comes in two hands says which. */
export function materialName(job: Job, { item, productId, hand }: Pick<Material, 'item' | 'productId' | 'hand'>): string {
  const name = productId ? productName(job, productId) : ITEM_NAMES[item];
  return hand ? `${name}, ${hand} hand` : name;
}

/** A quantity with its unit: pieces whole, kilograms to the tenth. */
export function describeQuantity({ quantity, unit }: Pick<Material, 'quantity' | 'unit'>): string {
  if (unit === 'piece') return `${quantity} ${quantity === 1 ? 'piece' : 'pieces'}`;
  if (unit === 'sheet') return `${quantity} ${quantity === 1 ? 'sheet' : 'sheets'}`;
  return unit === 'kg' ? `${quantity.toFixed(1)} kg` : `${Math.round(quantity)} ml`;
}

/** What it is bought in: "2 bags of 20 kg and 1 of 5 kg". */
export function describePacks({ item, unit, packs }: Pick<Material, 'item' | 'unit' | 'packs'>): string {
  const [one, many] = PACK_NAMES[item];
  const words = packs.map(({ count, size }, k) => `${count} ${k > 0 ? '' : `${count === 1 ? one : many} `}of ${size} ${UNIT_NAMES[unit]}`);
  return words.length === 0 ? 'none' : words.join(' and ');
}

/** How a quantity was computed, a step a line. */
export function explainMaterial(job: Job, material: Material): string[] {
  const words: Words = {
    nameOf: (surfaceId) => job.surfaces.find(({ id }) => id === surfaceId)?.name ?? surfaceId,
    tapeOf: (surfaceId) => {
      const surface = job.surfaces.find(({ id }) => id === surfaceId);
      return surface ? tapeOf(job, surface) : job.tape;
    },
  };
  const covers = material.covers === null ? [] : [`The packs hold ${material.covers.toFixed(2)} x the need.`];
  switch (material.item) {
    case 'tiles':
      return [...explainTiles(material.how, material.unit, words), ...covers];
    case 'adhesive':
      return [...explainAdhesive(material.how, words), ...covers];
    case 'grout':
      return [...explainGrout(material.how, words), ...covers];
    case 'sealant':
      return [...explainSealant(material.how, words), ...covers];
  }
}

interface Words {
  readonly nameOf: (surfaceId: string) => string;
  readonly tapeOf: (surfaceId: string) => Tape;
}

const explainTiles = (how: TilesHow, unit: Material['unit'], { nameOf }: Words): string[] => [
  ...how.surfaces.map((s) => `${nameOf(s.surfaceId)}: ${s.whole} whole, ${s.forCuts} opened for cuts.`),
  `${how.opened} opened, ${how.breakage} for breakage while cutting, ${how.spare} left with the client.`,
  `For comparison, area and a tenth: ${how.ruleOfThumb} ${UNIT_NAMES[unit]}.`,
];

const explainAdhesive = (how: AdhesiveHow, words: Words): string[] => [
  ...how.surfaces.map(({ surfaceId, areaM2, notchMm, kgPerM2, kg }) => {
    const area = formatArea(areaM2 * 1e6, words.tapeOf(surfaceId));
    return `${words.nameOf(surfaceId)}: ${area} with a ${notchMm} mm notch, ${kgPerM2.toFixed(1)} kg/m²: ${kg.toFixed(1)} kg.`;
  }),
  how.backButtered ? 'Backs buttered: 1.2 kg/m² of it.' : 'Backs not buttered.',
  'Notch figures are typical; the data sheet on the bag wins.',
];

const explainGrout = (how: GroutHow, words: Words): string[] => [
  ...how.surfaces.map(({ surfaceId, jointAreaM2, depthMm, kg }) => {
    const tape = words.tapeOf(surfaceId);
    const area = formatArea(jointAreaM2 * 1e6, tape, 3);
    return `${words.nameOf(surfaceId)}: ${area} of joint, ${formatExactLength(depthMm, tape)} deep, ${how.kgPerLitre} kg/L: ${kg.toFixed(2)} kg.`;
  }),
  `${how.leftPercent} % more, which stays in the bucket.`,
];

const explainSealant = (how: SealantHow, words: Words): string[] =>
  how.surfaces.map(({ surfaceId, lengthM, countedThereM, ml }) => {
    const tape = words.tapeOf(surfaceId);
    const there = countedThereM > 0 ? `, ${formatRun(countedThereM * 1000, tape)} more counted with the surface they meet` : '';
    const depth = formatExactLength(how.depthMm, tape);
    return `${words.nameOf(surfaceId)}: ${formatRun(lengthM * 1000, tape)} of joint at walls and fixtures${there}, up to ${depth} deep: ${Math.round(ml)} ml.`;
  });
