import type { FollowedSchool } from '../../setout/search/schools.ts';
import type { Axis } from '../../setout/choice/axisPlacement.ts';
import type { Reasons } from '../../setout/tell/explainSetout.ts';
import type { StartName } from '../../setout/tell/startName.ts';
import type { Along, EndSize, Statement } from '../../setout/tell/statement.ts';
import type { Falls } from '../../setout/tally/figures.ts';
import { SAW_MM } from '../../tolerances.ts';
import { readLength } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';
import type { ThingNames } from '../thingNames.ts';
import { counted } from './figures.ts';
import { edgeInWords, edgeName } from './names.ts';

/** The two ends of a direction. */
const END_NAMES: Readonly<Record<Axis, string>> = { x: 'links und rechts', y: 'unten und oben' };

const SCHOOL_NAMES: Readonly<Record<FollowedSchool, string>> = {
  centreOut: 'Von der Mitte aus',
  offTheSeenEdge: 'Ganze Fliesen an der zuerst gesehenen Kante',
  outsidesIn: 'Von außen nach innen',
  ledger: 'Ansetzlatte unter der zweiten Reihe',
  onBase: 'Ganze Reihe auf der Grundlinie',
  underTop: 'Ganze Reihe unter der Oberkante',
  noCuts: 'Ohne Zuschnitte',
  mixed: 'Zuschnitt an jeder Seite',
};

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

function startTitle(name: StartName, names: ThingNames): string {
  switch (name.says) {
    case 'school':
      return SCHOOL_NAMES[name.school];
    case 'fullAround':
      return 'Ganze Fliesen an jeder Kante';
    case 'ends': {
      const full = name.full.map((along) => `an der ${nameOf(along, names)}`).join(' und ');
      const even = name.even.length > 1 ? 'rundum gleiche Enden' : `gleiche Enden ${name.even.map((axis) => END_NAMES[axis]).join('')}`;
      return capital([...(full === '' ? [] : [`ganze Fliesen ${full}`]), ...(name.even.length === 0 ? [] : [even])].join(', '));
    }
  }
}

/** A start is called by its name up to so many words; another one is another start. */
const LONGEST_NAME = 9;

/** What a rival is called, where its name says anything. */
function rivalName({ thanName }: Reasons, names: ThingNames): string | null {
  if (!thanName || (thanName.says === 'school' && thanName.school === 'mixed')) return null;
  const title = startTitle(thanName, names);
  return title.split(' ').length <= LONGEST_NAME ? title : null;
}

/** All that is said of a setout: why it, and how far it is behind where it is. Each can be said in one breath. */
export function describeSetout(reasons: Reasons, names: ThingNames, tape: Tape): string[] {
  const { gain, cost, rival, rivalIsBest } = reasons;
  const name = rivalName(reasons, names);
  const other = rivalIsBest ? BEST : name ? `bei „${name}“` : 'bei einem anderen Anfang';
  const lines = [capital(`${sentence(gain, names, tape, other)}.`)];
  if (cost && !rivalIsBest) lines.push(capital(`${sentence(cost, names, tape, other)}.`));
  if (rival && !rivalIsBest) lines.push(`${name ?? 'Ein anderer Anfang'}: ${rivalClause(rival, names, tape)}.`);
  const behind = describeBehind(reasons, names, tape);
  return [...lines, ...(behind ? [behind] : [])];
}

const BEST = 'beim besten Anfang';
const HERE = 'hier';

function describeBehind({ rivalIsBest, cost, instead }: Reasons, names: ThingNames, tape: Tape): string | null {
  if (!rivalIsBest) return null;
  // Where the other pieces go is told where that start is looked at.
  if (instead?.says === 'full') return `Mit dem besten Anfang: ${sentence({ ...instead, rest: null }, names, tape, HERE)}.`;
  if (instead) return `Mit dem besten Anfang: ${sentence(instead, names, tape, HERE)}.`;
  if (cost?.says === 'moreWork') return 'An der Säge dauert es länger als beim besten Anfang.';
  return cost ? `Gegen den besten Anfang: ${sentence(cost, names, tape, BEST)}.` : 'Der beste Anfang ist in Kleinigkeiten besser.';
}

/** What stays of a long piece is short rather than narrow from here on, mm. */
const STRIP_MM = 100;

/** One statement as a clause; `than` names the start it is held against. */
function sentence(statement: Statement, names: ThingNames, tape: Tape, than: string): string {
  const mm = (value: number): string => readLength(value, tape);
  const at = (along: Along): string => `an der ${nameOf(along, names)}`;
  switch (statement.says) {
    case 'full':
      return statement.rest?.cutMm
        ? `ganze Fliesen ${at(statement.along)}; die Stücke von ${sizes(statement.rest, tape)} kommen ${goTo(statement.rest.along, names)}`
        : `ganze Fliesen ${at(statement.along)}`;
    case 'mainFull':
      return `die großen Fliesen bleiben ${at(statement.along)} ganz; nur die kleinen dazwischen werden geschnitten`;
    case 'bothFull':
      return `ganze Fliesen an beiden Enden, ${END_NAMES[statement.axis]}`;
    case 'even':
      return `${sizes(statement, tape)} an beiden Enden, ${END_NAMES[statement.axis]}`;
    case 'ends':
      return endsOf(statement, names, tape);
    case 'narrowest':
      return `das schmalste Stück ist ${mm(statement.size.cutMm?.[0] ?? 0)}, ${at(statement.size.along)}`;
    case 'pieces':
      return `Zuschnitte von ${sizes(statement.size, tape)} stehen ${at(statement.size.along)}`;
    case 'strips':
      return stripsOf(statement.size, names, tape);
    case 'square':
      return `rechtwinklig zur ${nameOf(statement.along, names)}`;
    case 'runOff':
      return `die Reihen laufen ${at(statement.along)} um ${mm(statement.mm)} aus`;
    case 'middle':
      return statement.offMm < SAW_MM
        ? `die Fliesen liegen gleich um die Mitte ${ofThing(statement.fixtureId, names)}`
        : `die Fliesen liegen ${mm(statement.offMm)} neben der Mitte ${ofThing(statement.fixtureId, names)}`;
    case 'falls':
      return `${names.fixtures[statement.fixtureId] ?? edgeName(statement.fixtureId)} ${FALLS[statement.falls]}`;
    case 'legs':
      return statement.some
        ? 'manche ausgeklinkten Stücke behalten einen Schenkel, der leicht bricht'
        : 'kein ausgeklinktes Stück behält einen Schenkel, der leicht bricht';
    case 'work': {
      const cuts = counted(statement.cutPieces, { one: 'Zuschnitt', other: 'Zuschnitte' });
      return statement.less ? `${cuts}, und weniger Zeit an der Säge als ${than}` : cuts;
    }
    case 'moreWork':
      return `an der Säge dauert es länger als ${than}`;
    case 'motifs':
      return statement.motifs === 0
        ? 'kein Motiv ist ganz zu sehen'
        : `${counted(statement.motifs, { one: 'Motiv ist', other: 'Motive sind' })} ganz zu sehen`;
  }
}

/** What speaks against another start, as what would be then. */
function rivalClause(statement: Statement, names: ThingNames, tape: Tape): string {
  switch (statement.says) {
    case 'strips':
      return `dann bleiben ${stripsOf(statement.size, names, tape)}`;
    case 'pieces':
      return `dann bleiben Zuschnitte von ${sizes(statement.size, tape)} an der ${nameOf(statement.size.along, names)}`;
    case 'ends':
      return `dann bleiben ${endsOf(statement, names, tape)}`;
    case 'legs':
      return 'dann behalten ausgeklinkte Stücke einen Schenkel, der leicht bricht';
    case 'moreWork':
      return 'das dauert an der Säge länger';
    case 'motifs':
      return statement.motifs === 0 ? 'dann ist kein Motiv ganz zu sehen' : `dann sind nur ${statement.motifs} Motive ganz zu sehen`;
    default:
      return sentence(statement, names, tape, HERE);
  }
}

/** The narrow pieces along an edge: strips, or short ends of long tiles. */
function stripsOf({ along, cutMm }: EndSize, names: ThingNames, tape: Tape): string {
  const thin = cutMm?.[0] ?? 0;
  return `${thin < STRIP_MM ? 'Streifen' : 'kurze Stücke'} von ${readLength(thin, tape)} an der ${nameOf(along, names)}`;
}

/** Both ends of a direction, each by itself. */
const endsOf = ({ sizes: both }: Extract<Statement, { says: 'ends' }>, names: ThingNames, tape: Tape): string =>
  both.map((size) => `${size.cutMm ? sizes(size, tape) : 'ganze Fliesen'} an der ${nameOf(size.along, names)}`).join(', ');

const FALLS: Readonly<Record<Falls, string>> = {
  piece: 'kommt mitten durch eine Fliese',
  joint: 'fällt auf eine Fuge, je ein halbes Loch in zwei Fliesen',
  crossing: 'fällt dorthin, wo sich Fliesen treffen',
  clear: 'berührt keine Fliese',
};

/** "von Drain", "der linken Kante". */
const ofThing = (id: string, { edges, fixtures }: ThingNames): string =>
  fixtures[id] === undefined ? `der ${edgeInWords(edges[id] ?? id)}` : `von ${fixtures[id]}`;

function nameOf({ id, kind }: Along, { edges, fixtures }: ThingNames): string {
  if (kind === 'beside') return `Seite von ${fixtures[id.replace(/-\d+$/, '')] ?? 'dem, was dort steht'}`;
  return edgeInWords(edges[id] ?? id);
}

const goTo = (along: Along, names: ThingNames): string =>
  along.role === 'hidden' ? `zur ${nameOf(along, names)}, wo niemand hinsieht` : `zur ${nameOf(along, names)}`;

function sizes({ cutMm }: Pick<EndSize, 'cutMm'>, tape: Tape): string {
  if (!cutMm) return 'ganz';
  const [low, high] = cutMm.map((value) => readLength(value, tape));
  return low === high ? low : `${low.replace(/ mm$/, '')} bis ${high}`;
}
