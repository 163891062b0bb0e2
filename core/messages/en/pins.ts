import type { HinderedPin } from '../../setout/tell/adviseSetout.ts';
import type { Pin, PointedPin } from '../../setout/choice/pins.ts';
import { formatLength, formatLengthWithUnit } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';
import { edgeInWords } from './names.ts';
import type { ThingNames } from '../thingNames.ts';

const PIN_NAMES: Readonly<Record<PointedPin, string>> = {
  fullPiece: 'Full piece here',
  jointUp: 'Joint across the courses here',
  jointAlong: 'Joint between courses here',
  crossing: 'Corners meet here',
  wholeMotif: 'Whole motif here',
};

/** What a kind of pin is called on its button. */
export const pinName = (kind: PointedPin): string => PIN_NAMES[kind];

/** One pin in words. */
export function describePin(pin: Pin, { edges }: ThingNames, tape: Tape): string {
  if (pin.kind === 'noCutUnder')
    return `No piece under ${formatLengthWithUnit(pin.mm, tape)} along the ${edgeInWords(edges[pin.edge] ?? pin.edge)}`;
  const [x, y] = pin.at.map((mm) => formatLength(mm, tape));
  return `${PIN_NAMES[pin.kind]}: ${x} from the left, ${y} from the bottom`;
}

/** Why a pin can't be kept, and the way out. */
export function describeHindrance({ by }: HinderedPin, pins: readonly Pin[], names: ThingNames, tape: Tape): string {
  if (by === 'itself') return 'No start keeps it.';
  if (by === 'others') return 'No start keeps it with all the others: take one out.';
  return `Not both it and "${describePin(pins[by], names, tape)}": take one out.`;
}

/** More than this is no miss by some millimetres: it can't be, mm. */
const FAR_MM = 100;

/** By how much a pin is missed; nothing where it is kept. */
export const describeMiss = (missedMm: number, tape: Tape): string =>
  missedMm <= 0 ? '' : missedMm >= FAR_MM ? 'Not kept.' : `Not kept: off by ${formatLengthWithUnit(missedMm, tape)}.`;
