import type { Memory, Shelf } from '../../memory.ts';
import type { Surface } from '../../job/job.ts';
import { standOffs, type CornerRules } from '../../job/standOffs.ts';
import { tilesNamedBy } from '../../job/tilesNamedBy.ts';
import { openSurface } from '../../setout/search/openSurface.ts';
import { Placer } from '../../setout/search/placer.ts';
import { weightsOf } from '../../setout/choice/ways.ts';
import { traceSurface, type Traced } from '../../surface/traceSurface.ts';
import type { PlanRules } from '../planned.ts';

/** What a surface is opened from. */
export type OpeningRules = CornerRules & Pick<PlanRules, 'way'>;

/** A surface that is ready to be set out. */
export interface OpenSurface {
  /** All that it was made from: the same for the same surface, and for no other. */
  readonly key: string;
  readonly traced: Traced;
  readonly placer: Placer;
}

/** The surfaces of a large job, and some of them as they were a moment ago. */
const OPEN_SURFACES: Shelf<OpenSurface> = { most: 120 };

/**
 * Traces a surface and opens its fields. Wherever its setout begins the same is given again: a hand that moves it,
 * a plan and the surfaces it meets share what was worked out once.
 */
export function prepareSurface(rules: OpeningRules, surface: Surface, memory: Memory): OpenSurface {
  const { products, way } = rules;
  const offs = standOffs(rules, surface);
  const named = tilesNamedBy(surface);
  const weights = weightsOf(way);
  const { setout, ...chosen } = { ...surface, name: '' };
  const key = JSON.stringify([chosen, setout.pins ?? [], weights, offs, products.filter(({ id }) => named.has(id))]);
  return memory.recall(OPEN_SURFACES, key, () => {
    const traced = traceSurface(surface.measured, offs);
    return { key, traced, placer: new Placer(openSurface(surface, traced, products), weights, setout.pins) };
  });
}
