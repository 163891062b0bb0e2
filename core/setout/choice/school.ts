import { z } from 'zod';

/** Schools of setting out that a search can be held to (practice of the trade). */
export const SCHOOLS = ['centreOut', 'offTheSeenEdge', 'outsidesIn', 'ledger', 'onBase', 'underTop'] as const;

/** One of the schools. */
export type School = (typeof SCHOOLS)[number];

/** Schema of a school. */
export const schoolSchema = z.enum(SCHOOLS);
