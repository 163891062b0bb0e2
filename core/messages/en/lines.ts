import type { Ledger } from '../../setout/lines/ledger.ts';
import type { LineTape } from '../../setout/lines/lineTapes.ts';
import type { StruckLines } from '../../setout/lines/strikeLines.ts';
import type { StruckLine } from '../../setout/lines/struckLine.ts';
import type { WorkStart } from '../../setout/lines/workStart.ts';
import type { CarriedJoint } from '../../surface/carriedJoint.ts';
import type { Repeat } from '../../pattern/repeat.ts';
import { rodFrame } from '../../setout/lines/gaugeRod.ts';
import type { Axis } from '../../setout/choice/axisPlacement.ts';
import { formatLength, formatLengthWithUnit } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';
import { edgeInWords } from './names.ts';
import type { ThingNames } from '../thingNames.ts';

/** What is carried through, as it is called where it is marked. */
export const CARRIED_NAMES: Readonly<Record<CarriedJoint['kind'], string>> = {
  movement: 'Movement joint',
  crack: 'Joint over the crack',
  change: 'Joint over the change of ground',
  bay: 'Movement joint between bays',
};

/** The same within a sentence. */
export const CARRIED_THINGS: Readonly<Record<CarriedJoint['kind'], string>> = {
  movement: 'movement joint',
  crack: 'crack',
  change: 'change of ground',
  bay: 'joint between the bays',
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
    `Square where they cross: ${a} along the course line, ${b} along the cross line, then ${formatLengthWithUnit(square.acrossMm, tape)} across.`,
  ];
}

/** How a gauge rod is held, by the direction of its marks. */
export function rodName(axis: Axis, repeat: Repeat): string {
  const { offDeg, runsUp } = rodFrame(repeat);
  const isAlong = (axis === 'y') === runsUp;
  const bySheets = repeat.sheet ? ', by sheets' : '';
  if (offDeg !== 0) return `Held ${isAlong ? 'along' : 'square to'} the courses${bySheets}`;
  return `${axis === 'x' ? 'Held level' : 'Held upright'}, ${isAlong ? 'along' : 'across'} the courses${bySheets}`;
}

/** Where tiles end that do not end a gap from an edge. */
function describeEnd({ edge, endMm, standsMm }: StruckLines['ends'][number], names: ThingNames, tape: Tape): string {
  const length = (mm: number): string => formatLengthWithUnit(mm, tape);
  return standsMm > 0
    ? `Tiles end ${length(endMm)} from the ${nameOf(edge, names)}: ${length(standsMm)} for what stands there, and the joint.`
    : `Tiles go on over the ${nameOf(edge, names)} by ${length(-standsMm)}${endMm === standsMm ? '' : ', less the joint'}.`;
}

/** Where the ledger goes, and what stays of the bottom pieces; each a sentence. */
export function describeLedger({ heightsMm, standsMm, bottom }: Ledger, tape: Tape): string[] {
  const [left, right] = heightsMm.map((mm) => formatLengthWithUnit(mm, tape));
  const base = standsMm > 0 ? 'above what is laid there before' : 'above the base';
  const where = left === right ? `${left} ${base}` : `${left} ${base} at the left, ${right} at the right`;
  const pieces = bottom.map(({ heightsMm: [a, b] }) => {
    const [first, last] = [a, b].map((mm) => formatLength(mm, tape));
    return first === last ? first : `${first} to ${last}`;
  });
  const runs = pieces.filter((piece, k) => k === 0 || piece !== pieces[k - 1]);
  return [
    `Ledger, level under the second course: ${where}.`,
    `Bottom course, from the left: ${runs.slice(0, MOST_TOLD).join(', ')}${runs.length > MOST_TOLD ? ' and so on; the cut list has each' : ''}.`,
    'When the ledger is off its holes are closed, sealed again where the wall is, and dry, before the bottom row is wedged up from the base.',
  ];
}

/** So many different pieces are told one by one. */
const MOST_TOLD = 12;

/** Where the first tile goes, and which way from there. */
function describeStart({ tileLies, ways, endsAt }: WorkStart, names: ThingNames): string {
  const [along, across] = ways.map(([x, y]) => (Math.abs(x) > Math.abs(y) ? (x > 0 ? 'right' : 'left') : y > 0 ? 'top' : 'bottom'));
  const back = endsAt === null ? '' : ` End at the ${nameOf(endsAt, names)}, so that nobody steps on fresh tiles.`;
  const meet = 'the course line and the cross line meet';
  const first = tileLies
    ? `Set the first tile with its ${cornerOf(tileLies)} corner where ${meet}, the joints outside it`
    : `Begin where ${meet}`;
  return `${first}. Go along the courses to the ${along}, then course by course to the ${across}.${back}`;
}

/** The corner of a tile that stands on a crossing, by where the tile lies from there. */
function cornerOf([dx, dy]: readonly [number, number]): string {
  if (Math.abs(dx) < Math.abs(dy) / 5) return dy > 0 ? 'lowest' : 'highest';
  return `${dy > 0 ? 'lower' : 'upper'} ${dx > 0 ? 'left' : 'right'}`;
}

/** One line to strike, as a tape measure at each end. */
export function describeLine(line: StruckLine, names: ThingNames, tape: Tape): string {
  const [a, b] = line.tapes;
  const [low, high] = endNames(line);
  const name = lineName(line, tape);
  if (a.by === 'square' && b.by === 'square' && a.id === b.id && a.from === b.from) {
    const [first, last] = [a, b].map(({ mm }) => formatLength(mm, tape));
    const measures = first === last ? `${first} at both ends` : `${first} ${heldAt(a, low, tape)}, ${last} ${heldAt(b, high, tape)}`;
    return `${name}: ${measures}, from the ${thing(a, names)}.`;
  }
  return `${name}: ${measure(a, names, tape)} ${heldAt(a, low, tape)}; ${measure(b, names, tape)} ${heldAt(b, high, tape)}.`;
}

function lineName({ use, alongCourses, courses, deg, joint }: StruckLine, tape: Tape): string {
  const off = Math.abs(deg - 90 * Math.round(deg / 90));
  const slant = off > STRAIGHT_DEG ? ` at ${(Math.round(deg * 10) / 10).toString()}°` : '';
  if (joint) return `${CARRIED_NAMES[joint.kind]}, the middle of ${formatLengthWithUnit(joint.widthMm, tape)}${slant}`;
  if (use === 'second') return `Second-course line${slant}`;
  if (use === 'control') return `Control line${slant}, ${Math.abs(courses)} courses ${courses > 0 ? 'on' : 'back'}`;
  return `${alongCourses ? 'Course line' : 'Cross line'}${slant}`;
}

/** Where along a line a tape is held: at its end, or a mark so far in. */
const heldAt = (held: LineTape, end: string, tape: Tape): string =>
  held.by === 'square' && held.heldMm > 0 ? `held ${formatLength(held.heldMm, tape)} in from the ${end} end` : `at the ${end} end`;

const endNames = ({ deg }: StruckLine): readonly [string, string] => (deg > 45 && deg < 135 ? ['bottom', 'top'] : ['left', 'right']);

function measure(tape: LineTape, names: ThingNames, shown: Tape): string {
  if (tape.by === 'square') return `${formatLength(tape.mm, shown)} from the ${thing(tape, names)}`;
  const edge = nameOf(tape.edge, names);
  const isAtEnd = /^0"?$/.test(formatLength(tape.mm, shown));
  if (isAtEnd)
    return tape.edge === tape.fromEdge
      ? `a mark where a stretch of the ${edge} begins`
      : `a mark in the corner of the ${edge} and the ${nameOf(tape.fromEdge, names)}`;
  return tape.edge === tape.fromEdge
    ? `a mark ${formatLength(tape.mm, shown)} along a stretch of the ${edge}`
    : `a mark ${formatLength(tape.mm, shown)} along the ${edge}, from its corner with the ${nameOf(tape.fromEdge, names)}`;
}

function thing({ from, id }: Extract<LineTape, { by: 'square' }>, names: ThingNames): string {
  return from === 'fixture' ? (names.fixtures[id] ?? 'fixture') : nameOf(id, names);
}

const nameOf = (id: string, { edges }: ThingNames): string => edgeInWords(edges[id] ?? id);
