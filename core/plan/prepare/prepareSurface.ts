import type { Surface } from '../../job/job.ts';
import { tilesNamedBy } from '../../job/tilesNamedBy.ts';
import { openSurface } from '../../setout/search/openSurface.ts';
import { Placer } from '../../setout/search/placer.ts';
import { weightsOf } from '../../setout/choice/ways.ts';
import { traceSurface, type Traced } from '../../surface/traceSurface.ts';
import type { PlanRules } from '../planned.ts';

/** A surface that is ready to be set out. */
export interface OpenSurface {
  /** The same for the same surface while it is remembered, and for no other. */
  readonly key: number;
  readonly traced: Traced;
  readonly placer: Placer;
}

/** So many are remembered: the surfaces of a large job, and some of them as they were a moment ago. */
const MOST_OPEN = 120;

const known = new Map<string, OpenSurface>();
let opened = 0;

/**
 * Traces a surface and opens its fields. Wherever its setout begins the same is given again: a hand that moves it,
 * a plan and the surfaces it meets share what was worked out once.
 */
export function prepareSurface({ products, way }: Pick<PlanRules, 'products' | 'way'>, surface: Surface): OpenSurface {
  const named = tilesNamedBy(surface);
  const weights = weightsOf(way);
  const { setout, ...chosen } = { ...surface, name: '' };
  const text = JSON.stringify([chosen, setout.pins ?? [], weights, products.filter(({ id }) => named.has(id))]);
  let open = known.get(text);
  if (!open) {
    const traced = traceSurface(surface.measured);
    open = { key: ++opened, traced, placer: new Placer(openSurface(surface, traced, products), weights, setout.pins) };
  }
  known.delete(text);
  known.set(text, open);
  const [oldest] = known.keys();
  if (known.size > MOST_OPEN && oldest !== undefined) known.delete(oldest);
  return open;
}
