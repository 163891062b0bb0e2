import { expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { jobFileSchema } from './jobFile.ts';

test('what a job file may hold, every limit and every usual figure of it, is what the published schema says', () => {
  expect(jobFileSchema()).toEqual(JSON.parse(readFileSync(new URL('../../docs/job.schema.json', import.meta.url), 'utf8')));
});
