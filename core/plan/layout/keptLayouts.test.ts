import { describe, expect, test } from '@jest/globals';
import { DEMO_JOBS, demoJob, demoPlan } from '../../../testing/demoJob.ts';
import { Memory } from '../../memory.ts';
import { plan } from '../../plan.ts';
import { briefOf } from './briefOf.ts';
import { rememberKept, writeKept } from './keptLayouts.ts';
import { knownLayout, rememberPlanned } from './knownLayouts.ts';

describe.each(DEMO_JOBS)('layouts of %s that are kept', (name) => {
  const job = demoJob(name);
  const briefs = job.surfaces.map((surface) => briefOf(job, surface));
  const first = new Memory();
  rememberPlanned(job, demoPlan(name).surfaces, first);
  const texts = briefs.map((brief) => {
    const layout = knownLayout(brief, first);
    if (!layout) throw new Error(`${brief.surface.name} is not laid out`);
    return { brief, layout, text: writeKept(brief, layout) };
  });

  test('come back as they were, whatever they hold, and are found by what they were made from alone', () => {
    const second = new Memory();
    for (const { text } of texts) rememberKept(text, second);
    for (const { brief, layout } of texts) {
      expect(knownLayout(brief, second)).toStrictEqual(layout);
      const wider = { ...brief, surface: { ...brief.surface, jointMm: brief.surface.jointMm + 0.5 } };
      expect(knownLayout(wider, second)).toBeUndefined();
    }
  });

  test('make the very plan that is made from nothing', () => {
    const memory = new Memory();
    for (const { text } of texts) rememberKept(text, memory);
    expect(JSON.stringify(plan(job, memory))).toBe(JSON.stringify(demoPlan(name)));
  });
});

test('what is no layout is refused', () => {
  for (const text of ['', '[]', '{}', '[1]', '[{"from":1,"layout":1},7]', '[{"a":1},2]'])
    expect(() => rememberKept(text, new Memory())).toThrow();
});
