import { takeGlance } from './takeGlance.ts';
import { writeExport } from './writeExport.ts';

/** Heavy work, done away from the thread that answers requests. A new kind is its function and a line here. */
export const WORK = { export: writeExport, glance: takeGlance } as const satisfies Record<string, (task: never) => unknown>;

/** A kind of heavy work. */
export type WorkKind = keyof typeof WORK;

/** What a kind of work is told. */
export type Task<K extends WorkKind> = Parameters<(typeof WORK)[K]>[0];

/** What a kind of work comes to. */
export type Done<K extends WorkKind> = Awaited<ReturnType<(typeof WORK)[K]>>;

/** Does work of one kind: threads in the running server. Throws ApiError. */
export type DoWork<K extends WorkKind> = (task: Task<K>) => Promise<Done<K>>;
