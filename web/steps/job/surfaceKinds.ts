import type { Surface } from '@azulejo/core/job/job';

/** What kinds of surface are called. */
export const KIND_LABELS: Readonly<Record<Surface['kind'], string>> = { floor: 'Floor', wall: 'Wall', countertop: 'Countertop' };
