import { z } from 'zod';

/** How far an arm reaches over what is laid, mm (trade practice). */
export const USUAL_REACH_MM = 800;

/** How a surface is parted into zones that are laid one after the other. */
export const zoneChoiceSchema = z.strictObject({
  reachMm: z.number().min(300).max(2000).optional().describe('How far one reaches from where one kneels; 800 where left out'),
  areaM2: z.number().min(0.1).max(50).optional().describe('No zone is larger; what one mix covers where left out'),
  exit: z.string().max(40).optional().describe('The edge one leaves by; every doorway where left out'),
  order: z
    .array(z.string().max(24))
    .max(200)
    .optional()
    .describe('Zones in the order in which they are laid, where it is not the proposed one'),
});

/** How a surface is parted into zones. */
export type ZoneChoice = z.infer<typeof zoneChoiceSchema>;
