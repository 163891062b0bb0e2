import { z } from 'zod';
import type { Change } from '../job/edit/editJob.ts';
import type { Job } from '../job/job.ts';
import type { Shape } from '../surface/shapes/registry.ts';

/** What the server and the page tell each other about jobs and copies; dates go over the wire as ISO text. */

/** A job in the list. */
export interface JobEntry<Instant = string> {
  readonly id: string;
  readonly name: string;
  readonly client: string;
  readonly surfaceCount: number;
  readonly version: number;
  readonly updatedAt: Instant;
  /** Surfaces that the work is done on. */
  readonly laidCount: number;
  /** Lengths still to be measured since surfaces were copied. */
  readonly toMeasureAgain: number;
  /** The surfaces that changed last, those not laid first, each with its measured shape. */
  readonly latest: readonly { readonly id: string; readonly name: string; readonly laid: boolean; readonly shape: Shape }[];
}

/** Where a job stands on the server for one of those who work on it: its version, and what they can undo and redo. */
export interface JobStanding {
  readonly version: number;
  readonly undoLabel: string | null;
  readonly redoLabel: string | null;
  /** What was done last, by whom, and whether it was oneself; null where nothing was. */
  readonly last?: { readonly label: string; readonly person: string; readonly own: boolean } | null;
}

/** A job as the server keeps it. */
export interface StoredJob extends JobStanding {
  readonly job: Job;
}

/** A stored job, and the parts of it that changed since the version that was known. */
export interface LatestJob extends StoredJob {
  readonly changed: readonly string[];
  /** Whether the change that was asked for is in its history. */
  readonly made: boolean;
}

/** Where a job stands after a change, and what others had changed since the version it was built on. */
export interface Saved extends JobStanding {
  readonly others: readonly string[];
}

/** A change on its way, known by its id when it is sent again. */
export interface SentChange extends Omit<Change, 'label'> {
  readonly id: string;
  /** A ChangeLabel; plain words where an older version made the change. */
  readonly label: string;
  /** The browser it was made in: undo and redo are its own. */
  readonly by?: string;
  /** Who holds it, where they said so. */
  readonly person?: string;
}

/** A job in a day's copy. */
export interface CopiedJob {
  readonly id: string;
  readonly name: string;
  readonly client: string;
  readonly surfaceCount: number;
}

/** A day's copy of all jobs. */
export interface Copy {
  readonly day: string;
  readonly jobs: readonly CopiedJob[];
}

/** What came of data that could not be read as it was when the server started. */
export interface Rescue {
  /** When, as an ISO date. */
  readonly at: string;
  /** Names of jobs read from the damaged data itself. */
  readonly fromData: readonly string[];
  /** Jobs taken from the newest copy that has them. */
  readonly fromCopies: readonly { readonly name: string; readonly day: string }[];
  /** Jobs of which surfaces or tiles stand neither in the data nor in a copy, and how many. */
  readonly lost: readonly { readonly name: string; readonly parts: number }[];
  /** Where the damaged data was put. */
  readonly setAside: string;
}

/** A piece that another job left over. */
export const shelfItemSchema = z.object({
  id: z.string(),
  jobId: z.string(),
  jobName: z.string(),
  productId: z.string(),
  name: z.string(),
  widthMm: z.number(),
  heightMm: z.number(),
  pieces: z.int(),
});

/** A piece that another job left over. */
export type ShelfItem = z.infer<typeof shelfItemSchema>;
