import { wrap, type Remote } from 'comlink';
import type { Planner } from './planWorker.ts';

/** The one worker that computes plans. */
export const planner: Remote<Planner> = wrap<Planner>(new Worker(new URL('./planWorker.ts', import.meta.url), { type: 'module' }));
