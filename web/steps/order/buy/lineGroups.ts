import { MATERIAL_IDS, type MaterialId } from '@azulejo/core/takeoff/registry';

/** How the lines of an order are told apart at a glance: where a material not named here stands is with what goes with the tiles. */
const GROUPS: readonly { readonly title: string; readonly items: readonly MaterialId[] }[] = [
  { title: 'Tiles', items: ['tiles'] },
  {
    title: 'Under the tiles',
    items: [
      'primer',
      'leveller',
      'cement',
      'sand',
      'boards',
      'screws',
      'boardTape',
      'membrane',
      'cornerTape',
      'mesh',
      'adhesive',
      'readyAdhesive',
    ],
  },
  {
    title: 'Joints',
    items: ['grout', 'readyGrout', 'epoxyGrout', 'sealant', 'backerRod', 'movementProfile', 'spacers', 'levellingClips', 'wedges'],
  },
  { title: 'Edges', items: ['edgeProfile', 'bullnose', 'skirting', 'nosing', 'ledgerBoard'] },
];

/** The groups in their order, each with its items; what none names comes last. */
export const LINE_GROUPS = [
  ...GROUPS,
  { title: 'Care', items: MATERIAL_IDS.filter((item) => !GROUPS.some(({ items }) => items.includes(item))) },
];
