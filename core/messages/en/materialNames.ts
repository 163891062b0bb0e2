import { GROUTS } from '../../madeUp/grouts.ts';
import type { LineGroup, MaterialUnit } from '../../takeoff/materialKind.ts';
import type { MaterialId } from '../../takeoff/registry.ts';
import { CHOICES } from './materialFigures.ts';

/** What each material is called, and what one pack of it, and several. */
export const MATERIAL_NAMES: Readonly<Record<MaterialId, readonly [name: string, pack: string, packs: string]>> = {
  tiles: ['Tiles', 'box', 'boxes'],
  adhesive: ['Tile adhesive', 'bag', 'bags'],
  liquidAdditive: ['Liquid additive', 'jug', 'jugs'],
  readyAdhesive: ['Ready-mixed adhesive', 'tub', 'tubs'],
  grout: ['Grout', 'bag', 'bags'],
  readyGrout: ['Ready-mixed grout', 'tub', 'tubs'],
  epoxyGrout: ['Epoxy grout', 'kit', 'kits'],
  sealant: ['Sealant', 'cartridge', 'cartridges'],
  backerRod: ['Backer rod', 'roll', 'rolls'],
  spacers: ['Spacers', 'bag', 'bags'],
  levellingClips: ['Levelling clips', 'bag', 'bags'],
  wedges: ['Wedges for the clips', 'bag', 'bags'],
  edgeProfile: ['Edge profile', 'bar', 'bars'],
  bullnose: ['Bullnose trim', 'length', 'lengths'],
  skirting: ['Skirting', 'length', 'lengths'],
  nosing: ['Nosing profile', 'bar', 'bars'],
  movementProfile: ['Movement-joint profile', 'bar', 'bars'],
  ledgerBoard: ['Ledger board', 'board', 'boards'],
  ledgerScrews: ['Screws for the ledger', 'box', 'boxes'],
  settingWedges: ['Wedges for the bottom row', 'bag', 'bags'],
  primer: ['Primer', 'can', 'cans'],
  leveller: ['Levelling compound', 'bag', 'bags'],
  cement: ['Cement for the bed', 'bag', 'bags'],
  sand: ['Sand for the bed', 'bag', 'bags'],
  boards: ['Backer board', 'board', 'boards'],
  screws: ['Screws with washers', 'box', 'boxes'],
  boardTape: ['Tape for board joints', 'roll', 'rolls'],
  membrane: ['Waterproofing', 'tub', 'tubs'],
  cornerTape: ['Sealing tape for corners', 'roll', 'rolls'],
  mesh: ['Reinforcing mesh', 'roll', 'rolls'],
  tileSealer: ['Tile sealer', 'bottle', 'bottles'],
  groutSealer: ['Grout sealer', 'bottle', 'bottles'],
  hazeRemover: ['Haze remover', 'bottle', 'bottles'],
  protection: ['Floor covering', 'roll', 'rolls'],
};

/** What lines of an order that stand together are called. */
export const LINE_GROUP_NAMES: Readonly<Record<LineGroup, string>> = {
  tiles: 'Tiles',
  underTheTiles: 'Under the tiles',
  joints: 'Joints',
  edges: 'Edges',
  care: 'Care',
};

/** What a unit is called behind a figure. */
export const UNIT_NAMES: Readonly<Record<MaterialUnit, string>> = {
  piece: 'pieces',
  sheet: 'sheets',
  kg: 'kg',
  l: 'L',
  ml: 'ml',
  m: 'm',
  m2: 'm²',
  m3: 'm³',
};

/** What a material is called, whatever tells its lines apart. */
export const itemName = (item: MaterialId): string => MATERIAL_NAMES[item][0];

/** What so many of its packs are called. */
export const packName = (item: MaterialId, count = 1): string => MATERIAL_NAMES[item][count === 1 ? 1 : 2];

const CROSSINGS: Readonly<Record<string, string>> = { cross: 'crosses', tee: 'for T-joints', wye: 'for three corners' };

/** What tells a line from others of its material: "sanded, grey", "crosses, 3 mm". */
export function variantName(item: MaterialId, variant: string): string {
  const parts = variant.split(' ').map((part) => (part.startsWith('#') ? colourName(part) : (CROSSINGS[part] ?? part)));
  const last = parts.at(-1) ?? '';
  if (item === 'edgeProfile') return `${CHOICES['finish'].values[parts[0]].toLowerCase()}, ${last} mm deep`;
  const words = item === 'spacers' || item === 'levellingClips' ? [...parts.slice(0, -1), `${last} mm`] : parts;
  return words.join(', ');
}

/** A colour by its name, or as it is written where it has none. */
export const colourName = (colour: string): string =>
  (GROUTS.find(({ value }) => value === colour.toLowerCase())?.label ?? colour).toLowerCase();

/** What a unit is called; orders of before units had codes have its name already. */
export const unitName = (unit: string): string => (UNIT_NAMES as Readonly<Record<string, string>>)[unit] ?? unit;
