import { LINE_GROUPS, type LineGroup } from '../takeoff/materialKind.ts';
import { MATERIALS } from '../takeoff/registry.ts';
import { totalOf, type Material } from './priceMaterials.ts';

/** What a line is, whatever it is called by then: its material, its tile, hand and variant. One text for one thing to buy. */
export const lineKey = ({ item, productId, hand, variant }: Pick<Material, 'item' | 'productId' | 'hand' | 'variant'>): string =>
  [item, productId, hand, variant].filter((part) => part !== null && part !== undefined).join('/');

/** Packs of a line, of all sizes together. */
export const packsOf = ({ packs }: Pick<Material, 'packs'>): number => packs.reduce((sum, { count }) => sum + count, 0);

/** Lines of an order that stand together, and what they cost. */
export interface LinesTogether {
  readonly group: LineGroup;
  readonly lines: readonly Material[];
  readonly cost: number;
}

/** The lines of an order by what they go with, in their order; groups without lines are left out. */
export const groupLines = (materials: readonly Material[], currency: string): LinesTogether[] =>
  LINE_GROUPS.map((group) => {
    const lines = materials.filter(({ item }) => MATERIALS[item].group === group);
    return { group, lines, cost: totalOf(lines, currency) };
  }).filter(({ lines }) => lines.length > 0);
