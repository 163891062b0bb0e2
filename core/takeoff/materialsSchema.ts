import { z } from 'zod';
import { settingsSchema } from './materialKind.ts';
import { MATERIALS, MATERIAL_IDS } from './registry.ts';

/** Schema of what is set for the materials of a job; what is left out is as usual. */
export const materialsSchema = z
  .strictObject(Object.fromEntries(MATERIAL_IDS.map((item) => [item, settingsSchema(MATERIALS[item]).optional()])))
  .describe('Figures, choices and packs of materials where they are not the usual ones');
