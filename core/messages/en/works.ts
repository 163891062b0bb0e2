import type { Trim } from '../../takeoff/works/trims.ts';
import type { Substrate, Work, Works } from '../../takeoff/works/works.ts';

/** Where a surface is. */
export const PLACE_NAMES: Readonly<Record<Works['place'], string>> = { dry: 'Dry', wet: 'Wet', outdoors: 'Outdoors' };

/** What goes over it. */
export const LOAD_NAMES: Readonly<Record<Works['load'], string>> = { feet: 'Feet', heavy: 'Heavy loads' };

/** What tiles are laid on. */
export const SUBSTRATE_NAMES: Readonly<Record<Substrate, string>> = {
  screed: 'Cement screed',
  concrete: 'Concrete',
  anhydrite: 'Gypsum screed',
  plaster: 'Plaster',
  plasterboard: 'Plasterboard',
  cementBoard: 'Cement board',
  plywood: 'Plywood',
  oldTiles: 'Old tiles',
};

/** What tiles are bedded in. */
export const ADHESIVE_NAMES: Readonly<Record<Works['adhesive'], string>> = { powder: 'From the bag', ready: 'Ready-mixed' };

/** The colour it dries to. */
export const MORTAR_NAMES: Readonly<Record<Works['mortar'], string>> = { grey: 'Grey', white: 'White' };

/** What the joints are filled with. */
export const GROUT_NAMES: Readonly<Record<Works['grout'], string>> = {
  fine: 'Without sand',
  sanded: 'With sand',
  ready: 'Ready-mixed',
  epoxy: 'Epoxy',
};

/** What is done to a surface, or left out. */
export const WORK_NAMES: Readonly<Record<Work, string>> = {
  prime: 'Primed',
  board: 'Boarded',
  membrane: 'Waterproofed',
  mesh: 'Mesh in the bed',
  clips: 'Levelling clips',
  spacers: 'Spacers',
  sealTile: 'Tiles sealed before grout',
  sealGrout: 'Joints sealed',
  haze: 'Haze taken off',
  protect: 'Covered when done',
};

/** What an edge ends in. */
export const TRIM_NAMES: Readonly<Record<Trim, string>> = {
  none: 'Nothing',
  profile: 'Edge profile',
  bullnose: 'Bullnose trim',
  dressed: 'Dressed by hand',
  mitre: 'Mitred tiles',
  skirting: 'Skirting in lengths',
  skirtingTile: 'Skirting cut from the tile',
  nosing: 'Nosing profile',
  nosingTile: 'Nosing cut from the tile',
};
