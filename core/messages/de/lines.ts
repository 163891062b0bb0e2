import type { Side } from '../../cuts/cutKind.ts';
import type { Ledger } from '../../setout/lines/ledger.ts';
import type { LineTape } from '../../setout/lines/lineTapes.ts';
import type { StruckLines } from '../../setout/lines/strikeLines.ts';
import type { StruckLine } from '../../setout/lines/struckLine.ts';
import type { CarriedJoint } from '../../surface/carriedJoint.ts';
import type { WorkStart } from '../../setout/lines/workStart.ts';
import { formatLength, formatLengthWithUnit } from '../../units/formatLength.ts';
import { marked, type Tape } from '../../units/tape.ts';
import type { ThingNames } from '../thingNames.ts';
import { edgeInWords, SIDE_NAMES } from './names.ts';

/** What is carried through, as it is called where it is marked. */
const CARRIED_NAMES: Readonly<Record<CarriedJoint['kind'], string>> = {
  movement: 'Bewegungsfuge',
  crack: 'Fuge über dem Riss',
  change: 'Fuge über dem Wechsel des Untergrunds',
  bay: 'Feldbegrenzungsfuge',
};

/** Lines this near to level or upright need no angle, degrees. */
const STRAIGHT_DEG = 3;

/** All that is struck, a sentence a line, in the order of the work. */
export function describeLines({ lines, square, start, ends }: StruckLines, names: ThingNames, tape: Tape): string[] {
  const said = lines.map((line) => describeLine(line, names, tape));
  if (start) said.push(describeStart(start, names));
  said.push(...ends.map((end) => describeEnd(end, names, tape)));
  if (!square) return said;
  const [a, b] = [square.firstMm, square.secondMm].map((mm) => formatLength(mm, tape));
  return [
    ...said,
    `Rechter Winkel, wo sie sich kreuzen: ${a} auf der Reihenlinie, ${b} auf der Querlinie, dann quer ${formatLengthWithUnit(square.acrossMm, tape)}.`,
  ];
}

/** Where tiles end that do not end a gap from an edge. */
function describeEnd({ edge, endMm, standsMm }: StruckLines['ends'][number], names: ThingNames, tape: Tape): string {
  const length = (mm: number): string => formatLengthWithUnit(mm, tape);
  return standsMm > 0
    ? `Die Fliesen enden ${length(endMm)} vor der ${nameOf(edge, names)}: ${length(standsMm)} für das, was dort steht, und die Fuge.`
    : `Die Fliesen gehen ${length(-standsMm)} über die ${nameOf(edge, names)} hinaus${endMm === standsMm ? '' : ', weniger die Fuge'}.`;
}

/** Where the ledger goes, and what stays of the bottom pieces; each a sentence. */
export function describeLedger({ heightsMm, standsMm, bottom }: Ledger, tape: Tape): string[] {
  const [left, right] = heightsMm.map((mm) => formatLengthWithUnit(mm, tape));
  const base = standsMm > 0 ? 'über dem, was dort vorher liegt' : 'über der Grundlinie';
  const where = left === right ? `${left} ${base}` : `links ${left} ${base}, rechts ${right}`;
  const pieces = bottom.map(({ heightsMm: [a, b] }) => {
    const [first, last] = [a, b].map((mm) => formatLength(mm, tape));
    return first === last ? first : `${first} bis ${last}`;
  });
  const runs = pieces.filter((piece, k) => k === 0 || piece !== pieces[k - 1]);
  return [
    `Ansetzlatte, waagrecht unter der zweiten Reihe: ${where}.`,
    `Unterste Reihe, von links: ${runs.slice(0, MOST_TOLD).join(', ')}${runs.length > MOST_TOLD ? ' und so weiter; die Schnittliste hat jedes' : ''}.`,
    'Ist die Latte ab, werden ihre Löcher geschlossen, bei abgedichteten Wänden nachgedichtet, und sind trocken, ehe die unterste Reihe auf Keilen gesetzt wird.',
  ];
}

/** So many different pieces are told one by one. */
const MOST_TOLD = 12;

/** Where the first tile goes, and which way from there. */
function describeStart({ tileLies, ways, endsAt }: WorkStart, names: ThingNames): string {
  const [along, across] = ways.map(([x, y]): Side => (Math.abs(x) > Math.abs(y) ? (x > 0 ? 'right' : 'left') : y > 0 ? 'top' : 'bottom'));
  const back = endsAt === null ? '' : ` Bei der ${nameOf(endsAt, names)} aufhören, damit niemand auf frische Fliesen tritt.`;
  const meet = 'wo sich Reihenlinie und Querlinie treffen';
  const first = tileLies
    ? `Die erste Fliese mit ihrer ${cornerOf(tileLies)} Ecke dorthin setzen, ${meet}, die Fugen außerhalb`
    : `Dort anfangen, ${meet}`;
  return `${first}. Den Reihen entlang nach ${SIDE_NAMES[along]}, dann Reihe um Reihe nach ${SIDE_NAMES[across]}.${back}`;
}

/** The corner of a tile that stands on a crossing, by where the tile lies from there. */
function cornerOf([dx, dy]: readonly [number, number]): string {
  if (Math.abs(dx) < Math.abs(dy) / 5) return dy > 0 ? 'untersten' : 'obersten';
  return `${dy > 0 ? 'unteren' : 'oberen'} ${dx > 0 ? 'linken' : 'rechten'}`;
}

/** One line to strike, as a tape measure at each end. */
function describeLine(line: StruckLine, names: ThingNames, tape: Tape): string {
  const [a, b] = line.tapes;
  const [low, high] = endNames(line);
  const name = lineName(line, tape);
  if (a.by === 'square' && b.by === 'square' && a.id === b.id && a.from === b.from) {
    const [first, last] = [a, b].map(({ mm }) => formatLength(mm, tape));
    const measures = first === last ? `${first} an beiden Enden` : `${first} ${heldAt(a, low, tape)}, ${last} ${heldAt(b, high, tape)}`;
    return `${name}: ${measures}, ${fromThing(a, names)}.`;
  }
  return `${name}: ${measure(a, names, tape)} ${heldAt(a, low, tape)}; ${measure(b, names, tape)} ${heldAt(b, high, tape)}.`;
}

function lineName({ use, alongCourses, courses, deg, joint }: StruckLine, tape: Tape): string {
  const off = Math.abs(deg - 90 * Math.round(deg / 90));
  const slant = off > STRAIGHT_DEG ? ` in ${marked((Math.round(deg * 10) / 10).toString(), tape)}°` : '';
  if (joint) return `${CARRIED_NAMES[joint.kind]}, die Mitte von ${formatLengthWithUnit(joint.widthMm, tape)}${slant}`;
  if (use === 'second') return `Linie der zweiten Reihe${slant}`;
  if (use === 'control') return `Kontrolllinie${slant}, ${Math.abs(courses)} Reihen ${courses > 0 ? 'weiter' : 'zurück'}`;
  return `${alongCourses ? 'Reihenlinie' : 'Querlinie'}${slant}`;
}

/** Where along a line a tape is held: at its end, or a mark so far in. */
const heldAt = (held: LineTape, end: Side, tape: Tape): string =>
  held.by === 'square' && held.heldMm > 0
    ? `${formatLength(held.heldMm, tape)} vor dem Ende ${SIDE_NAMES[end]}`
    : `am Ende ${SIDE_NAMES[end]}`;

const endNames = ({ deg }: StruckLine): readonly [Side, Side] => (deg > 45 && deg < 135 ? ['bottom', 'top'] : ['left', 'right']);

function measure(tape: LineTape, names: ThingNames, shown: Tape): string {
  if (tape.by === 'square') return `${formatLength(tape.mm, shown)} ${fromThing(tape, names)}`;
  const edge = nameOf(tape.edge, names);
  const isAtEnd = /^0"?$/.test(formatLength(tape.mm, shown));
  const isOne = tape.edge === tape.fromEdge;
  if (isAtEnd)
    return isOne
      ? `ein Zeichen, wo ein Stück der ${edge} beginnt`
      : `ein Zeichen in der Ecke der ${edge} mit der ${nameOf(tape.fromEdge, names)}`;
  const along = `ein Zeichen bei ${formatLength(tape.mm, shown)}`;
  return isOne
    ? `${along} entlang eines Stücks der ${edge}`
    : `${along} entlang der ${edge}, von ihrer Ecke mit der ${nameOf(tape.fromEdge, names)}`;
}

/** "von der linken Kante", "von Drain". */
const fromThing = ({ from, id }: Extract<LineTape, { by: 'square' }>, names: ThingNames): string =>
  from === 'fixture' ? `von ${names.fixtures[id] ?? 'dem Einbauteil'}` : `von der ${nameOf(id, names)}`;

const nameOf = (id: string, { edges }: ThingNames): string => edgeInWords(edges[id] ?? id);
