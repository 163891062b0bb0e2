import { accepted, issue, refused, type Result } from '../result.ts';
import { MM_PER_INCH, METRIC_TAPE, type Tape } from './tape.ts';

const FOOT_INCHES = 12;

// A number, or a whole one with a fraction: 7, 7.5, 7 1/2, 1/2.
const AMOUNT = String.raw`(?:\d+(?:\.\d*)?|\.\d+)(?:(?:\s+-\s+|\s+|-)\d+\/\d+)?|\d+\/\d+`;
const INCH = String.raw`"|ins?\.?|inch|inches`;
const METRIC = new RegExp(
  String.raw`^(?:(${AMOUNT})\s*(?:m|met(?:re|er)s?))?\s*(?:(${AMOUNT})\s*(?:cms?|centimet(?:re|er)s?))?\s*(?:(${AMOUNT})\s*(?:mms?|millimet(?:re|er)s?))?$`,
);
// As it is said: two metres forty, two metres four hundred and five.
const METRES_AND = /^(\d+)\s*m\s*(\d{2,3})$/;
const BARE = new RegExp(`^(${AMOUNT})$`);
const FEET = new RegExp(String.raw`^(${AMOUNT})\s*(?:'|ft\.?|foot|feet)(?:\s*$|(\s*[-,]\s*|\s*)(?=\S)(.*)$)`);
const INCHES = new RegExp(String.raw`^(${AMOUNT})\s*(?:${INCH})?$`);
// A fraction written after the inch mark: 10" 5/8.
const INCHES_THEN_FRACTION = new RegExp(String.raw`^(\d+)\s*(?:${INCH})\s*-?\s*(\d+\/\d+)\s*(?:${INCH})?$`);

/** A length, or why it can't be one. */
type Read = number | 'doubtful' | null;

/**
 * Reads a length as it is written beside a tape, into mm. Accepts `2405`, `240.5 cm`, `2 m 40 cm`, `1½ m`,
 * `7' 10 5/8"`, `7 ft. 10 5/8 in.`, `7½'`, `2m40`, `94 5/8`, `94-5/8`, `94.625in`, with `light` or `heavy` for half a step
 * under or over. A bare number is in the tape's own unit (mm, or inches); a bare fraction is always in inches.
 * Issues: `length/empty`, `length/unreadable`, `length/doubtful`, `length/negative`, `length/ambiguous-comma`.
 */
export function parseLength(text: string, tape: Tape = METRIC_TAPE): Result<number> {
  const plain = normalise(text);
  if (plain === '') return refused(issue('length/empty', [], { text, system: tape.system }));
  if (plain.startsWith('-')) return refused(issue('length/negative', [], { text }));
  const shade = /\s*(light|heavy)$/.exec(plain);
  const body = shade ? plain.slice(0, shade.index) : plain;
  if (isThousands(body, tape)) return refused(issue('length/ambiguous-comma', [], { text }));
  const mm = readBody(body.replace(/(\d),(\d)/g, '$1.$2'), tape);
  if (mm === 'doubtful') return refused(issue('length/doubtful', [], { text }));
  if (mm === null || !Number.isFinite(mm)) return refused(issue('length/unreadable', [], { text, system: tape.system }));
  const shaded = mm + halfStep(shade?.[1], tape);
  return shaded < 0 ? refused(issue('length/negative', [], { text })) : accepted(shaded);
}

function normalise(text: string): string {
  return (
    text
      .trim()
      .toLowerCase()
      // Every sign of a fraction falls apart into its figures: a third, three fifths, seven eighths.
      .replace(/\p{No}/gu, (sign) => (sign.normalize('NFKC').includes('⁄') ? ` ${sign.normalize('NFKC')}` : sign))
      .replace(/[″“”]|''/g, '"')
      .replace(/[′‘’]/g, "'")
      .normalize('NFKC')
      .replace(/⁄/g, '/')
      .replace(/[−–]/g, '-')
      .replace(/\s+/g, ' ')
      .replace(/^\+ ?/, '')
      .trim()
  );
}

/** Three figures after a comma may be thousands; after a point too, where nothing says that the number is in inches or metres. */
const isThousands = (text: string, { system }: Tape): boolean =>
  /\d,\d{3}(?!\d)/.test(text) || (system === 'metric' && /^[1-9]\d{0,2}\.\d{3}\s*(mm)?$/.test(text));

function readBody(text: string, tape: Tape): Read {
  const bare = BARE.exec(text);
  if (bare) return times(readAmount(bare[1]), tape.system === 'metric' && !bare[1].includes('/') ? 1 : MM_PER_INCH);
  const said = METRES_AND.exec(text);
  if (said) return Number(said[1]) * 1000 + Number(said[2].padEnd(3, '0'));
  return readMetric(text) ?? readFeet(text) ?? readInches(text);
}

/** Metres, centimetres and millimetres, each part less than one of the part before it. */
function readMetric(text: string): Read {
  const match = METRIC.exec(text);
  if (!match || text === '') return null;
  const parts = [1000, 10, 1].map((mm, k) => (match[k + 1] === undefined ? null : times(readAmount(match[k + 1]), mm)));
  const unit = [1000, 10, 1];
  let whole = 0;
  let above = Infinity;
  for (const [k, part] of parts.entries()) {
    if (part === null) continue;
    if (part === 'doubtful' || part >= above) return 'doubtful';
    [whole, above] = [whole + part, unit[k]];
  }
  return whole;
}

/** Feet, and inches less than one foot; a part of a foot stands alone. */
function readFeet(text: string): Read {
  const match = FEET.exec(text);
  if (!match) return null;
  const feet = readAmount(match[1]);
  const rest = match[3];
  if (feet === null || feet === 'doubtful') return feet;
  if (rest === undefined) return feet * FOOT_INCHES * MM_PER_INCH;
  const inches = readInches(rest);
  if (inches === null || inches === 'doubtful') return inches;
  // A dash that belongs to the figure after it would take it off; one between the two only parts them.
  const takesOff = /^\s+[-,]$/.test(match[2]);
  if (!Number.isInteger(feet) || match[1].includes('/') || inches >= FOOT_INCHES * MM_PER_INCH || takesOff) return 'doubtful';
  return feet * FOOT_INCHES * MM_PER_INCH + inches;
}

function readInches(text: string): Read {
  const apart = INCHES_THEN_FRACTION.exec(text);
  const amount = apart ? `${apart[1]} ${apart[2]}` : INCHES.exec(text)?.[1];
  return amount === undefined ? null : times(readAmount(amount), MM_PER_INCH);
}

const times = (amount: Read, mm: number): Read => (typeof amount === 'number' ? amount * mm : amount);

/** A number with its fraction; beside a whole number a fraction is under one, and the number has no decimals. */
function readAmount(text: string): Read {
  const [, whole, over, under] = /^(?:([\d.]+)(?:\s+-\s+|[\s-]+))?(\d+)\/(\d+)$/.exec(text) ?? [];
  if (over === undefined) return Number(text);
  if (Number(under) === 0) return null;
  if (whole === undefined) return Number(over) / Number(under);
  return Number(over) >= Number(under) || whole.includes('.') ? 'doubtful' : Number(whole) + Number(over) / Number(under);
}

function halfStep(shade: string | undefined, tape: Tape): number {
  if (shade === undefined) return 0;
  const step = tape.system === 'metric' ? tape.metricStepMm : MM_PER_INCH / tape.fraction;
  return shade === 'light' ? -step / 2 : step / 2;
}
