import type { Job } from '../core/job/job.ts';
import { tell, type Story } from '../core/stories/story.ts';
import { plannedOnce } from './plannedOnce.ts';

/** A story, planned once for all files of tests that look at it. */
export const toldOnce = (job: Job): Story => tell(job, plannedOnce(job));
