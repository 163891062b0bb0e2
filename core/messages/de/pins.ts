import type { HinderedPin } from '../../setout/tell/adviseSetout.ts';
import type { Pin, PointedPin } from '../../setout/choice/pins.ts';
import { formatLength, formatLengthWithUnit } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';
import type { ThingNames } from '../thingNames.ts';
import { edgeInWords } from './names.ts';

const PIN_NAMES: Readonly<Record<PointedPin, string>> = {
  fullPiece: 'Hier ein ganzes Stück',
  jointUp: 'Hier eine Fuge quer zu den Reihen',
  jointAlong: 'Hier eine Fuge zwischen Reihen',
  crossing: 'Hier treffen sich Ecken',
  wholeMotif: 'Hier ein ganzes Motiv',
};

/** One pin in words. */
export function describePin(pin: Pin, { edges }: ThingNames, tape: Tape): string {
  if (pin.kind === 'noCutUnder')
    return `Kein Stück unter ${formatLengthWithUnit(pin.mm, tape)} an der ${edgeInWords(edges[pin.edge] ?? pin.edge)}`;
  const [x, y] = pin.at.map((mm) => formatLength(mm, tape));
  return `${PIN_NAMES[pin.kind]}: ${x} von links, ${y} von unten`;
}

/** Why a pin can't be kept, and the way out. */
export function describeHindrance({ by }: HinderedPin, pins: readonly Pin[], names: ThingNames, tape: Tape): string {
  if (by === 'itself') return 'Kein Anfang hält das ein.';
  if (by === 'others') return 'Kein Anfang hält das mit allen anderen ein: eines herausnehmen.';
  return `Nicht beides, dies und „${describePin(pins[by], names, tape)}“: eines herausnehmen.`;
}

/** More than this is no miss by some millimetres: it can't be, mm. */
const FAR_MM = 100;

/** By how much a pin is missed; nothing where it is kept. */
export const describeMiss = (missedMm: number, tape: Tape): string =>
  missedMm <= 0 ? '' : missedMm >= FAR_MM ? 'Nicht eingehalten.' : `Nicht eingehalten: um ${formatLengthWithUnit(missedMm, tape)} daneben.`;
