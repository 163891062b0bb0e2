import type { LayingZone, LayingZones } from '../../zones/layingZones.ts';
import type { ThingNames } from '../thingNames.ts';
import { edgeInWords } from './names.ts';
import { formatArea } from '../../units/formatArea.ts';
import type { Tape } from '../../units/tape.ts';

const pieces = (count: number, what: string): string => (count === 0 ? `none ${what}` : `${count} ${what}`);

/** How a surface is laid, zone after zone. */
export function describeZones({ zones, way, exits, exitIsGuessed }: LayingZones, { edges }: Pick<ThingNames, 'edges'>): string {
  if (zones.length === 0) return 'There is nothing to lay.';
  if (zones.length === 1) return 'One zone: all of it at once.';
  const count = `${zones.length} zones`;
  if (way === 'upFromTheBase') {
    const last = zones.some(({ offLedger }) => offLedger) ? ' The bottom course comes last, when the ledger is off.' : '';
    return `${count}, up from the ${last ? 'ledger' : 'base'}, at each height from the left.${last}`;
  }
  const out = exits.map((id) => `the ${edgeInWords(edges[id] ?? id)}`).join(' and ');
  const proof = zones.every(({ isReached }) => isReached)
    ? 'Each is reached, and left, over floor that is not laid yet.'
    : 'Not each is reached over floor that is not laid yet.';
  return `${count}, backwards to ${out}${exitIsGuessed ? ', taken for the way out as no doorway is measured' : ''}. ${proof}`;
}

/** What a zone takes. */
export const describeZone = ({ areaMm2, wholePieces, cuts, offLedger }: LayingZone, tape: Tape): string =>
  `${formatArea(areaMm2, tape)}, ${pieces(wholePieces, 'whole')}, ${pieces(cuts.length, 'cut')}${offLedger ? ', off the ledger' : ''}`;
