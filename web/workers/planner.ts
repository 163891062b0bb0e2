import { wrap, type Remote } from 'comlink';
import type { Planner } from './planWorker.ts';

const start = (): Remote<Planner> => wrap<Planner>(new Worker(new URL('./planWorker.ts', import.meta.url), { type: 'module' }));

/** The worker that computes plans. */
export const planner = start();

/** The worker that looks for better setouts, while plans go on. */
export const searcher = start();

/** The worker that draws: a moving hand never waits for a plan. */
export const drawer = start();
