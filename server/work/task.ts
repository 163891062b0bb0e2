import type { Job } from '@azulejo/core/job/job';

/** One export to be written, away from the thread that answers requests. */
export interface ExportTask {
  readonly exportId: string;
  readonly job: Job;
  /** The surface it is of; null for the whole job. */
  readonly surfaceId: string | null;
}

/** A written export. */
export interface Written {
  /** What it is of, for its file name. */
  readonly name: string;
  readonly content: string | Uint8Array;
}

/** What writes exports: threads in the running server. Throws ApiError. */
export type ExportWriter = (task: ExportTask) => Promise<Written>;
