import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Job } from '@azulejo/core/job/job';

/** A file with some surfaces of a demo job: what a test does not look at needs not be planned for it, which takes seconds a page. */
export function demoPart(name: 'tidewater-bakehouse' | 'sample-boards', ...surfaces: readonly RegExp[]): string {
  const job = JSON.parse(readFileSync(new URL(`../demo/${name}.json`, import.meta.url), 'utf8')) as Job;
  const isIn = (id: string): boolean => surfaces.some((wanted) => wanted.test(id));
  const part: Job = {
    ...job,
    surfaces: job.surfaces.filter(({ id }) => isIn(id)),
    links: job.links.filter(({ a, b }) => isIn(a.surface) && isIn(b.surface)),
    ...(isIn('oven-wall') ? {} : { variants: undefined }),
  };
  if (part.surfaces.length < surfaces.length) throw new Error(`of ${name} not all is there: ${surfaces.join(', ')}`);
  const file = join(mkdtempSync(join(tmpdir(), 'azulejo-part-')), `${name}.json`);
  writeFileSync(file, JSON.stringify(part));
  return file;
}
