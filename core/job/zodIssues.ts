import type { z } from 'zod';
import { issue, type Issue } from '../result.ts';
import { isIssueCode } from '../issueCodes.ts';

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
      return [
        issue('field/too-small', at, {
          minimum: Number(raw.minimum),
          orEqual: raw.inclusive === false ? 'no' : 'yes',
          of: countedIn(raw.origin),
        }),
      ];
    case 'too_big':
      return [issue('field/too-large', at, { maximum: Number(raw.maximum), of: countedIn(raw.origin) })];
    case 'unrecognized_keys':
      return [issue('field/unknown', at, { keys: raw.keys.join(', ') })];
    case 'invalid_format':
      return [issue('field/form', at, { expected: FORMS[raw.pattern ?? raw.format] ?? 'text of another form' })];
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
  return isIssueCode(code) ? issue(code, at, figures as Issue['figures']) : issue('field/form', at, { expected: raw.message });
}

/** Forms of text that fields have, by their pattern. */
const FORMS: Readonly<Record<string, string>> = {
  '/^[A-Z]{3}$/': 'three capital letters, as in EUR',
  '/^#[0-9a-f]{6}$/i': 'a colour such as #a0b1c2',
  '/^data:image\\/(png|jpeg|webp);base64,[A-Za-z0-9+/=]+$/': 'a picture: PNG, JPEG or WebP as a data URL',
  '/^\\d+\\/-?\\d+\\/-?\\d+$/': 'the place of a piece, as in 0/3/-2',
  date: 'a day, as in 2027-03-31',
  datetime: 'a moment, as in 2027-03-31T08:30:00Z',
};

/** What a limit of this kind counts; nothing where it is a plain number. */
const countedIn = (origin: string): string => ({ string: 'character', array: 'entry', record: 'entry', map: 'entry' })[origin] ?? '';

const typeName = (expected: string): string =>
  ({ int: 'a whole number', number: 'a number', string: 'text', object: 'an object', array: 'a list', boolean: 'true or false' })[
    expected
  ] ?? expected;

/** Two unions are met: a length, and a choice told apart by one key. */
function unionName(raw: z.core.$ZodIssueInvalidUnion): string {
  if ('discriminator' in raw && typeof raw.discriminator === 'string')
    return `"${raw.discriminator}" to be one of: ${('options' in raw ? (raw.options ?? []) : []).map(String).join(', ')}`;
  return 'a length: millimetres as a number, or a tape string such as "7\' 10 5/8\\""';
}
