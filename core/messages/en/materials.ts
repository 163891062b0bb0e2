import { productName, type Job } from '../../job/job.ts';
import type { AdhesiveHow } from '../../takeoff/adhesive.ts';
import type { GroutHow } from '../../takeoff/grout.ts';
import type { Material } from '../../takeoff/material.ts';
import type { SealantHow } from '../../takeoff/sealant.ts';
import type { TilesHow } from '../../takeoff/tiles.ts';

const ITEM_NAMES: Readonly<Record<Material['item'], string>> = {
  tiles: 'Tiles',
  adhesive: 'Tile adhesive',
  grout: 'Grout',
  sealant: 'Sealant',
};

/** What a line of the order is called. */
export const materialName = (job: Job, { item, productId }: Material): string =>
  productId ? productName(job, productId) : ITEM_NAMES[item];

/** A quantity with its unit: pieces whole, kilograms to the tenth. */
export function describeQuantity({ quantity, unit }: Pick<Material, 'quantity' | 'unit'>): string {
  if (unit === 'piece') return `${quantity} ${quantity === 1 ? 'piece' : 'pieces'}`;
  if (unit === 'sheet') return `${quantity} ${quantity === 1 ? 'sheet' : 'sheets'}`;
  return unit === 'kg' ? `${quantity.toFixed(1)} kg` : `${Math.round(quantity)} ml`;
}

/** What it is bought in. */
export function describePacks({ item, unit, packs: { count, size } }: Pick<Material, 'item' | 'unit' | 'packs'>): string {
  const words = {
    tiles: ['box', 'boxes', unit === 'sheet' ? 'sheets' : 'pieces'],
    adhesive: ['bag', 'bags', 'kg'],
    grout: ['bag', 'bags', 'kg'],
    sealant: ['cartridge', 'cartridges', 'ml'],
  }[item];
  return `${count} ${count === 1 ? words[0] : words[1]} of ${size} ${words[2]}`;
}

/** How a quantity was computed, a step a line. */
export function explainMaterial(job: Job, material: Material): string[] {
  const nameOf = (surfaceId: string): string => job.surfaces.find(({ id }) => id === surfaceId)?.name ?? surfaceId;
  const covers = material.packs.covers === null ? [] : [`The packs hold ${material.packs.covers.toFixed(2)} x the need.`];
  switch (material.item) {
    case 'tiles':
      return [...explainTiles(material.how as TilesHow, nameOf), ...covers];
    case 'adhesive':
      return [...explainAdhesive(material.how as AdhesiveHow, nameOf), ...covers];
    case 'grout':
      return [...explainGrout(material.how as GroutHow, nameOf), ...covers];
    case 'sealant':
      return [...explainSealant(material.how as SealantHow, nameOf), ...covers];
  }
}

type NameOf = (surfaceId: string) => string;

const explainTiles = (how: TilesHow, nameOf: NameOf): string[] => [
  ...how.surfaces.map((s) => `${nameOf(s.surfaceId)}: ${s.whole} whole, ${s.forCuts} opened for cuts.`),
  `${how.opened} opened, ${how.breakage} for breakage while cutting, ${how.spare} left with the client.`,
  `For comparison, area and a tenth: ${how.ruleOfThumb} pieces.`,
];

const explainAdhesive = (how: AdhesiveHow, nameOf: NameOf): string[] => [
  ...how.surfaces.map(
    (s) =>
      `${nameOf(s.surfaceId)}: ${s.areaM2.toFixed(2)} m² with a ${s.notchMm} mm square notch, ${s.kgPerM2} kg/m²: ${s.kg.toFixed(1)} kg.`,
  ),
  how.backButtered ? 'Backs buttered: 1.2 kg/m² of it.' : 'Backs not buttered.',
  'Notch figures are typical; the data sheet on the bag wins.',
];

const explainGrout = (how: GroutHow, nameOf: NameOf): string[] => [
  ...how.surfaces.map(
    (s) =>
      `${nameOf(s.surfaceId)}: ${s.jointAreaM2.toFixed(3)} m² of joint, ${s.depthMm} mm deep, ${how.kgPerLitre} kg/L: ${s.kg.toFixed(2)} kg.`,
  ),
  `${how.leftPercent} % more, which stays in the bucket.`,
];

const explainSealant = (how: SealantHow, nameOf: NameOf): string[] =>
  how.surfaces.map(
    (s) =>
      `${nameOf(s.surfaceId)}: ${s.lengthM.toFixed(2)} m of perimeter and fixtures, up to ${how.depthMm} mm deep: ${Math.round(s.ml)} ml.`,
  );
