import { createHash } from 'node:crypto';
import type { Job } from '@azulejo/core/job/job';
import type { Memory } from '@azulejo/core/memory';
import { briefOf, type SurfaceBrief } from '@azulejo/core/plan/layout/briefOf';
import { rememberKept, writeKept } from '@azulejo/core/plan/layout/keptLayouts';
import { knownLayout, textOf } from '@azulejo/core/plan/layout/knownLayouts';
import type { LayoutStore } from './layoutStore.ts';
import { pack, unpack } from './pack.ts';

/** Under what the layout of a surface is kept: all that it is made from, and the release of the core that makes it. */
export const layoutKey = (release: string, brief: SurfaceBrief): string =>
  createHash('sha256').update(`${release}\n`).update(textOf(brief)).digest('hex');

/** A layout of more cut pieces is not kept: its text would take the memory that the next plan may need. */
const MOST_CUTS = 5000;

/**
 * Lets a memory recall what is kept of the surfaces of a job. Gives what keeps the rest, once the job was planned with that memory.
 * What can't be read is worked out anew. Throws what the store throws.
 */
export async function recall(job: Job, release: string, memory: Memory, store: LayoutStore): Promise<() => Promise<void>> {
  const open = job.surfaces
    .map((surface) => briefOf(job, surface))
    .filter((brief) => knownLayout(brief, memory) === undefined)
    .map((brief) => ({ key: layoutKey(release, brief), brief }));
  const found = open.length === 0 ? [] : await store.find(open.map(({ key }) => key));
  for (const { content } of found) {
    try {
      rememberKept(unpack(content), memory);
    } catch {
      continue;
    }
  }
  const fresh = open.filter(({ brief }) => knownLayout(brief, memory) === undefined);
  return async () => {
    const made = fresh.flatMap(({ key, brief }) => {
      const layout = knownLayout(brief, memory);
      return layout && layout.cuts.length <= MOST_CUTS ? [{ key, content: pack(writeKept(brief, layout)) }] : [];
    });
    if (made.length > 0) await store.keep(made);
  };
}
