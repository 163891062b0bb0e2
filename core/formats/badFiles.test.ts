import { expect, test } from '@jest/globals';
import { describeIssue } from '../messages/en/issues.ts';
import { jobOfOne } from '../samples/testJob.ts';
import { readJobFile, writeJobFile } from './jobFile.ts';

const GOOD = writeJobFile(jobOfOne({ size: [2314, 1215], tile: [300, 300], jointMm: 3 }));
const wordsFor = (text: string): string[] => {
  const read = readJobFile(text);
  return read.ok ? [] : read.issues.map((issue) => describeIssue(issue));
};

test.each<[what: string, text: string, words: string]>([
  ['no JSON', '{ hello', "The file is not a job file: line 1 can't be read as JSON. Nothing was changed."],
  ['a page', '<html>\n</html>', "The file is not a job file: line 1 can't be read as JSON. Nothing was changed."],
  ['half a file', GOOD.slice(0, 400), 'The file is cut short: it ends in the middle, on line'],
  ['a word for a length', GOOD.replace('"jointMm": 3', '"jointMm": "three"'), '"three" can\'t be read as a length.'],
  ['no name', GOOD.replace(/"name": "Trial"/, '"name": ""'), 'Expected at least one character.'],
  ['a long name', GOOD.replace(/"name": "Trial"/, `"name": "${'x'.repeat(90)}"`), 'Expected at most 80 characters.'],
  ['a currency in words', GOOD.replace('"currency": "EUR"', '"currency": "euro"'), 'Expected three capital letters, as in EUR.'],
  ['an unknown pattern', GOOD.replace('"kind": "stack"', '"kind": "zigzag"'), 'Expected "kind" to be one of: stack, runningBond,'],
  ['a plain number', GOOD.replace(/"thicknessMm": \d+/, '"thicknessMm": -1'), 'Expected more than 0.'],
])('a job file with %s is refused in words that say what would do', (_, text, words) => {
  expect(text).not.toBe(GOOD);
  const told = wordsFor(text);
  expect(told.some((one) => one.startsWith(words))).toBe(true);
  // No regular expression and no parser speaks.
  for (const one of told) expect(one).not.toMatch(/\^|\\|Unexpected|token|undefined/);
});
