import type { MaterialUnit } from '../../takeoff/materialKind.ts';
import type { MaterialId } from '../../takeoff/registry.ts';

/** What each material is called, and what one pack of it, and several. */
const NAMES: Readonly<Record<MaterialId, readonly [name: string, pack: string, packs: string]>> = {
  tiles: ['Fliesen', 'Paket', 'Pakete'],
  adhesive: ['Fliesenkleber', 'Sack', 'Säcke'],
  liquidAdditive: ['Flüssigzusatz', 'Kanister', 'Kanister'],
  readyAdhesive: ['Fertigkleber', 'Eimer', 'Eimer'],
  grout: ['Fugenmörtel', 'Sack', 'Säcke'],
  readyGrout: ['Fertiger Fugenmörtel', 'Eimer', 'Eimer'],
  epoxyGrout: ['Epoxidfugenmörtel', 'Gebinde', 'Gebinde'],
  sealant: ['Dichtstoff', 'Kartusche', 'Kartuschen'],
  backerRod: ['Hinterfüllschnur', 'Rolle', 'Rollen'],
  spacers: ['Fliesenkreuze', 'Beutel', 'Beutel'],
  levellingClips: ['Nivellierlaschen', 'Beutel', 'Beutel'],
  wedges: ['Keile zu den Laschen', 'Beutel', 'Beutel'],
  edgeProfile: ['Abschlussprofil', 'Stange', 'Stangen'],
  bullnose: ['Rundkantenleiste', 'Stück', 'Stück'],
  skirting: ['Sockelleiste', 'Stück', 'Stück'],
  nosing: ['Treppenkantenprofil', 'Stange', 'Stangen'],
  movementProfile: ['Bewegungsfugenprofil', 'Stange', 'Stangen'],
  ledgerBoard: ['Ansetzlatte', 'Latte', 'Latten'],
  ledgerScrews: ['Schrauben für die Ansetzlatte', 'Schachtel', 'Schachteln'],
  settingWedges: ['Keile für die unterste Reihe', 'Beutel', 'Beutel'],
  primer: ['Grundierung', 'Kanister', 'Kanister'],
  leveller: ['Ausgleichsmasse', 'Sack', 'Säcke'],
  cement: ['Zement für das Mörtelbett', 'Sack', 'Säcke'],
  sand: ['Sand für das Mörtelbett', 'Sack', 'Säcke'],
  boards: ['Bauplatte', 'Platte', 'Platten'],
  screws: ['Schrauben mit Tellern', 'Paket', 'Pakete'],
  boardTape: ['Band für Plattenstöße', 'Rolle', 'Rollen'],
  membrane: ['Abdichtung', 'Eimer', 'Eimer'],
  cornerTape: ['Dichtband für Ecken', 'Rolle', 'Rollen'],
  mesh: ['Armierungsgewebe', 'Rolle', 'Rollen'],
  tileSealer: ['Fliesenimprägnierung', 'Flasche', 'Flaschen'],
  groutSealer: ['Fugenimprägnierung', 'Flasche', 'Flaschen'],
  hazeRemover: ['Zementschleierentferner', 'Flasche', 'Flaschen'],
  protection: ['Bodenabdeckung', 'Rolle', 'Rollen'],
};

/** What a unit is called behind a figure. */
export const UNIT_NAMES: Readonly<Record<MaterialUnit, string>> = {
  piece: 'Stück',
  sheet: 'Matten',
  kg: 'kg',
  l: 'L',
  ml: 'ml',
  m: 'm',
  m2: 'm²',
  m3: 'm³',
};

/** What a material is called, whatever tells its lines apart. */
export const itemName = (item: MaterialId): string => NAMES[item][0];

/** What so many of its packs are called. */
export const packName = (item: MaterialId, count = 1): string => NAMES[item][count === 1 ? 1 : 2];

/** What tells lines of a material apart, part by part; a colour without a name is written as it is. */
const PARTS: Readonly<Record<string, string>> = {
  cross: 'Kreuze',
  tee: 'für T-Fugen',
  wye: 'für drei Ecken',
  sanded: 'mit Sand',
  fine: 'ohne Sand',
  grey: 'grau',
  white: 'weiß',
  aluminium: 'Aluminium',
  steel: 'Edelstahl',
  brass: 'Messing',
  plastic: 'Kunststoff',
};

/** Colours of the made-up list. */
const COLOURS: Readonly<Record<string, string>> = {
  '#f3f1ec': 'weiß',
  '#d8d2c4': 'sand',
  '#b4b6b4': 'silbern',
  '#8f969b': 'grau',
  '#5b5f63': 'schiefer',
  '#2b2d30': 'schwarz',
};

/** A colour by its name, or as it is written where it has none. */
export const colourName = (colour: string): string => COLOURS[colour.toLowerCase()] ?? colour.toLowerCase();

/** What tells a line from others of its material: "mit Sand, grau", "Kreuze, 3 mm". */
export function variantName(item: MaterialId, variant: string): string {
  const parts = variant.split(' ').map((part) => (part.startsWith('#') ? colourName(part) : (PARTS[part] ?? part.replace('.', ','))));
  const last = parts.at(-1) ?? '';
  if (item === 'edgeProfile') return `${parts[0]}, ${last} mm tief`;
  const words = item === 'spacers' || item === 'levellingClips' ? [...parts.slice(0, -1), `${last} mm`] : parts;
  return words.join(', ');
}
