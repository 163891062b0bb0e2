import type { IssueCode } from '../issueCodes.ts';
import type { Figures, Issue } from '../result.ts';
import type { AdviceCode } from './harm.ts';
import type { Job, Surface } from '../job/job.ts';
import type { Product } from '../tile/product.ts';
import type { CutPiece } from '../cuts/cutPiece.ts';
import type { SheetPlan } from '../cuts/sheets/planSheets.ts';
import type { SurfaceFigures } from '../takeoff/figures.ts';
import type { SetoutAdvice } from '../setout/tell/adviseSetout.ts';
import type { EdgeSummary } from '../setout/edges/edgeCuts.ts';
import type { Field } from '../setout/fields/field.ts';
import type { LayingZones } from '../zones/layingZones.ts';
import type { LevelFigures } from '../surface/levels/levelFigures.ts';
import type { Material } from '../money/priceMaterials.ts';
import type { SurfacePlan } from '../plan/planned.ts';
import type { Programme } from '../programme/programme.ts';
import type { Traced } from '../surface/traceSurface.ts';

/** A value, and where in the job it goes. */
interface Mend {
  readonly path: Issue['path'];
  readonly value: string | number | boolean;
}

/** Something the person should know, with the field that mends it. Its words live in messages/. */
export interface Finding {
  /** What is found; or what is untrue of a stored job, by the code of its refusal. */
  readonly code: AdviceCode | IssueCode;
  readonly severity: 'note' | 'warning';
  readonly path: Issue['path'];
  readonly figures: Figures;
  /** What mends it by a press, where that is safe; all of it, where it is in several places. */
  readonly mend?: Mend & { readonly also?: readonly Mend[] };
  /** What the person noted who knows of it; null where nobody said so. */
  readonly known?: string | null;
}

/** What a rule looks at: one surface as chosen and as planned. */
export interface AdviceContext {
  readonly job: Job;
  readonly surface: Surface;
  readonly surfaceIndex: number;
  readonly product: Product;
  readonly plan: {
    readonly traced: Traced;
    readonly edges: readonly EdgeSummary[];
    /** The sides of what stands in the field. */
    readonly beside: readonly EdgeSummary[];
    readonly fields: readonly Field[];
    readonly levels: LevelFigures | null;
    readonly cuts: readonly CutPiece[];
    readonly toCut: readonly CutPiece[];
    readonly sheets: readonly SheetPlan[];
    readonly figures: SurfaceFigures;
    readonly advice: SetoutAdvice;
    readonly zones: LayingZones;
  };
}

/** What a rule over the whole job looks at. */
export interface JobContext {
  readonly job: Job;
  readonly surfaces: readonly SurfacePlan[];
  readonly materials: readonly Material[];
  readonly programme: Programme;
}

/** A rule over the whole job finds nothing or some findings. */
export type JobRule = (context: JobContext) => readonly Finding[];

/** A rule finds nothing or some findings. */
export type AdviceRule = (context: AdviceContext) => readonly Finding[];
