import { describe, expect, test } from '@jest/globals';
import type { Finding } from '@azulejo/core/advice/finding';
import { HARM } from '@azulejo/core/advice/harm';
import { tapeOf } from '@azulejo/core/job/job';
import { findingsOn } from '@azulejo/core/advice/findingsOn';
import { METRIC_TAPE } from '@azulejo/core/units/tape';
import { demoJob, demoPlan } from '../../testing/demoJob.ts';
import { findingsShown } from './findingsShown.ts';
import { SURFACE_STEPS } from './surfaceSteps.ts';

const job = demoJob('tidewater-bakehouse');
const plans = demoPlan('tidewater-bakehouse').surfaces;
const steps = SURFACE_STEPS.map(({ name }) => name);

const ofSurfaces = job.surfaces.flatMap((surface) => {
  const plan = plans.find(({ surfaceId }) => surfaceId === surface.id);
  return plan ? [{ surface, found: findingsOn(job, surface, plan) }] : [];
});

describe.each(steps)('in %s', (step) => {
  test('no finding comes before a worse one, notes after every warning; of those as bad, what is mended here comes first', () => {
    let told = 0;
    for (const { surface, found } of ofSurfaces) {
      const shown = findingsShown(found, step, tapeOf(job, surface));
      told += shown.length;
      const ranks = shown.map(({ finding: { severity, code }, mending }) => [
        severity === 'note' ? 1 : 0,
        (HARM as Readonly<Record<string, number>>)[code] ?? 0,
        mending.name === step ? 0 : 1,
      ]);
      const sorted = [...ranks].sort((a, b) => a[0] - b[0] || a[1] - b[1] || a[2] - b[2]);
      expect([surface.id, ranks]).toEqual([surface.id, sorted]);
      expect(new Set(shown.map(({ key }) => key)).size).toBe(shown.length);
      for (const { words, mending } of shown) expect([words !== '', mending.label !== '']).toEqual([true, true]);
    }
    expect(told).toBeGreaterThan(0);
  });

  test('everything that is found is told, but in cutting only what is to be seen to there', () => {
    for (const { surface, found } of ofSurfaces) {
      const shown = findingsShown(found, step, tapeOf(job, surface));
      if (step === 'cuts') expect(shown.every(({ mending }) => mending.name === 'cuts')).toBe(true);
      else expect(shown).toHaveLength(found.length);
    }
  });
});

test('what is untrue of a stored job comes before all else, whatever step it belongs to', () => {
  const warning = (code: string, path: Finding['path']): Finding =>
    ({ code, severity: 'warning', path, figures: {} }) as unknown as Finding;
  const joint = warning('advice/narrow-joint', ['surfaces', 0, 'jointMm']);
  const shape = warning('shape/crosses-itself', ['surfaces', 0, 'measured', 'shape']);
  expect(findingsShown([joint, shape], 'tile', METRIC_TAPE).map(({ finding }) => finding)).toEqual([shape, joint]);
});
