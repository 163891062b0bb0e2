import { HAIR_MM, ROUNDED_OFTEN, ROUNDING } from '../tolerances.ts';
import { figureWords, marked, MM_PER_INCH, type Tape } from './tape.ts';

const FEET_FROM_INCHES = 96;

/** A length in mm as it is read off the tape: `249`, `200.5`, `58 3/8"`, `7' 10 5/8"`, `22 3/8" light`. */
export function formatLength(mm: number, tape: Tape): string {
  return tape.system === 'metric' ? formatMetric(mm, tape) : formatImperial(mm, tape);
}

/** As `formatLength`, with the unit spelled out where the figure alone does not carry it. */
export function formatLengthWithUnit(mm: number, tape: Tape): string {
  return tape.system === 'metric' ? `${formatMetric(mm, tape)} mm` : formatImperial(mm, tape);
}

/** A figure that the tape shows within this, mm, is shown as it is. */
const EXACT_MM = HAIR_MM;

/**
 * A figure that was chosen, with its unit, never another than the one in force: as the tape reads it where it can,
 * else to the tenth of a millimetre, or as "about" so much in inches; what is there is never shown as nothing.
 */
export function formatExactLength(mm: number, tape: Tape): string {
  const { lessThan, about } = figureWords(tape);
  if (tape.system === 'metric') {
    const step = Math.round(mm / tape.metricStepMm) * tape.metricStepMm;
    if (mm > 0 && mm < EXACT_MM) return `${lessThan} ${marked('0.1', tape)} mm`;
    return `${Math.abs(step - mm) < EXACT_MM ? formatMetric(mm, tape) : marked(trimmed(mm.toFixed(1)), tape)} mm`;
  }
  const plain = { ...tape, lightHeavy: false };
  const shown = Math.round((mm / MM_PER_INCH) * tape.fraction) / tape.fraction;
  if (mm > 0 && shown === 0) return `${lessThan} 1/${tape.fraction}"`;
  return Math.abs(shown * MM_PER_INCH - mm) < EXACT_MM ? formatImperial(mm, plain) : `${about} ${formatImperial(mm, tape)}`;
}

/** As `formatExactLength`, for a field that is typed over: what it shows reads back as the same length. */
export function formatTypedLength(mm: number, tape: Tape): string {
  if (tape.system === 'metric') {
    const step = Math.round(mm / tape.metricStepMm) * tape.metricStepMm;
    return Math.abs(step - mm) < 0.005 ? formatMetric(mm, tape) : marked(trimmed(mm.toFixed(2)), tape);
  }
  const shown = Math.round((mm / MM_PER_INCH) * tape.fraction) / tape.fraction;
  return Math.abs(shown * MM_PER_INCH - mm) < 0.005 ? formatImperial(mm, { ...tape, lightHeavy: false }) : `${trimmed(mm.toFixed(2))} mm`;
}

/** A length that came out, with its unit, as the tape reads it; what is there is never read as nothing. */
export function readLength(mm: number, tape: Tape): string {
  const read = formatLengthWithUnit(mm, tape);
  return mm > 0 && /^0( mm|")$/.test(read) ? formatExactLength(mm, tape) : read;
}

/** The length of a room or a floor as one says it: metres to the next centimetre, or feet and inches: `12 m`, `10.01 m`, `32' 10"`. */
export const formatRun = (mm: number, tape: Tape): string =>
  tape.system === 'metric'
    ? `${marked((Math.ceil(mm / 10 - ROUNDED_OFTEN) / 100).toString(), tape)} m`
    : spellInches(Math.ceil(mm / MM_PER_INCH - ROUNDED_OFTEN), 1);

const trimmed = (text: string): string => text.replace(/\.?0+$/, '');

function formatMetric(mm: number, tape: Tape): string {
  const step = tape.metricStepMm;
  const decimals = step < 1 ? 1 : 0;
  const shown = (Math.round(mm / step + ROUNDING) * step).toFixed(decimals);
  return marked(shown.replace(/\.0$/, '').replace(/^-0$/, '0'), tape);
}

function formatImperial(mm: number, tape: Tape): string {
  const inches = Math.abs(mm) / MM_PER_INCH;
  const sign = mm < 0 ? '-' : '';
  const { steps, shade } = tape.lightHeavy ? shadedSteps(inches, tape) : { steps: Math.round(inches * tape.fraction), shade: '' };
  return `${sign}${spellInches(steps, tape.fraction)}${shade}`;
}

/** Half a step under a mark is that mark light; half a step over a whole inch is that inch heavy. */
function shadedSteps(inches: number, tape: Tape): { steps: number; shade: string } {
  const { fraction } = tape;
  const { light, heavy } = figureWords(tape);
  const halves = Math.round(inches * fraction * 2);
  if (halves % 2 === 0) return { steps: halves / 2, shade: '' };
  const below = (halves - 1) / 2;
  return below % fraction === 0 && below > 0 ? { steps: below, shade: ` ${heavy}` } : { steps: below + 1, shade: ` ${light}` };
}

function spellInches(steps: number, fraction: number): string {
  const wholeInches = Math.floor(steps / fraction);
  const feet = wholeInches >= FEET_FROM_INCHES ? Math.floor(wholeInches / 12) : 0;
  const rest = wholeInches - feet * 12;
  const part = spellFraction(steps % fraction, fraction);
  const inchPart = part === '' ? `${rest}"` : rest === 0 && feet === 0 ? `${part}"` : `${rest} ${part}"`;
  return feet > 0 ? `${feet}' ${inchPart}` : inchPart;
}

function spellFraction(over: number, under: number): string {
  if (over === 0) return '';
  return over % 2 === 0 ? spellFraction(over / 2, under / 2) : `${over}/${under}`;
}
