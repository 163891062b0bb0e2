import { z } from 'zod';
import { borderSchema } from '../../pattern/edging.ts';
import { layingFields } from '../../pattern/laying.ts';
import { measureSchema, outlineSchema } from '../../surface/fixture.ts';
import { setoutChoiceSchema } from './setoutChoice.ts';

/** An inset with a tiling of its own, placed from two edges as it is measured: a rug, a panel, another floor. */
export const insetSchema = z.strictObject({
  id: z.string().min(1).max(40),
  name: z.string().trim().min(1).max(60),
  outline: outlineSchema,
  from: z.tuple([measureSchema, measureSchema]).describe('The two edges it is measured from; it lies square to the first'),
  ...layingFields,
  setout: setoutChoiceSchema,
  border: borderSchema.nullable().default(null),
});

/** An inset; see the schema. */
export type Inset = z.infer<typeof insetSchema>;
