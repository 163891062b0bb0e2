import type { Memory, Shelf } from '../../memory.ts';
import type { Job } from '../../job/job.ts';
import type { SurfaceLayout } from '../planned.ts';
import { briefOf, layoutRulesOf, type SurfaceBrief } from './briefOf.ts';

/** Layouts, by all that they were made from: twice the largest job. */
const LAYOUTS: Shelf<SurfaceLayout> = { most: 400 };

/** All that the layout of a surface is made from, and whether it can be laid. */
export const textOf = ({ rules, surface }: SurfaceBrief): string => JSON.stringify([layoutRulesOf(rules), surface]);

/** The layout of a surface, where one was made from the very same before. */
export const knownLayout = (brief: SurfaceBrief, memory: Memory): SurfaceLayout | undefined => memory.find(LAYOUTS, textOf(brief));

/** Keeps the layout of a surface, and gives it. */
export const rememberLayout = (brief: SurfaceBrief, layout: SurfaceLayout, memory: Memory): SurfaceLayout =>
  rememberFrom(textOf(brief), layout, memory);

/** Keeps a layout under the text of what it was made from. */
export const rememberFrom = (text: string, layout: SurfaceLayout, memory: Memory): SurfaceLayout => memory.keep(LAYOUTS, text, layout);

/** Takes over the layouts of a job that was planned elsewhere by the same release: a surface that stayed as it was is not laid out again. */
export function rememberPlanned(job: Job, layouts: readonly SurfaceLayout[], memory: Memory): void {
  for (const layout of layouts) {
    const surface = job.surfaces.find(({ id }) => id === layout.surfaceId);
    if (surface) rememberLayout(briefOf(job, surface), layout, memory);
  }
}
