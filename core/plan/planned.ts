import type { CutPiece } from '../cuts/cutPiece.ts';
import type { CutGroup } from '../cuts/groupCuts.ts';
import type { Labels } from '../cuts/labelPieces.ts';
import type { OffCutPlan } from '../cuts/offCuts/planOffCuts.ts';
import type { SheetPlan } from '../cuts/sheets/planSheets.ts';
import type { Job, Surface } from '../job/job.ts';
import type { Candidate } from '../setout/tally/candidate.ts';
import type { Pin } from '../setout/choice/pins.ts';
import type { SetoutAdvice } from '../setout/tell/adviseSetout.ts';
import type { EdgeSummary } from '../setout/edges/edgeCuts.ts';
import type { Field } from '../setout/fields/field.ts';
import type { Point } from '../geometry/point.ts';
import type { Ring } from '../geometry/ring.ts';
import type { Layout } from '../setout/place/layout.ts';
import type { Ledger } from '../setout/lines/ledger.ts';
import type { Axis } from '../setout/choice/axisPlacement.ts';
import type { StruckLines } from '../setout/lines/strikeLines.ts';
import type { LayingZones } from '../zones/layingZones.ts';
import type { LevelFigures } from '../surface/levels/levelFigures.ts';
import type { Traced } from '../surface/traceSurface.ts';
import type { SurfaceFigures } from '../takeoff/figures.ts';
import type { Extent } from '../takeoff/measureExtent.ts';
import type { Consumption } from '../takeoff/consumption.ts';
import type { Totals } from '../takeoff/totals.ts';
import type { SiteFigures } from '../takeoff/works/measureSite.ts';

/** What of a job the plan of one surface depends on; of its surfaces and links, those that meet it. */
export type PlanRules = Pick<
  Job,
  'products' | 'consumption' | 'blanks' | 'practice' | 'way' | 'tape' | 'links' | 'surfaces' | 'materials' | 'habits' | 'labour' | 'mixing'
>;

/** What of them the layout of one surface depends on, before what surfaces share. */
export interface LayoutRules extends Pick<
  PlanRules,
  'products' | 'practice' | 'way' | 'tape' | 'links' | 'surfaces' | 'materials' | 'habits'
> {
  readonly consumption: Pick<
    Consumption,
    'kerfMm' | 'coreBitsMm' | 'offCutsKept' | 'skirtingMm' | 'nosingMm' | 'stripEdge' | 'stripJoints'
  >;
}

/** Where every piece of one surface lies: what the drawing shows. Plain data, quick to compute. */
export interface Drawing {
  readonly surfaceId: string;
  readonly traced: Traced;
  /** The main field as laid. */
  readonly layout: Layout;
  /** Every field, the main one first: stretches beyond bands, bands, borders, insets. */
  readonly fields: readonly Field[];
  readonly choice: Pick<Candidate, 'x' | 'y' | 'turn' | 'turnDeg' | 'sides'> & {
    /** Where a full piece starts in each direction, from the low limit of the field in its own frame, mm. */
    readonly startsMm: Point;
    /** The starts that a hand is led to in each direction: centres, edges, what stands in the field; mm. */
    readonly snapsMm: Readonly<Record<Axis, readonly number[]>>;
    /** The outline that rules are taken from: the field without its gaps. */
    readonly frame: Ring;
    /** Whether the field may be turned against the surface. */
    readonly mayTurn: boolean;
  };
  /** The setout as it was weighed before it was laid. */
  readonly weighed: Candidate;
  readonly edges: readonly EdgeSummary[];
  /** The sides of what stands in the field, met as edges are. */
  readonly beside: readonly EdgeSummary[];
  /** What is asked of the setout. */
  readonly pins: readonly Pin[];
  /** What is struck before the first tile is set. */
  readonly struck: StruckLines;
  /** What the second course of a wall stands on; null where full courses stand on the base, and on floors. */
  readonly ledger: Ledger | null;
}

/** What a surface is set out together with. */
export interface GroupFigures {
  /** The surfaces that its joints run on into in either direction. */
  readonly surfaceIds: readonly string[];
  /** How far edges that close a ring are from agreeing, mm. */
  readonly offMm: number;
  /** The upright corners at which what is cut off can begin the course beyond, and whether it does. */
  readonly corners: readonly { readonly linkId: string; readonly surfaceId: string; readonly runsOn: boolean }[];
}

/** All of one surface that it has by itself: its drawing, its setout weighed, every cut described. */
export interface SurfaceLayout extends Drawing {
  /** What it is, and what was said of the zones in which it is laid. */
  readonly laid: Pick<Surface, 'kind' | 'zones'>;
  /** What the levels come to; null before there are three readings. */
  readonly levels: LevelFigures | null;
  readonly extent: Extent;
  readonly advice: SetoutAdvice;
  /** What it is set out together with. */
  readonly group: GroupFigures;
  /** How pieces are named, field by field. */
  readonly labels: readonly Labels[];
  /** Every piece that is not whole, chips of sheets among them. */
  readonly cuts: readonly CutPiece[];
  /** What hands cut: the same without chips, and with the parts of sheets and strips that stand beside the surface. */
  readonly toCut: readonly CutPiece[];
  /** What comes out of tiles and sheets: the cuts, and the strips. */
  readonly fromTiles: readonly CutPiece[];
  readonly groups: readonly CutGroup[];
  /** The sheets of mosaics, product by product. */
  readonly sheets: readonly SheetPlan[];
  /** What it takes besides its tiles. */
  readonly site: SiteFigures;
}

/** What one surface has of what surfaces of a job share. */
export interface SurfaceShare {
  readonly offCuts: OffCutPlan;
  readonly totals: Totals;
  readonly figures: SurfaceFigures;
  /** The zones in which it is laid. */
  readonly zones: LayingZones;
}

/** Everything about one surface. */
export interface SurfacePlan extends SurfaceLayout, SurfaceShare {}
