import type { LayingZone, LayingZones } from '../../zones/layingZones.ts';
import { formatArea } from '../../units/formatArea.ts';
import type { Tape } from '../../units/tape.ts';
import type { ThingNames } from '../thingNames.ts';
import { edgeInWords } from './names.ts';

const pieces = (count: number, what: string): string => (count === 0 ? `keines ${what}` : `${count} ${what}`);

/** How a surface is laid, zone after zone. */
export function describeZones({ zones, way, exits, exitIsGuessed }: LayingZones, { edges }: Pick<ThingNames, 'edges'>): string {
  if (zones.length === 0) return 'Es gibt nichts zu verlegen.';
  if (zones.length === 1) return 'Ein Abschnitt: alles auf einmal.';
  const count = `${zones.length} Abschnitte`;
  if (way === 'upFromTheBase') {
    const hasLedger = zones.some(({ offLedger }) => offLedger);
    const last = hasLedger ? ' Die unterste Reihe kommt zuletzt, wenn die Ansetzlatte weg ist.' : '';
    return `${count}, von der ${hasLedger ? 'Ansetzlatte' : 'Grundlinie'} aufwärts, in jeder Höhe von links.${last}`;
  }
  const out = exits.map((id) => `zur ${edgeInWords(edges[id] ?? id)}`).join(' und ');
  const proof = zones.every(({ isReached }) => isReached)
    ? 'Jeder wird über unverlegten Boden erreicht und verlassen.'
    : 'Nicht jeder wird über unverlegten Boden erreicht.';
  return `${count}, rückwärts bis ${out}${exitIsGuessed ? ', als Ausgang angenommen, weil keine Tür aufgemessen ist' : ''}. ${proof}`;
}

/** What a zone takes. */
export const describeZone = ({ areaMm2, wholePieces, cuts, offLedger }: LayingZone, tape: Tape): string =>
  `${formatArea(areaMm2, tape)}, ${pieces(wholePieces, 'ganz')}, ${pieces(cuts.length, 'geschnitten')}${offLedger ? ', nach der Ansetzlatte' : ''}`;
