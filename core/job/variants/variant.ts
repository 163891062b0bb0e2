import { z } from 'zod';
import { editSchema } from '../edit/edit.ts';

/** Another way to do a part of the job: what it changes, so that it follows when the rest is measured again. */
export const variantSchema = z.strictObject({
  id: z.string().min(1).max(40),
  name: z.string().trim().min(1).max(80),
  edits: z.array(editSchema).max(1000).describe('From the job as it stands to the variant'),
});

/** Another way to do a part of the job. */
export type Variant = z.infer<typeof variantSchema>;

/** The most variants a job keeps. */
export const MOST_VARIANTS = 20;
