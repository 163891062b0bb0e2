import type { PatternId } from '../../pattern/registry.ts';
import { countCrossings, sharedJointLengths } from '../../setout/fields/crossings.ts';
import type { Field } from '../../setout/fields/field.ts';
import type { Ledger } from '../../setout/lines/ledger.ts';
import type { LevelFigures } from '../../surface/levels/levelFigures.ts';
import type { Fixture } from '../../surface/fixture.ts';
import { WIRED } from '../../surface/fixtureCatalogue.ts';
import type { Levels } from '../../surface/levels/levels.ts';
import type { Practice } from '../../surface/levels/flatness.ts';
import type { SurfaceKind } from '../../surface/surface.ts';
import type { Traced } from '../../surface/traceSurface.ts';
import type { Product } from '../../tile/product.ts';
import type { SurfaceFigures } from '../figures.ts';
import { baysOf } from './bays.ts';
import { carriedRuns } from './carriedRuns.ts';
import { freeRuns } from './freeRuns.ts';
import { trimRuns, type Trim } from './trims.ts';
import { worksOf, type WorksChoice } from './works.ts';

/** Joints shorter than this take no clip, mm. */
const SHORTEST_CLIPPED_MM = 40;

/** What is looked at: the surface as chosen, and as it is laid. */
export interface LaidSite {
  readonly kind: SurfaceKind;
  readonly jointMm: number;
  readonly jointColour: string;
  readonly pattern: { readonly kind: PatternId };
  readonly turnDeg: number;
  readonly works?: WorksChoice | undefined;
  readonly trims?: Readonly<Record<string, Trim>> | undefined;
  readonly product: Product;
  readonly measured: { readonly fixtures: readonly Pick<Fixture, 'kind' | 'tiledUnder'>[] };
  readonly traced: Traced;
  readonly fields: readonly Field[];
  readonly ledger: Ledger | null;
  readonly levels: LevelFigures | null;
  readonly fill: Levels['fill'] | null;
}

/** What of the figures of a surface does not hang on how its tiles are shared out. */
export type SiteFigures = Pick<
  SurfaceFigures,
  | 'kind'
  | 'works'
  | 'jointMm'
  | 'jointColour'
  | 'trims'
  | 'crossings'
  | 'sharedJoints'
  | 'fill'
  | 'ledgerRunsMm'
  | 'ledgerRowMm2'
  | 'ledgerPieces'
  | 'boxes'
  | 'bays'
  | 'carried'
  | 'tileMaterial'
  | 'pattern'
  | 'isTurned'
>;

/** Measures what a surface takes besides its tiles. */
export function measureSite(site: LaidSite, practice: Practice): SiteFigures {
  const { kind, jointMm, jointColour, product, traced, fields, ledger, levels, fill } = site;
  const works = worksOf(site, product);
  const chipless = fields.filter(({ layout }) => !layout.repeat.sheet);
  return {
    kind,
    works,
    jointMm,
    jointColour,
    pattern: site.pattern.kind,
    isTurned: site.turnDeg % 90 !== 0,
    tileMaterial: product.material,
    trims: trimRuns(traced, site.trims),
    crossings: works.does.spacers ? countCrossings(chipless) : null,
    sharedJoints: works.does.clips ? sharedJointLengths(chipless, SHORTEST_CLIPPED_MM) : null,
    fill: levels && fill ? { kind: fill, meanMm: levels.meanMm, areaMm2: levels.areaMm2 } : null,
    ...(ledger ? ledgerFigures(ledger, traced) : { ledgerRunsMm: [], ledgerRowMm2: 0, ledgerPieces: 0 }),
    boxes: site.measured.fixtures.filter((one) => WIRED.has(one.kind) && !one.tiledUnder).length,
    bays: kind === 'floor' ? baysOf(traced.region, practice, works) : { limitMm: Infinity, limitMm2: null, joints: [] },
    carried: carriedRuns(traced),
  };
}

/** What a ledger takes: boards where tiles stand on the base, none across a doorway; and the row that is laid when it is off. */
function ledgerFigures(
  { heightsMm: [left, right], bottom: row }: Ledger,
  traced: Traced,
): Pick<SiteFigures, 'ledgerRunsMm' | 'ledgerRowMm2' | 'ledgerPieces'> {
  const { bottom } = traced.sides;
  const ledgerRunsMm = bottom === null ? [] : freeRuns(traced, bottom).map(([from, to]) => to - from);
  return { ledgerRunsMm, ledgerPieces: row.length, ledgerRowMm2: (ledgerRunsMm.reduce((sum, mm) => sum + mm, 0) * (left + right)) / 2 };
}
