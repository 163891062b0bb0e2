import type { Entry } from '@azulejo/core/site/entry';
import type { SiteRecords } from '@azulejo/core/site/siteRecords';
import type { Job, Surface } from '@azulejo/core/job/job';
import type { Plan } from '@azulejo/core/plan';
import type { Mix } from '@azulejo/core/takeoff/mixes/planMixes';
import type { SurfacePlan } from '@azulejo/core/plan/planned';

/** What an export of one surface is made from. */
export interface SurfaceSource {
  readonly job: Job;
  readonly surface: Surface;
  readonly planned: SurfacePlan;
  /** What is mixed in the whole job; left out where that is not known. */
  readonly mixes?: readonly Mix[];
  /** The one piece that is meant, by its label; all where left out. */
  readonly label?: string;
}

interface ExportBase {
  readonly label: string;
  readonly extension: string;
  readonly mediaType: string;
}

/** A file that leaves the product: of the whole job, or of one surface. */
export type ExportKind =
  | (ExportBase & {
      readonly of: 'job';
      /** Whether it shows photos of the log, or holds them. */
      readonly withPhotos?: boolean;
      /** `log` is what is in force of `records`. */
      readonly write: (job: Job, plan: () => Plan, log: readonly Entry[], records: SiteRecords) => string | Promise<string | Buffer>;
    })
  | (ExportBase & { readonly of: 'surface'; readonly write: (source: SurfaceSource) => string | Promise<string | Buffer> });
