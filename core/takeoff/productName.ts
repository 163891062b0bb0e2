import type { Job } from '../job.ts';

/** What a product of the job is called; its id where the job no longer has it. */
export const productName = (job: Job, productId: string): string =>
  job.products.find(({ id }) => id === productId)?.name ?? productId;
