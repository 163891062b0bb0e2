import { describe, expect, test } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { writeJobFile } from '@azulejo/core/formats/jobFile';
import { jobOfOne } from '@azulejo/core/samples/testJob';
import { runPlan } from './plan.ts';

const folder = mkdtempSync(join(tmpdir(), 'azulejo-cli-'));

function run(content: string | null, ...args: string[]): { code: number; out: string; err: string } {
  const file = join(folder, 'job.json');
  if (content !== null) writeFileSync(file, content);
  let [out, err] = ['', ''];
  const code = runPlan(
    content === null ? args : [file, ...args],
    (text) => {
      out += text;
    },
    (text) => {
      err += text;
    },
  );
  return { code, out, err };
}

const job = jobOfOne({
  size: [2314, 1000],
  tile: [297.5, 297.5],
  jointMm: 3,
  surface: { setout: { x: { rule: 'jointCentred' }, y: { rule: 'fullFromStart' } } },
});

describe('plan JOB.json', () => {
  test('prints one value whose figures add up', () => {
    const { code, out } = run(writeJobFile(job));
    const [surface] = JSON.parse(out).surfaces;
    expect(code).toBe(0);
    expect(surface.edges.find((e: { id: string }) => e.id === 'left').smallestCutMm).toBeCloseTo(249, 6);
    expect(surface.totals.pieces).toBe(surface.pieces.length);
    expect(surface.tiledAreaMm2 + surface.jointAreaMm2).toBeCloseTo(surface.areaMm2, 3);
    expect(new Set(surface.pieces.map((p: { label: string }) => p.label)).size).toBe(surface.pieces.length);
  });

  test('--setouts adds the ranked candidates', () => {
    const { candidates } = JSON.parse(run(writeJobFile(job), '--setouts').out).setouts[0];
    const scores = candidates.map((c: { score: number }) => c.score);
    expect(scores.length).toBeGreaterThan(1);
    expect(scores.length).toBeLessThanOrEqual(6);
    expect(scores).toEqual([...scores].sort((a: number, b: number) => a - b));
    expect(candidates[0].x.rule).toBe('jointCentred');
  });

  test('a length may be a tape string', () => {
    const text = writeJobFile(job).replace('"widthMm": 2314', '"widthMm": "2.314 m"');
    expect(JSON.parse(run(text).out).surfaces[0].areaMm2).toBeCloseTo((2314 - 10) * 990, 3);
  });

  test.each([
    ['not json', 'file/not-json', []],
    ['{"format":"azulejo-job","version":99}', 'file/newer-version', ['version']],
    [writeJobFile(job).replace('"jointMm": 3', '"jointMm": "3 ells"'), 'length/unreadable', ['surfaces', 0, 'jointMm']],
    [writeJobFile(job).replace('"widthMm": 2314', '"widthMm": 0'), 'field/too-small', ['surfaces', 0, 'measured', 'shape', 'widthMm']],
    [writeJobFile(job).replace('"jointMm": 3,', ''), 'field/type', ['surfaces', 0, 'jointMm']],
    [writeJobFile(job).replace('"productId": "t"', '"productId": "gone"'), 'surface/no-such-product', ['surfaces', 0, 'productId']],
  ])('bad input exits with 2 and names the field: %#', (text, code, path) => {
    const result = run(text);
    expect(result.code).toBe(2);
    expect(result.out).toBe('');
    expect(JSON.parse(result.err)).toContainEqual(expect.objectContaining({ code, path, message: expect.stringMatching(/\w/) }));
  });

  test('a file that is not there, and no file at all', () => {
    expect(run(null, '/nowhere/job.json')).toMatchObject({ code: 2, err: expect.stringContaining('/nowhere/job.json') });
    expect(run(null)).toMatchObject({ code: 2, err: expect.stringContaining('Usage') });
  });
});

test('--schema prints the JSON Schema of a job file', () => {
  const schema = JSON.parse(run(null, '--schema').out);
  expect(schema.properties.surfaces.items.properties.jointMm).toBeDefined();
  expect(schema.required).toContain('surfaces');
  expect(schema).toEqual(JSON.parse(readFileSync(new URL('../docs/job.schema.json', import.meta.url), 'utf8')));
});

test('who reads no further than the first line is no error', () => {
  const main = fileURLToPath(new URL('./dist/main.js', import.meta.url));
  const { stdout, stderr } = spawnSync('sh', ['-c', `"${process.execPath}" "${main}" --schema | head -c 1`], { encoding: 'utf8' });
  expect([stdout, stderr]).toEqual(['{', '']);
});
