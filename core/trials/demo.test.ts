import { expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { openFindings } from '../advice/registry.ts';
import { readJobFile, writeJobFile } from '../formats/jobFile.ts';
import type { Job } from '../job/job.ts';
import { moduleOf } from '../pattern/laying.ts';
import { innerJointOf, PATTERNS } from '../pattern/registry.ts';
import { plan } from '../plan.ts';

const textOf = (name: string): string => readFileSync(new URL(`../../demo/${name}.json`, import.meta.url), 'utf8');
const jobOf = (name: string): Job => {
  const read = readJobFile(textOf(name));
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  return read.value;
};

test.each(['tidewater-bakehouse', 'sample-boards', 'ferry-kiosk'])(
  '%s is in the form that is written, and all of it is planned',
  (name) => {
    const job = jobOf(name);
    expect(writeJobFile(job)).toBe(textOf(name));
    const { unplanned, surfaces } = plan(job);
    expect(unplanned).toEqual([]);
    expect(surfaces.every(({ totals }) => totals.whole + totals.cut > 0)).toBe(true);
  },
);

test('every kind of pattern lies on a board, boards are of one size, and no joint in them strays from the one asked for', () => {
  const { surfaces, products } = jobOf('sample-boards');
  expect(new Set(surfaces.map(({ pattern }) => pattern.kind))).toEqual(new Set(Object.keys(PATTERNS)));
  expect(new Set(surfaces.map(({ measured }) => JSON.stringify(measured.shape))).size).toBe(1);
  for (const surface of surfaces) {
    const inner = innerJointOf(surface.pattern, moduleOf(surface, products)) ?? surface.jointMm;
    expect([surface.id, Math.abs(inner - surface.jointMm) < 0.5]).toEqual([surface.id, true]);
  }
});

test('the finished job is laid throughout and nothing of it needs attention', () => {
  const job = jobOf('ferry-kiosk');
  expect(job.surfaces.every(({ laid }) => laid)).toBe(true);
  expect(openFindings(plan(job).findings)).toEqual([]);
});
