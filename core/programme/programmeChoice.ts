import { z } from 'zod';
import { workdaySchema } from './workday.ts';

/** A year that somebody works in. */
const isoDaySchema = z.iso.date().refine((day) => day >= '2000-01-01' && day < '2100-01-01');

/** When a job is done: what the person said of days and waits. */
export const programmeSchema = z.strictObject({
  startDay: isoDaySchema.optional().describe('The first day of work; the day it is looked at where left out'),
  startHour: z.number().min(0).max(23).optional().describe('8 where left out'),
  daysOff: z
    .array(z.int().min(0).max(6))
    .max(6)
    .optional()
    .describe('Days of the week without work, 0 for Sunday; the weekend where left out'),
  holidays: z.array(isoDaySchema).max(100).optional(),
  weekdays: z
    .partialRecord(z.enum(['0', '1', '2', '3', '4', '5', '6']), workdaySchema)
    .optional()
    .describe('Days of the week that are not as the others, by "0" for Sunday'),
  days: z
    .record(isoDaySchema, workdaySchema)
    .optional()
    .describe('Days that are not as others of their name; one with hours of its own is worked even where the others are off'),
  waits: z
    .record(z.string().max(40), z.number().min(0).max(2000))
    .optional()
    .describe('Hours between two works, by "lay>grout", where they are not the usual ones'),
  notBefore: z.record(z.string().max(90), isoDaySchema).optional().describe('Work that was moved by hand: not before this day'),
});

/** When a job is done, as the person said it. */
export type ProgrammeChoice = z.infer<typeof programmeSchema>;
