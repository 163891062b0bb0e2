import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readdirSync, readFileSync } from 'node:fs';
import { readJob, readJobFile } from '../formats/jobFile.ts';
import { planJson } from '../formats/planJson.ts';
import type { Job } from '../job/job.ts';
import { plan } from '../plan.ts';
import { readFromOutside, type ReadSurface } from './outsideReader.ts';
import { randomJob } from './randomJob.ts';
import { jobOfOne } from './testJob.ts';
import { trials } from '../../testing/trials.ts';

const FAULTS = new URL('./faults/', import.meta.url);

/** Jobs that once went wrong and can't be laid: refused, with this reason. */
const REFUSED: Readonly<Record<string, string>> = {
  'cubes-off-sixty': 'pattern/misfit',
  'sheet-seams-overlap': 'pattern/misfit',
  'part-not-square': 'pattern/part-misfit',
  'part-round': 'pattern/part-misfit',
  'part-pinwheel': 'pattern/part-misfit',
  'ashlar-slow-1112': 'tile/too-many-stones',
};

/** The plan as it leaves the product. */
const surfacesOf = (job: Job): ReadSurface[] =>
  (JSON.parse(JSON.stringify(planJson(job, plan(job)))) as { surfaces: ReadSurface[] }).surfaces;

test.each(readdirSync(FAULTS).map((name) => name.replace('.json', '')))('a job that once went wrong: %s', (name) => {
  const read = readJobFile(readFileSync(new URL(`${name}.json`, FAULTS), 'utf8'));
  if (name in REFUSED) {
    expect(read).toMatchObject({ ok: false, issues: [{ code: REFUSED[name] }] });
    return;
  }
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  for (const surface of surfacesOf(read.value)) expect(readFromOutside(surface)).toEqual([]);
});

test('whatever the room, the pattern and what is set in: planned true, or refused by name', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1_000_000 }), (seed) => {
      const read = readJob(JSON.parse(JSON.stringify(randomJob(seed))));
      if (!read.ok) expect(read.issues.every(({ code }) => code.includes('/'))).toBe(true);
      else for (const surface of surfacesOf(read.value)) expect(readFromOutside(surface)).toEqual([]);
    }),
    { numRuns: trials(12) },
  );
});

describe('the reader notices', () => {
  const [honest] = surfacesOf(jobOfOne({ size: [1300, 900], tile: [300, 200], jointMm: 3 }));
  const change = (k: number, part: Partial<ReadSurface['pieces'][number]>): ReadSurface => ({
    ...honest,
    pieces: honest.pieces.map((piece, m) => (m === k ? { ...piece, ...part } : piece)),
  });
  const whole = honest.pieces.findIndex((piece) => piece.whole);
  const cut = honest.pieces.findIndex((piece) => !piece.whole);
  const moved = (k: number, by: number) => honest.pieces[k].rings.map((ring) => ring.map(([x, y]) => [x + by, y] as const));

  test('nothing in an honest plan', () => expect(readFromOutside(honest)).toEqual([]));
  test.each<[string, ReadSurface, RegExp]>([
    ['a piece over the edge', change(cut, { rings: moved(cut, -3000) }), /outside the region/],
    ['a piece too near its neighbour', change(whole, { rings: moved(whole, 1) }), /apart, not 3/],
    ['a cut piece called whole', change(cut, { whole: true }), /called whole/],
    ['a whole one called cut', change(whole, { whole: false }), /called cut/],
    ['a hole in the field', { ...honest, pieces: honest.pieces.filter((_, k) => k !== whole) }, /nothing lies within 3/],
  ])('%s', (_, surface, words) => expect(readFromOutside(surface).join('\n')).toMatch(words));
});
