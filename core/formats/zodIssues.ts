import type { z } from 'zod';
import { issue, type Issue } from '../result.ts';
import { ISSUE_WORDS } from '../messages/en/issues.ts';

type Raw = z.core.$ZodIssue;

/** Turns what Zod found into our own issues, field by field. */
export function issuesFromZod(error: z.core.$ZodError): Issue[] {
  return error.issues.flatMap((raw) => fromRaw(raw, raw.path));
}

function fromRaw(raw: Raw, path: readonly PropertyKey[]): Issue[] {
  const at = path.filter((key): key is string | number => typeof key !== 'symbol');
  switch (raw.code) {
    case 'invalid_type':
      return [
        issue(raw.input === undefined && !/received (?!undefined)/.test(raw.message) ? 'field/missing' : 'field/type', at, {
          expected: typeName(raw.expected),
        }),
      ];
    case 'invalid_value':
      return [issue('field/one-of', at, { values: raw.values.map(String).join(', ') })];
    case 'too_small':
      return [issue('field/too-small', at, { minimum: Number(raw.minimum), orEqual: raw.inclusive === false ? 'no' : 'yes' })];
    case 'too_big':
      return [issue('field/too-large', at, { maximum: Number(raw.maximum) })];
    case 'unrecognized_keys':
      return [issue('field/unknown', at, { keys: raw.keys.join(', ') })];
    case 'invalid_format':
      return [issue('field/form', at, { expected: raw.pattern ?? raw.format })];
    case 'custom':
      return [fromCustom(raw, at)];
    case 'invalid_union':
      return [issue('field/type', at, { expected: unionName(raw) })];
    default:
      return [issue('field/form', at, { expected: raw.message })];
  }
}

function fromCustom(raw: z.core.$ZodIssueCustom, at: readonly (string | number)[]): Issue {
  const code: unknown = raw.params?.['code'];
  const figures: unknown = raw.params?.['figures'];
  return typeof code === 'string' && code in ISSUE_WORDS
    ? issue(code, at, figures as Issue['figures'])
    : issue('field/form', at, { expected: raw.message });
}

const typeName = (expected: string): string =>
  ({ int: 'a whole number', number: 'a number', string: 'text', object: 'an object', array: 'a list', boolean: 'true or false' })[
    expected
  ] ?? expected;

/** Two unions are met: a length, and a choice told apart by one key. */
function unionName(raw: z.core.$ZodIssueInvalidUnion): string {
  if ('discriminator' in raw && typeof raw.discriminator === 'string') return `a known "${raw.discriminator}"`;
  return 'a length: millimetres as a number, or a tape string such as "7\' 10 5/8\\""';
}
