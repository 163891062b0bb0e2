import { expect, test } from '@jest/globals';
import { openFindings } from '../advice/registry.ts';
import { DEMO_JOBS, demoJob, demoPlan, demoText } from '../../testing/demoJob.ts';
import { writeJobFile } from '../formats/jobFile.ts';
import { moduleOf } from '../pattern/laying.ts';
import { innerJointOf, PATTERNS } from '../pattern/registry.ts';

test.each(DEMO_JOBS)('%s is in the form that is written, and all of it is planned', (name) => {
  expect(writeJobFile(demoJob(name))).toBe(demoText(name));
  const { unplanned, surfaces } = demoPlan(name);
  expect(unplanned).toEqual([]);
  expect(surfaces.every(({ totals }) => totals.whole + totals.cut > 0)).toBe(true);
});

test('every kind of pattern lies on a board, boards are of one size, and no joint in them strays from the one asked for', () => {
  const { surfaces, products } = demoJob('sample-boards');
  expect(new Set(surfaces.map(({ pattern }) => pattern.kind))).toEqual(new Set(Object.keys(PATTERNS)));
  expect(new Set(surfaces.map(({ measured }) => JSON.stringify(measured.shape))).size).toBe(1);
  for (const surface of surfaces) {
    const inner = innerJointOf(surface.pattern, moduleOf(surface, products)) ?? surface.jointMm;
    expect([surface.id, Math.abs(inner - surface.jointMm) < 0.5]).toEqual([surface.id, true]);
  }
});

test('the finished job is laid throughout and nothing of it needs attention', () => {
  const job = demoJob('ferry-kiosk');
  expect(job.surfaces.every(({ laid }) => laid)).toBe(true);
  expect(openFindings(demoPlan('ferry-kiosk').findings)).toEqual([]);
});
