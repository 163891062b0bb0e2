import type { Ledger } from '../../setout/lines/ledger.ts';
import type { LineTape } from '../../setout/lines/lineTapes.ts';
import type { StruckLine, StruckLines, WorkStart } from '../../setout/lines/strikeLines.ts';
import { formatLength, formatLengthWithUnit } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';
import { edgeInWords } from './names.ts';
import type { ThingNames } from './reasons.ts';

/** Lines this near to level or upright need no angle, degrees. */
const STRAIGHT_DEG = 3;

/** All that is struck, a sentence a line, in the order of the work. */
export function describeLines({ lines, square, start }: StruckLines, names: ThingNames, tape: Tape): string[] {
  const said = lines.map((line) => describeLine(line, names, tape));
  if (start) said.push(describeStart(start, names));
  if (!square) return said;
  const [a, b] = [square.firstMm, square.secondMm].map((mm) => formatLength(mm, tape));
  return [
    ...said,
    `Square where they cross: ${a} along the course line, ${b} along the cross line, then ${formatLengthWithUnit(square.acrossMm, tape)} across.`,
  ];
}

/** Where the ledger goes, and what stays of the bottom pieces; each a sentence. */
export function describeLedger({ heightsMm, bottom }: Ledger, tape: Tape): string[] {
  const [left, right] = heightsMm.map((mm) => formatLengthWithUnit(mm, tape));
  const where = left === right ? left : `${left} above the base at the left, ${right} at the right`;
  const pieces = bottom.map(({ heightsMm: [a, b] }) => {
    const [first, last] = [a, b].map((mm) => formatLength(mm, tape));
    return first === last ? first : `${first} to ${last}`;
  });
  const runs = pieces.filter((piece, k) => k === 0 || piece !== pieces[k - 1]);
  return [
    `Ledger, level under the second course: ${where}${left === right ? ' above the base' : ''}.`,
    `Bottom course, from the left: ${runs.slice(0, MOST_TOLD).join(', ')}${runs.length > MOST_TOLD ? ' and so on; the cut list has each' : ''}.`,
  ];
}

/** So many different pieces are told one by one. */
const MOST_TOLD = 12;

/** Where the first tile goes, and which way from there. */
function describeStart({ ways, endsAt }: WorkStart, names: ThingNames): string {
  const [along, across] = ways.map(([x, y]) => (Math.abs(x) > Math.abs(y) ? (x > 0 ? 'right' : 'left') : y > 0 ? 'top' : 'bottom'));
  const back = endsAt === null ? '' : ` Then back to the ${nameOf(endsAt, names)}, so that nobody steps on fresh tiles.`;
  return `Begin where the course line and the cross line meet: along the courses to the ${along}, then course by course to the ${across}.${back}`;
}

/** One line to strike, as a tape measure at each end. */
export function describeLine(line: StruckLine, names: ThingNames, tape: Tape): string {
  const [a, b] = line.tapes;
  const [low, high] = endNames(line);
  const name = lineName(line);
  if (a.by === 'square' && b.by === 'square' && a.id === b.id && a.from === b.from) {
    const [first, last] = [a, b].map(({ mm }) => formatLength(mm, tape));
    const measures = first === last ? `${first} at both ends` : `${first} at the ${low} end, ${last} at the ${high} end`;
    return `${name}: ${measures}, from the ${thing(a, names)}.`;
  }
  return `${name}: ${measure(a, names, tape)} at the ${low} end; ${measure(b, names, tape)} at the ${high} end.`;
}

function lineName({ use, alongCourses, courses, deg }: StruckLine): string {
  const off = Math.abs(deg - 90 * Math.round(deg / 90));
  const slant = off > STRAIGHT_DEG ? ` at ${(Math.round(deg * 10) / 10).toString()}°` : '';
  if (use === 'second') return `Second-course line${slant}`;
  if (use === 'control') return `Control line${slant}, ${Math.abs(courses)} courses ${courses > 0 ? 'on' : 'back'}`;
  return `${alongCourses ? 'Course line' : 'Cross line'}${slant}`;
}

const endNames = ({ deg }: StruckLine): readonly [string, string] => (deg > 45 && deg < 135 ? ['bottom', 'top'] : ['left', 'right']);

function measure(tape: LineTape, names: ThingNames, shown: Tape): string {
  if (tape.by === 'square') return `${formatLength(tape.mm, shown)} from the ${thing(tape, names)}`;
  const edge = nameOf(tape.edge, names);
  return tape.edge === tape.fromEdge
    ? `a mark ${formatLength(tape.mm, shown)} along a stretch of the ${edge}`
    : `a mark ${formatLength(tape.mm, shown)} along the ${edge}, from its corner with the ${nameOf(tape.fromEdge, names)}`;
}

function thing({ from, id }: Extract<LineTape, { by: 'square' }>, names: ThingNames): string {
  return from === 'fixture' ? (names.fixtures[id] ?? 'fixture') : nameOf(id, names);
}

const nameOf = (id: string, { edges }: ThingNames): string => edgeInWords(edges[id] ?? id);
