import { tapeOf, type Job, type Surface } from '@azulejo/core/job/job';
import { wordsIn, type Words } from '@azulejo/core/messages/words';
import type { Plan } from '@azulejo/core/plan';
import type { Mix } from '@azulejo/core/takeoff/mixes/planMixes';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import type { Entry } from '@azulejo/core/site/entry';
import type { SiteRecords } from '@azulejo/core/site/siteRecords';
import type { Tape } from '@azulejo/core/units/tape';

/** What an export of one surface is made from. */
export interface SurfaceSource {
  readonly job: Job;
  readonly surface: Surface;
  readonly planned: SurfacePlan;
  /** What is mixed in the whole job; left out where that is not known. */
  readonly mixes?: readonly Mix[];
  /** The one piece that is meant, by its label; all where left out. */
  readonly label?: string;
  /** What it is said in, and a tape that reads in that language. */
  readonly words: Words;
  readonly tape: Tape;
}

/** An export of one surface in the words of a language, English where left out. */
export const surfaceSource = (of: Omit<SurfaceSource, 'words' | 'tape'>, words: Words = wordsIn('en')): SurfaceSource => ({
  ...of,
  words,
  tape: words.read(tapeOf(of.job, of.surface)),
});

/** What an export of a whole job is made from. */
export interface JobSource {
  readonly job: Job;
  readonly plan: () => Plan;
  /** What was written down on site, as far as it is in force. */
  readonly log: readonly Entry[];
  /** All of what was ticked and written down. */
  readonly records: SiteRecords;
  readonly words: Words;
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
      readonly write: (source: JobSource) => string | Promise<string | Buffer>;
    })
  | (ExportBase & { readonly of: 'surface'; readonly write: (source: SurfaceSource) => string | Promise<string | Buffer> });
