import { expect, test } from '@jest/globals';
import { surfaceSchema } from '@azulejo/core/job/job';
import { PROVOKED } from '@azulejo/core/samples/provokedAll';
import { stepOfFinding } from './stepOfFinding.ts';

const stepOf = (path: readonly (string | number)[]) => stepOfFinding({ code: 'advice/sliver', severity: 'note', figures: {}, path });
const LOST = { name: 'measure', part: 'shape', label: 'See the surface' };

test('whatever a finding is about, its link leads to where that is changed', () => {
  // Days and lots are seen on the page of the job.
  for (const [code, { path }] of Object.entries(PROVOKED))
    if (path.startsWith('surfaces')) expect([code, stepOf(path.split('.'))]).not.toEqual([code, LOST]);
  for (const part of Object.keys(surfaceSchema.shape))
    if (!['id', 'kind'].includes(part)) expect([part, stepOf(['surfaces', 0, part])]).not.toEqual([part, LOST]);
  expect(stepOf(['surfaces', 0, 'zones', 'exit'])).toEqual({ name: 'setout', part: 'zones', label: 'Change the zones' });
  // What is laid in an inset is changed where that of the surface is.
  expect(stepOf(['surfaces', 0, 'insets', 1, 'pattern', 'moduleMm'])).toEqual({
    name: 'tile',
    part: 'pattern',
    label: 'Change the pattern',
  });
  expect(stepOf(['surfaces', 0, 'parts']).label).toBe('Change the tiles');
  expect(stepOf(['surfaces', 0, 'cuts'])).toEqual({ name: 'cuts', part: 'pieces', label: 'See the cut' });
  expect(stepOf(['surfaces', 0, 'measured', 'gapsMm', 'wall'])).toEqual({ name: 'measure', part: 'edges', label: 'Change the gap' });
  expect(stepOf(['surfaces', 0, 'measured', 'shape']).label).toBe('Measure again');
  // Nothing but the surface is named where it can't be planned at all.
  expect(stepOf(['surfaces', 0])).toEqual(LOST);
});
