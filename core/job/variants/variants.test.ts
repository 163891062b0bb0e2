import { describe, expect, test } from '@jest/globals';
import { plan } from '../../plan.ts';
import { readJob, writeJobFile } from '../../formats/jobFile.ts';
import type { Job } from '../job.ts';
import { jobOfOne } from '../../samples/testJob.ts';
import { standing } from '../../samples/standing.ts';
import { chooseVariant, heightsFor, jobOfVariant, setHeight, surfacesOf, variantOf } from './variants.ts';

const shelf = { ...standing('tray', { kind: 'rectangle', widthMm: 600, heightMm: 25 }, 200, 900), kind: 'shelf' as const, name: 'Shelf' };
const wall = jobOfOne({ size: [2405, 1205], tile: [300, 300], jointMm: 3, measured: { fixtures: [shelf] } });
const toShelf = (job: Job) => variantOf(job, 'low', 'Up to the shelf', (draft) => setHeight(draft.surfaces[0], 900));
const wide = (job: Job) => variantOf(job, 'wide', 'Wider joint', (draft) => void (draft.surfaces[0].jointMm = 5));
const withVariants = (job: Job): Job => ({ ...job, variants: [toShelf(job), wide(job)] });
const value = (result: ReturnType<typeof jobOfVariant>): Job => {
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value;
};

describe('variants', () => {
  test('keep only what they change, and follow when the rest is measured again', () => {
    const low = toShelf(wall);
    expect(surfacesOf(low.edits)).toEqual(['s']);
    expect(JSON.stringify(low).length).toBeLessThan(600);
    const wider = {
      ...wall,
      surfaces: [
        { ...wall.surfaces[0], measured: { ...wall.surfaces[0].measured, shape: { kind: 'rectangle', widthMm: 2600, heightMm: 1205 } } },
      ],
    } as Job;
    expect(value(jobOfVariant(wider, low)).surfaces[0].measured.shape).toEqual({ kind: 'rectangle', widthMm: 2600, heightMm: 900 });
  });

  test('the wall can be tiled up to what hangs on it; what hangs higher is left out', () => {
    expect(heightsFor(wall, wall.surfaces[0])).toEqual([{ name: 'up to Shelf', mm: 900 }]);
    const low = value(jobOfVariant(wall, toShelf(wall)));
    expect(low.surfaces[0].measured.fixtures).toEqual([]);
    expect(plan(low).money.total).toBeLessThan(plan(wall).money.total);
  });

  test('one is chosen and back again: nothing is lost, the others stay what they were', () => {
    const job = withVariants(wall);
    const chosen = value(chooseVariant(job, 'low'));
    expect(chosen.standing).toBe('Up to the shelf');
    expect(chosen.variants?.map(({ name }) => name)).toEqual(['As planned', 'Wider joint']);
    expect(value(jobOfVariant(chosen, chosen.variants?.[1] ?? toShelf(job))).surfaces[0]).toEqual({ ...wall.surfaces[0], jointMm: 5 });
    const back = value(chooseVariant(chosen, 'low'));
    expect(back.surfaces).toEqual(wall.surfaces);
    expect('standing' in back).toBe(false);
    expect(back.variants?.map(({ name }) => name)).toEqual(['Up to the shelf', 'Wider joint']);
    expect(readJob(JSON.parse(writeJobFile(chosen))).ok).toBe(true);
  });

  test('a variant of what is gone is told, and breaks nothing', () => {
    const job = { ...withVariants(wall), surfaces: [] };
    expect(jobOfVariant(job, toShelf(wall))).toMatchObject({ ok: false, issues: [{ code: 'variant/place-gone' }] });
    expect(chooseVariant(job, 'low').ok).toBe(false);
  });
});
