import type { EndCuts, EndPieces } from '../../setout/edges/endCuts.ts';
import type { FollowedSchool } from '../../setout/search/schools.ts';
import type { Axis } from '../../setout/weigh/axisPlacement.ts';
import type { Reasons } from '../../setout/weigh/explainSetout.ts';
import type { StartName } from '../../setout/weigh/startName.ts';
import type { AxisChoice } from '../../setout/weigh/setoutChoice.ts';
import type { Along, EndSize, Statement } from '../../setout/weigh/statement.ts';
import { formatExactLength, formatLengthWithUnit } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';
import { edgeInWords } from './names.ts';

/** What things of a surface are called, by id: edges that have a name of their own, fixtures. */
export interface ThingNames {
  readonly edges: Readonly<Record<string, string>>;
  readonly fixtures: Readonly<Record<string, string>>;
}

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
  full.length === 0 ? [] : [`full tiles along the ${inARow(full.map((along) => nameOf(along, names)))}`];

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

const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

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

/** Why a setout: what it gains, what it costs, and why not the next one. Each can be said in one breath. */
export function describeReasons({ gain, cost, rival, rivalIsBest }: Reasons, names: ThingNames, tape: Tape): string[] {
  const than = rivalIsBest ? 'the best start' : 'the next best';
  const lines = [capital(`${sentence(gain, names, tape, than)}.`)];
  if (cost && !rivalIsBest) lines.push(capital(`${costSentence(cost, names, tape, than)}.`));
  if (rival && !rivalIsBest) lines.push(`The next best start ${rivalClause(rival, names, tape)}.`);
  return lines;
}

/** How far a setout is behind what the product would choose, in words; null where it is not. */
export function describeBehind({ rivalIsBest, cost, instead }: Reasons, names: ThingNames, tape: Tape): string | null {
  if (!rivalIsBest) return null;
  if (instead) return `With the best start: ${sentence(instead, names, tape, 'here')}.`;
  return cost ? `Against the best start: ${costSentence(cost, names, tape, 'there')}.` : 'The best start is better in small things.';
}

/** All that is said of a setout: why it, and how far it is behind where it is. */
export function describeSetout(reasons: Reasons, names: ThingNames, tape: Tape): string[] {
  const behind = describeBehind(reasons, names, tape);
  return [...describeReasons(reasons, names, tape), ...(behind ? [behind] : [])];
}

const costSentence = (statement: Statement, names: ThingNames, tape: Tape, than: string): string =>
  statement.says === 'work' ? `it takes ${workOf(statement, than)}` : sentence(statement, names, tape, than);

/** What stays of a long piece is short rather than narrow from here on, mm. */
const STRIP_MM = 100;

/** One statement as a clause. */
function sentence(statement: Statement, names: ThingNames, tape: Tape, than = 'the next best'): string {
  const mm = (value: number): string => sizeInWords(value, tape);
  const where = (along: Along): string => nameOf(along, names);
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
      return statement.sizes.map((size) => `${size.cutMm ? sizes(size, tape) : 'full tiles'} at the ${where(size.along)}`).join(' and ');
    case 'narrowest':
      return `nothing narrower than ${mm(statement.size.cutMm?.[0] ?? 0)}, at the ${where(statement.size.along)}`;
    case 'pieces':
      return `cut pieces of ${sizes(statement.size, tape)} stand along the ${where(statement.size.along)}`;
    case 'strips': {
      const thin = statement.size.cutMm?.[0] ?? 0;
      return `${thin < STRIP_MM ? 'strips' : 'short pieces'} of ${mm(thin)} along the ${where(statement.size.along)}`;
    }
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

/** What speaks against the next best start, as what it does. */
function rivalClause(statement: Statement, names: ThingNames, tape: Tape): string {
  switch (statement.says) {
    case 'strips':
      return `leaves ${sentence(statement, names, tape)}`;
    case 'pieces':
      return `leaves cut pieces of ${sizes(statement.size, tape)} along the ${nameOf(statement.size.along, names)}`;
    case 'ends':
      return `comes to ${sentence(statement, names, tape)}`;
    case 'runOff':
      return `runs off by ${formatLengthWithUnit(statement.mm, tape)} along the ${nameOf(statement.along, names)}`;
    case 'middle':
      return `lies ${formatLengthWithUnit(statement.offMm, tape)} off the middle of ${thingName(statement.fixtureId, names)}`;
    case 'falls':
      return `has ${thingName(statement.fixtureId, names)} in the body of one tile`;
    case 'legs':
      return 'leaves notched pieces a leg that breaks easily';
    case 'moreWork':
      return 'takes longer at the saw';
    case 'motifs':
      return statement.motifs === 0 ? 'shows no motif whole' : `shows only ${statement.motifs} whole`;
    default:
      return `comes out so: ${sentence(statement, names, tape)}`;
  }
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

function nameOf({ id, kind }: Along, { edges, fixtures }: ThingNames): string {
  if (kind === 'beside') return `side of ${fixtures[id.replace(/-\d+$/, '')] ?? 'what stands there'}`;
  return edgeInWords(edges[id] ?? id);
}

const goTo = (along: Along, names: ThingNames): string =>
  along.role === 'hidden' ? `to the ${nameOf(along, names)}, where nobody looks` : `to the ${nameOf(along, names)}`;

function sizes({ cutMm }: Pick<EndSize, 'cutMm'>, tape: Tape): string {
  if (!cutMm) return 'full';
  const [low, high] = cutMm.map((value) => sizeInWords(value, tape));
  return low === high ? low : `${low} to ${high}`;
}

/** The pieces at both ends in words. */
export function describeEnds({ start, end }: EndCuts, axis: Axis, tape: Tape): string {
  const [startName, endName] = END_NAMES[axis];
  const [first, last] = [start, end].map((pieces) => describePieces(pieces, tape));
  if (first === last) return first === FULL ? 'full pieces at both ends' : `${first} at both ends`;
  return `${first} at the ${startName}, ${last} at the ${endName}`;
}

const FULL = 'full';

/** A size as the tape reads it; what is there is never read as nothing. */
function sizeInWords(mm: number, tape: Tape): string {
  const read = formatLengthWithUnit(mm, tape);
  return mm > 0 && /^0( mm|")$/.test(read) ? formatExactLength(mm, tape) : read;
}

/** The pieces along one edge in words. */
export function describePieces({ cutsMm, full }: EndPieces, tape: Tape): string {
  if (cutsMm.length === 0) return FULL;
  const shown = [...new Set(cutsMm.map((mm) => sizeInWords(mm, tape)))];
  const range = shown.length > 2 ? `${shown[0]} down to ${shown.at(-1) ?? ''}` : shown.join(' and ');
  return full ? `full${shown.length === 1 ? ' and' : ','} ${range}` : range;
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
