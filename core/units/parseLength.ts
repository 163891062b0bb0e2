import { accepted, issue, refused, type Result } from '../result.ts';
import { MM_PER_INCH, METRIC_TAPE, type Tape } from './tape.ts';

const UNIT_MM: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  m: 1000,
  in: MM_PER_INCH,
  inch: MM_PER_INCH,
  inches: MM_PER_INCH,
  '"': MM_PER_INCH,
  ft: 12 * MM_PER_INCH,
  foot: 12 * MM_PER_INCH,
  feet: 12 * MM_PER_INCH,
  "'": 12 * MM_PER_INCH,
};

const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

const NUMBER = String.raw`\d+(?:\.\d+)?|\.\d+`;
const AMOUNT = String.raw`(?:(\d+)[\s-]+)?(\d+)\/(\d+)|(${NUMBER})`;
const DECIMAL = new RegExp(String.raw`^(${NUMBER})\s*(mm|cm|m)?$`);
const INCHES = new RegExp(String.raw`^(?:${AMOUNT})\s*("|in|inch|inches)?$`);
const FEET = new RegExp(String.raw`^(${NUMBER})\s*(?:'|ft|foot|feet)[\s-]*(.*)$`);

/**
 * Reads a length as it is written beside a tape, into mm. Accepts `2405`, `240.5 cm`, `2.405 m`,
 * `7' 10 5/8"`, `94 5/8`, `94-5/8`, `94.625in`, with `light` or `heavy` for half a step under or
 * over. A bare number is in the tape's own unit (mm, or inches); a fraction is always in inches.
 * Issues: `length/empty`, `length/unreadable`, `length/negative`, `length/ambiguous-comma`.
 */
export function parseLength(text: string, tape: Tape = METRIC_TAPE): Result<number> {
  const plain = normalise(text);
  if (plain === '') return refused(issue('length/empty', [], { text, system: tape.system }));
  if (plain.startsWith('-')) return refused(issue('length/negative', [], { text }));
  if (/\d,\d{3}(?!\d)/.test(plain)) return refused(issue('length/ambiguous-comma', [], { text }));
  const shade = /\s*(light|heavy)$/.exec(plain);
  const body = (shade ? plain.slice(0, shade.index) : plain).replace(/(\d),(\d)/, '$1.$2');
  const mm = readMetric(body, tape) ?? readFeetAndInches(body);
  if (mm === null || !Number.isFinite(mm)) return refused(issue('length/unreadable', [], { text, system: tape.system }));
  return accepted(mm + halfStep(shade?.[1], tape));
}

function normalise(text: string): string {
  return text
    .trim()
    .toLowerCase()
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (c) => ` ${VULGAR[c]}`)
    .replace(/[″“”]|''/g, '"')
    .replace(/[′‘’]/g, "'")
    .replace(/⁄/g, '/')
    .replace(/[−–]/g, '-')
    .replace(/\s+/g, ' ')
    .trim();
}

function readMetric(text: string, tape: Tape): number | null {
  const match = DECIMAL.exec(text);
  if (!match) return null;
  const unit = match[2] ?? (tape.system === 'metric' ? 'mm' : 'in');
  return Number(match[1]) * UNIT_MM[unit];
}

function readFeetAndInches(text: string): number | null {
  const feet = FEET.exec(text);
  if (!feet) return readInches(text);
  const whole = Number(feet[1]) * UNIT_MM.ft;
  if (feet[2] === '') return whole;
  const inches = readInches(feet[2]);
  return inches === null ? null : whole + inches;
}

function readInches(text: string): number | null {
  const match = INCHES.exec(text);
  if (!match) return null;
  const [, whole, over, under, decimal] = match;
  if (decimal !== undefined) return Number(decimal) * MM_PER_INCH;
  if (Number(under) === 0) return null;
  return (Number(whole ?? 0) + Number(over) / Number(under)) * MM_PER_INCH;
}

function halfStep(shade: string | undefined, tape: Tape): number {
  if (shade === undefined) return 0;
  const step = tape.system === 'metric' ? tape.metricStepMm : MM_PER_INCH / tape.fraction;
  return shade === 'light' ? -step / 2 : step / 2;
}
