import { describe, expect, test } from '@jest/globals';
import { openFindings } from '@azulejo/core/advice/registry';
import { DEMO_JOBS, demoJob, demoPlan } from '../../../testing/demoJob.ts';
import { foundOnJob, groupByRoom, sizeOf, surfaceWithTile } from './model.ts';

describe.each(DEMO_JOBS)('the page of %s', (name) => {
  const job = demoJob(name);
  const { findings } = demoPlan(name);

  test('shows every surface once, in its room', () => {
    const groups = groupByRoom(job);
    expect(groups.flatMap(({ surfaces }) => surfaces.map(({ id }) => id)).sort()).toEqual(job.surfaces.map(({ id }) => id).sort());
    for (const { id, name: room, surfaces } of groups) {
      expect(room).toBe(job.rooms.find((one) => one.id === id)?.name ?? '');
      for (const surface of surfaces) expect(surface.roomId).toBe(id);
    }
    const known = groups.flatMap(({ id }) => (id === null ? [] : [id]));
    expect(known).toEqual(job.rooms.map(({ id }) => id).filter((id) => known.includes(id)));
  });

  test('tells every finding once: of the job, or of its surface', () => {
    const found = foundOnJob(job, findings);
    const told = [...found.ofJob, ...job.surfaces.flatMap(({ id }) => found.ofSurface(id))];
    expect(told).toHaveLength(openFindings(findings).length);
    for (const [k, { id }] of job.surfaces.entries())
      for (const { path } of found.ofSurface(id)) expect(path.slice(0, 2)).toEqual(['surfaces', k]);
    expect(found.ofSurface('no such surface')).toEqual([]);
  });

  test('leads from a tile to a surface that is laid with it', () => {
    for (const [k, { id }] of job.products.entries()) {
      const surface = surfaceWithTile(job, k);
      const isUsed = job.surfaces.some((one) => JSON.stringify(one).includes(`"${id}"`));
      if (isUsed) expect(JSON.stringify(surface)).toContain(`"${id}"`);
      else expect(surface).toBe(job.surfaces[0]);
    }
    expect(surfaceWithTile({ surfaces: [], products: job.products }, 0)).toBeNull();
  });

  test('says how large each surface is, in its own tape', () => {
    for (const surface of job.surfaces) {
      expect(sizeOf(job, surface)).toMatch(/ x /);
      const inches = { ...surface, tape: { ...job.tape, system: 'imperial' as const } };
      expect(sizeOf(job, inches)).toMatch(/"$/);
    }
  });
});
