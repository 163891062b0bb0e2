import type { EndCuts, EndPieces } from '../../setout/edges/endCuts.ts';
import type { FollowedSchool } from '../../setout/search/schools.ts';
import type { Axis } from '../../setout/choice/axisPlacement.ts';
import type { Reasons } from '../../setout/tell/explainSetout.ts';
import type { StartName } from '../../setout/tell/startName.ts';
import type { AxisChoice } from '../../setout/choice/setoutChoice.ts';
import type { Along, EndSize, Statement } from '../../setout/tell/statement.ts';
import { readLength } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';
import { capital, lowerFirst } from './casing.ts';
import type { ThingNames } from '../thingNames.ts';
import { CARRIED_THINGS } from './lines.ts';
import { edgeInWords } from './names.ts';

/** The two ends of a direction in words. */
export const END_NAMES: Readonly<Record<Axis, readonly [string, string]>> = { x: ['left', 'right'], y: ['bottom', 'top'] };

const SCHOOL_NAMES: Readonly<Record<FollowedSchool, string>> = {
  centreOut: 'From the centre out',
  offTheSeenEdge: 'Full off the edge seen first',
  outsidesIn: 'From the outsides in',
  ledger: 'Ledger under the second course',
  onBase: 'Full course on the base',
  underTop: 'Full course under the top',
  noCuts: 'No cuts',
  mixed: 'Cut at every side',
};

/** What a school is called. */
export const schoolName = (school: FollowedSchool): string => SCHOOL_NAMES[school];

/** What a start is called, by what it does. */
export function startTitle(name: StartName, names: ThingNames): string {
  switch (name.says) {
    case 'school':
      return schoolName(name.school);
    case 'fullAround':
      return 'Full tiles at every edge';
    case 'ends':
      return capital([...fullEnds(name.full, names), ...evenEnds(name.even)].join(', '));
  }
}

const fullEnds = (full: readonly Along[], names: ThingNames): string[] =>
  full.length === 0 ? [] : [`full tiles along the ${inARow(full.map((along) => nameAlong(along, names)))}`];

function evenEnds(even: readonly Axis[]): string[] {
  if (even.length === 0) return [];
  return [even.length > 1 ? 'even ends all round' : `even ends ${END_NAMES[even[0]].join(' and ')}`];
}

/** Things after "the", each with its own: a, the b and the c. */
const inARow = (things: readonly string[]): string =>
  things.map((thing, k) => (k === 0 ? '' : k < things.length - 1 ? ', the ' : ' and the ') + thing).join('');

/** The same over a setout that is in force: what is being cut stays as it was begun. */
export const setoutTitle = (name: StartName, names: ThingNames, isBegun: boolean): string =>
  isBegun ? `As it was begun: ${lowerFirst(startTitle(name, names))}` : startTitle(name, names);

/** What a rule does, as a clause. */
export function ruleName(rule: AxisChoice['rule'], axis: Axis): string {
  const [start, end] = END_NAMES[axis];
  switch (rule) {
    case 'pieceCentred':
      return 'a piece on the centre line';
    case 'jointCentred':
      return 'a joint on the centre line';
    case 'fullFromStart':
      return `a full piece off the ${start} edge`;
    case 'fullFromEnd':
      return `a full piece off the ${end} edge`;
    case 'free':
      return 'placed by hand';
    case 'best':
      return 'the best of all starts';
  }
}

/** A start is called by its name up to so many words; another one is another start. */
const LONGEST_NAME = 7;

/** What a rival is called in a sentence. */
function rivalName({ thanName }: Reasons, names: ThingNames): string {
  const title = thanName && startTitle(thanName, names);
  return title && title.split(' ').length <= LONGEST_NAME && !title.startsWith('Cut') ? title : 'Another start';
}

/** Why a setout: what it gains, what it costs, and why not another one. Each can be said in one breath. */
export function describeReasons(reasons: Reasons, names: ThingNames, tape: Tape): string[] {
  const { gain, cost, rival, rivalIsBest } = reasons;
  const other = rivalIsBest ? 'the best start' : lowerFirst(rivalName(reasons, names));
  const lines = [capital(`${sentence(gain, names, tape, other)}.`)];
  if (cost && !rivalIsBest) lines.push(capital(`${sentence(cost, names, tape, other)}.`));
  if (rival && !rivalIsBest) lines.push(`${rivalName(reasons, names)} would ${rivalClause(rival, names, tape)}.`);
  return lines;
}

/** How far a setout is behind what the product would choose, in words; null where it is not. */
export function describeBehind({ rivalIsBest, cost, instead }: Reasons, names: ThingNames, tape: Tape): string | null {
  if (!rivalIsBest) return null;
  // Where the other pieces go is told where that start is looked at.
  if (instead?.says === 'full') return `With the best start: ${sentence({ ...instead, rest: null }, names, tape, 'this one')}.`;
  if (instead) return `With the best start: ${sentence(instead, names, tape, 'this one')}.`;
  if (cost?.says === 'moreWork') return 'It takes longer at the saw than the best start.';
  return cost ? `Against the best start: ${sentence(cost, names, tape, 'the best start')}.` : 'The best start is better in small things.';
}

/** All that is said of a setout: why it, and how far it is behind where it is. */
export function describeSetout(reasons: Reasons, names: ThingNames, tape: Tape): string[] {
  const behind = describeBehind(reasons, names, tape);
  return [...describeReasons(reasons, names, tape), ...(behind ? [behind] : [])];
}

/** What stays of a long piece is short rather than narrow from here on, mm. */
const STRIP_MM = 100;

/** One statement as a clause. */
function sentence(statement: Statement, names: ThingNames, tape: Tape, than: string): string {
  const mm = (value: number): string => readLength(value, tape);
  const where = (along: Along): string => nameAlong(along, names);
  const fixture = (id: string): string => thingName(id, names);
  switch (statement.says) {
    case 'full':
      return statement.rest?.cutMm
        ? `full tiles off the ${where(statement.along)}; the ${sizes(statement.rest, tape)} pieces go ${goTo(statement.rest.along, names)}`
        : `full tiles along the ${where(statement.along)}`;
    case 'mainFull':
      return `the large tiles stay whole along the ${where(statement.along)}; only the small ones between are cut`;
    case 'bothFull':
      return `full tiles at both ends, ${END_NAMES[statement.axis].join(' and ')}`;
    case 'even':
      return `${sizes(statement, tape)} at both ends, ${END_NAMES[statement.axis].join(' and ')}`;
    case 'ends':
      return endsOf(statement, names, tape);
    case 'narrowest':
      return `the narrowest piece is ${mm(statement.size.cutMm?.[0] ?? 0)}, at the ${where(statement.size.along)}`;
    case 'pieces':
      return `cut pieces of ${sizes(statement.size, tape)} stand along the ${where(statement.size.along)}`;
    case 'strips':
      return stripsOf(statement.size, names, tape);
    case 'square':
      return `square to the ${where(statement.along)}`;
    case 'runOff':
      return `the courses run off by ${mm(statement.mm)} along the ${where(statement.along)}`;
    case 'middle':
      return statement.offMm < 0.1
        ? `the tiles lie evenly about the middle of ${fixture(statement.fixtureId)}`
        : `the tiles lie ${mm(statement.offMm)} off the middle of ${fixture(statement.fixtureId)}`;
    case 'falls':
      return `${fixture(statement.fixtureId)} ${FALLS[statement.falls]}`;
    case 'legs':
      return statement.some ? 'some notched pieces keep a leg that breaks easily' : 'no notched piece keeps a leg that breaks easily';
    case 'work':
      return workOf(statement, than);
    case 'moreWork':
      return `it takes longer at the saw than ${than}`;
    case 'motifs':
      return motifsOf(statement.motifs);
  }
}

/** What speaks against another start, as what it would do. */
function rivalClause(statement: Statement, names: ThingNames, tape: Tape): string {
  switch (statement.says) {
    case 'strips':
      return `leave ${stripsOf(statement.size, names, tape)}`;
    case 'pieces':
      return `leave cut pieces of ${sizes(statement.size, tape)} along the ${nameAlong(statement.size.along, names)}`;
    case 'ends':
      return `leave ${endsOf(statement, names, tape)}`;
    case 'runOff':
      return `run off by ${readLength(statement.mm, tape)} along the ${nameAlong(statement.along, names)}`;
    case 'middle':
      return `lie ${readLength(statement.offMm, tape)} off the middle of ${thingName(statement.fixtureId, names)}`;
    case 'falls':
      return `have ${thingName(statement.fixtureId, names)} in the body of one tile`;
    case 'legs':
      return 'leave notched pieces a leg that breaks easily';
    case 'moreWork':
      return 'take longer at the saw';
    case 'motifs':
      return statement.motifs === 0 ? 'show no motif whole' : `show only ${statement.motifs} whole`;
    default:
      return `come out so: ${sentence(statement, names, tape, 'this one')}`;
  }
}

/** The narrow pieces along an edge: strips, or short ends of long tiles. */
function stripsOf({ along, cutMm }: EndSize, names: ThingNames, tape: Tape): string {
  const thin = cutMm?.[0] ?? 0;
  return `${thin < STRIP_MM ? 'strips' : 'short pieces'} of ${readLength(thin, tape)} along the ${nameAlong(along, names)}`;
}

/** Both ends of a direction, each by itself. */
const endsOf = ({ sizes: both }: Extract<Statement, { says: 'ends' }>, names: ThingNames, tape: Tape): string =>
  both.map((size) => `${size.cutMm ? sizes(size, tape) : 'full tiles'} at ${endName(size.along, names)}`).join(', ');

/** An edge as one end of a row: "the left", "A–B". */
function endName(along: Along, names: ThingNames): string {
  const name = nameAlong(along, names);
  return name.startsWith('edge ') ? name.slice('edge '.length) : `the ${name.replace(/ edge$/, '')}`;
}

const workOf = ({ cutPieces, less }: Extract<Statement, { says: 'work' }>, than: string): string =>
  `${cutPieces} ${cutPieces === 1 ? 'cut' : 'cuts'}${less ? `, and less time at the saw than ${than}` : ''}`;

const motifsOf = (motifs: number): string =>
  motifs === 0 ? 'no motif shows whole' : `${motifs} ${motifs === 1 ? 'motif shows' : 'motifs show'} whole`;

const FALLS = {
  piece: 'comes through the body of one tile',
  joint: 'falls on a joint, half a hole in each of two tiles',
  crossing: 'falls where tiles meet',
  clear: 'touches no tile',
} as const;

/** A fixture by its name, a doorway as its edge is called. */
const thingName = (id: string, { edges, fixtures }: ThingNames): string => fixtures[id] ?? `the ${edgeInWords(edges[id] ?? id)}`;

/** What is called what tiles end at: an edge, the side of a fixture, a movement joint. */
export function nameAlong({ id, kind }: Pick<Along, 'id' | 'kind'>, { edges, fixtures, carried }: ThingNames): string {
  if (kind === 'beside') {
    const joint = carried[id.replace(/-(below|above)$/, '')];
    return joint ? CARRIED_THINGS[joint] : `side of ${fixtures[id.replace(/-\d+$/, '')] ?? 'what stands there'}`;
  }
  return edgeInWords(edges[id] ?? id);
}

const goTo = (along: Along, names: ThingNames): string =>
  along.role === 'hidden' ? `to the ${nameAlong(along, names)}, where nobody looks` : `to the ${nameAlong(along, names)}`;

function sizes({ cutMm }: Pick<EndSize, 'cutMm'>, tape: Tape): string {
  if (!cutMm) return 'full';
  const [low, high] = cutMm.map((value) => readLength(value, tape));
  return low === high ? low : `${low.replace(/ mm$/, '')} to ${high}`;
}

/** The pieces at both ends in words. */
export function describeEnds({ start, end }: EndCuts, axis: Axis, tape: Tape): string {
  const [startName, endName] = END_NAMES[axis];
  const [first, last] = [start, end].map((pieces) => describePieces(pieces, tape));
  if (first === last) return first === FULL ? 'full pieces at both ends' : `${first} at both ends`;
  return `${first} at the ${startName}, ${last} at the ${endName}`;
}

const FULL = 'full';

/** The pieces along one edge in words. */
export function describePieces({ cutsMm, full }: EndPieces, tape: Tape): string {
  if (cutsMm.length === 0) return FULL;
  const shown = [...new Set(cutsMm.map((mm) => readLength(mm, tape)))];
  const range = shown.length > 2 ? `${shown[0]} down to ${shown.at(-1) ?? ''}` : shown.join(' and ');
  return full ? `full${shown.length === 1 ? ' and' : ','} ${range}` : range;
}
