import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { demoJob } from '../../../testing/demoJob.ts';
import type { Job } from '../job.ts';
import { acceptChange } from '../acceptChange.ts';
import { applyEdits, PlaceGone } from './applyEdits.ts';
import { differences } from './differences.ts';
import { partOf, type Edit } from './edit.ts';
import { keepSame } from './keepSame.ts';
import { editJob } from './editJob.ts';

const demo = demoJob('tidewater-bakehouse');

/** Documents of lists with ids, plain lists and fields, as a job has them. */
const { document } = fc.letrec<{ document: Record<string, unknown>; value: unknown }>((tie) => ({
  value: fc.oneof(
    { maxDepth: 3 },
    fc.integer(),
    fc.constantFrom('a', '', 'constructor', '__proto__'),
    fc.constant(null),
    fc.array(fc.integer(), { maxLength: 3 }),
    fc.uniqueArray(fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd', 'e'), x: tie('value') }), {
      maxLength: 5,
      selector: ({ id }) => id,
    }),
    tie('document'),
  ),
  document: fc.dictionary(fc.constantFrom('kind', 'id', 'name', 'list', 'constructor', 'toString'), tie('value'), { maxKeys: 4 }),
}));
const asJob = (data: unknown): Job => data as Job;
const plainly = (data: unknown): unknown => JSON.parse(JSON.stringify(data));

test('differences lead from any document to any other, also as they travel, and back', () => {
  fc.assert(
    fc.property(document, document, (before, after) => {
      const edits = plainly(differences(before, after)) as Edit[];
      const changed = applyEdits(asJob(before), edits);
      expect(plainly(changed)).toEqual(plainly(after));
      expect(plainly(applyEdits(changed, differences(changed, before)))).toEqual(plainly(before));
    }),
    { numRuns: 2000 },
  );
});

test('lists keep their order whatever is dropped, put and moved', () => {
  const ids = fc.uniqueArray(fc.constantFrom(...'abcdefgh'), { maxLength: 8 });
  const listOf = (keys: readonly string[]) => asJob({ list: keys.map((id) => ({ id })) });
  fc.assert(
    fc.property(ids, ids, (before, after) => {
      expect(applyEdits(listOf(before), differences(listOf(before), listOf(after)))).toEqual(listOf(after));
    }),
  );
});

describe('a change says no more than it changes', () => {
  test('one figure of one surface among many', () => {
    const { change, job } = editJob(demo, 'joint', (draft) => {
      draft.surfaces[3].jointMm += 1;
    });
    expect(change.edits).toEqual([
      { op: 'set', path: ['surfaces', { id: demo.surfaces[3].id }, 'jointMm'], value: demo.surfaces[3].jointMm + 1 },
    ]);
    expect(change.edits.map(partOf)).toEqual([`surfaces/${demo.surfaces[3].id}`]);
    expect(applyEdits(demo, change.edits).surfaces[4]).toBe(job.surfaces[4]);
  });
  test('a surface that others deleted one before stays the one that is meant', () => {
    const target = demo.surfaces[3].id;
    const { change } = editJob(demo, 'jobName', (draft) => {
      draft.surfaces[3].name = 'Mine';
    });
    const shorter = { ...demo, surfaces: demo.surfaces.filter((_, k) => k !== 1) };
    const changed = applyEdits(shorter, change.edits);
    expect(changed.surfaces.filter(({ name }) => name === 'Mine').map(({ id }) => id)).toEqual([target]);
    expect(() => applyEdits({ ...demo, surfaces: demo.surfaces.slice(0, 2) }, change.edits)).toThrow(PlaceGone);
  });
  test('deleting a tile does not carry the pictures of others', () => {
    const { change } = editJob(demo, 'deleteSurface', (draft) => {
      draft.products.splice(0, 1);
    });
    expect(change.edits).toEqual([{ op: 'drop', path: ['products', { id: demo.products[0].id }] }]);
  });
});

describe('a change is judged by what it makes new', () => {
  const worse = (job: Job): Job => ({ ...job, surfaces: [{ ...job.surfaces[0], jointMm: 4000 }, ...job.surfaces.slice(1)] });

  test('refused where it makes the job untrue, at its field', () => {
    expect(acceptChange(demo, worse(demo))).toMatchObject({
      ok: false,
      issues: [{ code: 'joint/wider-than-tile', path: ['surfaces', 0, 'jointMm'] }],
    });
  });
  test('what the job held already may stay: by its figures, and by its form', () => {
    const odd = { ...worse(demo), surfaces: worse(demo).surfaces.map((s, k) => (k === 1 ? { ...s, name: 'x'.repeat(200) } : s)) };
    const edited = editJob(odd, 'jobClient', (draft) => {
      draft.client = 'The Tidewater people';
      draft.surfaces[1].jointMm += 0.5;
    });
    expect(acceptChange(odd, edited.job)).toMatchObject({ ok: true, value: { client: 'The Tidewater people' } });
    const { job } = editJob(odd, 'joint', (draft) => {
      draft.surfaces[2].jointMm = 4000;
    });
    expect(acceptChange(odd, job)).toMatchObject({ ok: false, issues: [{ path: ['surfaces', 2, 'jointMm'] }] });
  });
  test('surfaces that did not change are neither read nor checked again', () => {
    const { job } = editJob(demo, 'nudgeSetout', (draft) => {
      draft.surfaces[5].setout = { ...draft.surfaces[5].setout };
      draft.surfaces[5].jointMm += 0.5;
    });
    const result = acceptChange(demo, job);
    expect(result.ok && result.value.surfaces.filter((surface, k) => surface !== demo.surfaces[k])).toHaveLength(1);
  });
  test('hostile shapes are refused in words', () => {
    for (const value of [5, null, 'x', {}, [null], Array.from({ length: 300 }, (_, k) => ({ id: String(k) }))]) {
      const result = acceptChange(demo, applyEdits(demo, [{ op: 'set', path: ['surfaces'], value }]));
      expect(result.ok).toBe(false);
    }
  });
});

test('what says the same is kept the same', () => {
  fc.assert(
    fc.property(document, document, (before, after) => {
      const kept = keepSame(before, after);
      expect(kept).toEqual(after);
      expect(keepSame(before, structuredClone(before))).toBe(before);
    }),
  );
});
