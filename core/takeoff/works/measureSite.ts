import { planTileStrips } from '../../cuts/strips/tileStrips.ts';
import type { PatternId } from '../../pattern/registry.ts';
import { countCrossings, sharedJointLengths } from '../../setout/fields/crossings.ts';
import type { Field } from '../../setout/fields/field.ts';
import type { Ledger } from '../../setout/lines/ledger.ts';
import type { LevelFigures } from '../../surface/levels/levelFigures.ts';
import type { Levels } from '../../surface/levels/levels.ts';
import type { Practice } from '../../surface/levels/flatness.ts';
import type { SurfaceKind } from '../../surface/surface.ts';
import type { Traced } from '../../surface/traceSurface.ts';
import { actualSize, type Product } from '../../tile/product.ts';
import type { StripFigures, SurfaceFigures } from '../figures.ts';
import { baysOf } from './bays.ts';
import { freeRuns, stretchesOf } from './freeRuns.ts';
import { partedAtJoints } from './jointsAlong.ts';
import { trimRuns, type Trim, type TrimRun } from './trims.ts';
import { worksOf, type WorksChoice } from './works.ts';

/** Joints shorter than this take no clip, mm. */
const SHORTEST_CLIPPED_MM = 40;

/** What strips of tile are cut to on a surface. */
export interface StripSizes {
  readonly skirtingMm: number;
  readonly nosingMm: number;
  readonly factoryEdge: boolean;
  readonly kerfMm: number;
}

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
  | 'strips'
  | 'crossings'
  | 'sharedJoints'
  | 'fill'
  | 'ledgerRunsMm'
  | 'ledgerRowMm2'
  | 'bays'
  | 'tileMaterial'
  | 'pattern'
  | 'isTurned'
>;

/** Measures what a surface takes besides its tiles. */
export function measureSite(site: LaidSite, practice: Practice, sizes: StripSizes): SiteFigures {
  const { kind, jointMm, jointColour, product, traced, fields, ledger, levels, fill } = site;
  const works = worksOf(site, product);
  const trims = trimRuns(traced, site.trims);
  const chipless = fields.filter(({ layout }) => !layout.repeat.sheet);
  return {
    kind,
    works,
    jointMm,
    jointColour,
    pattern: site.pattern.kind,
    isTurned: site.turnDeg % 90 !== 0,
    tileMaterial: product.material,
    trims,
    strips: stripsOf(site, trims, sizes),
    crossings: works.does.spacers ? countCrossings(chipless) : null,
    sharedJoints: works.does.clips ? sharedJointLengths(chipless, SHORTEST_CLIPPED_MM) : null,
    fill: levels && fill ? { kind: fill, meanMm: levels.meanMm, areaMm2: levels.areaMm2 } : null,
    ...(ledger ? ledgerFigures(ledger, traced) : { ledgerRunsMm: [], ledgerRowMm2: 0 }),
    bays: kind === 'floor' ? baysOf(traced.region, practice, works) : { limitMm: Infinity, limitMm2: null, joints: [] },
  };
}

/** What a ledger takes: boards where tiles stand on the base, none across a doorway; and the row that is laid when it is off. */
function ledgerFigures({ heightsMm: [left, right] }: Ledger, traced: Traced): Pick<SiteFigures, 'ledgerRunsMm' | 'ledgerRowMm2'> {
  const { bottom } = traced.sides;
  const ledgerRunsMm = bottom === null ? [] : freeRuns(traced, bottom).map(([from, to]) => to - from);
  return { ledgerRunsMm, ledgerRowMm2: (ledgerRunsMm.reduce((sum, mm) => sum + mm, 0) * (left + right)) / 2 };
}

/** Skirting and nosing cut from the tile of the surface, where it has a rectangle to cut from. */
function stripsOf(
  { product, traced, fields, jointMm }: LaidSite,
  trims: readonly TrimRun[],
  { skirtingMm, nosingMm, factoryEdge, kerfMm }: StripSizes,
): StripFigures[] {
  if (product.shape.kind !== 'rectangle') return [];
  const size = actualSize(product);
  const plan = (purpose: StripFigures['purpose'], trim: Trim, widthMm: number): StripFigures[] => {
    const runs = trims
      .filter((run) => run.trim === trim)
      .flatMap(({ edgeId, stretches }) =>
        stretches.flatMap((stretch) => partedAtJoints(fields, stretchesOf(traced.edges, edgeId), stretch, jointMm)),
      );
    const planned = runs.length === 0 ? null : planTileStrips(runs, size, { widthMm, kerfMm, factoryEdge });
    return planned ? [{ ...planned, purpose, productId: product.id }] : [];
  };
  return [...plan('skirting', 'skirtingTile', skirtingMm), ...plan('nosing', 'nosingTile', nosingMm)];
}
