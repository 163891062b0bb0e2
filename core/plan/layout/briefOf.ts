import { oncePer } from '../../oncePer.ts';
import type { Job, Surface } from '../../job/job.ts';
import { tilesNamedBy } from '../../job/tilesNamedBy.ts';
import type { Product } from '../../tile/product.ts';
import { companionsOf } from '../groups/groupSetouts.ts';
import type { LayoutRules, PlanRules } from '../planned.ts';

/** What a surface is planned from: itself, the tiles it names, and the rules of its job. Pictures are none of it. */
export interface SurfaceBrief {
  readonly rules: PlanRules;
  readonly surface: Surface;
}

/** The brief of one surface of a job, small enough to be sent for every frame of a moving hand. */
export function briefOf(
  { products, consumption, blanks, practice, way, tape, surfaces, links, materials, habits, labour, mixing }: PlanRules,
  surface: Surface,
): SurfaceBrief {
  const met = companionsOf(surface, surfaces, links);
  const named = new Set([surface, ...met.surfaces].flatMap((one) => [...tilesNamedBy(one)]));
  const own = products.filter(({ id }) => named.has(id)).map(withoutPicture);
  const said = {
    ...(blanks ? { blanks } : {}),
    ...(habits ? { habits } : {}),
    ...(labour ? { labour } : {}),
    ...(mixing ? { mixing } : {}),
  };
  return { rules: { products: own, consumption, materials, ...said, practice, way, tape, ...met }, surface };
}

/** What of some rules a layout depends on: while that stays as it is, so does the layout. What a tile costs and which lots there are moves no piece. */
export function layoutRulesOf({ products, consumption, practice, way, tape, links, surfaces, materials, habits }: PlanRules): LayoutRules {
  const { kerfMm, coreBitsMm, offCutsKept, skirtingMm, nosingMm, stripEdge, stripJoints } = consumption;
  const said = { ...(coreBitsMm ? { coreBitsMm } : {}), ...(stripJoints ? { stripJoints } : {}) };
  const laid = products.map((product): Product => ({ ...product, boxPrice: 0, lots: [] }));
  return {
    products: laid,
    consumption: { kerfMm, ...said, offCutsKept, skirtingMm, nosingMm, stripEdge },
    practice,
    way,
    tape,
    links,
    surfaces,
    ...cornerSaid(materials, habits),
  };
}

/** What corners and trims go by: notches and widths, nothing of packs or prices. */
function cornerSaid(materials: PlanRules['materials'], habits: PlanRules['habits']): Pick<LayoutRules, 'materials' | 'habits'> {
  const said: Partial<PlanRules['materials']> = {};
  for (const item of CORNER_MATERIALS) {
    const { figures, sheet, choices } = materials[item] ?? {};
    if (figures ?? sheet ?? choices) said[item] = { figures, sheet, choices };
  }
  const own = Object.fromEntries(CORNER_MATERIALS.flatMap((item) => (habits && Object.hasOwn(habits, item) ? [[item, habits[item]]] : [])));
  return { materials: said, ...(habits ? { habits: own } : {}) };
}

const CORNER_MATERIALS = ['adhesive', 'readyAdhesive', 'bullnose', 'edgeProfile'] as const;

/** A tile without its picture; the same for the same tile. */
const withoutPicture = oncePer((product: Product): Product => (product.picture === null ? product : { ...product, picture: null }));

/** What the shared stages of a job's plan depend on, without the pictures. */
export const withoutPictures = (job: Job): Job => ({ ...job, products: job.products.map(withoutPicture) });
