import type { Finding } from '../../advice/finding.ts';
import type { AdviceCode } from '../../advice/harm.ts';
import { SLIVER_MM } from '../../setout/choice/sliver.ts';
import type { Figures } from '../../result.ts';
import { formatExactLength, formatRun, readLength } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';
import type { Substrate } from '../../takeoff/works/works.ts';
import { capital } from './casing.ts';
import { describeIssue } from './issues.ts';
import type { TaskId } from '../../labour/tasks.ts';
import { missedWords } from './programme.ts';
import { patternName } from './patterns.ts';
import { CARRIED_THINGS } from './lines.ts';
import { edgeInWords } from './names.ts';
import { SUBSTRATE_NAMES } from './works.ts';

/** A length in words. */
type InWords = (mm: number | string) => string;

/** What is said of some figures: lengths that were chosen as they are, those that came out as the tape reads them, those of a floor as one says them. */
type FindingWords = (figures: Figures, length: InWords, read: InWords, run: InWords) => string;

/** A length that is estimated; one that the tape can't show says so itself. */
const about = (length: string): string => (/^(about|less)\b/.test(length) ? length : `about ${length}`);

/** So little of a length; one that the tape can't show says so itself. */
const only = (length: string): string => (length.startsWith('less') ? length : `only ${length}`);

const carriedThing = (kind: number | string | undefined): string =>
  (CARRIED_THINGS as Readonly<Record<string, string>>)[String(kind)] ?? 'joint';

/** Said where the start in force is the best of those that were tried. */
const NO_BETTER = 'Of all starts this one was weighed best: another tile, another joint or a wider trim would help.';

/** What stays of a piece is a strip up to so many mm, from there on a short piece. */
const STRIP_MM = 100;

/** Pieces that are narrow, by what they look like. */
const narrow = (cutMm: number | string): string => (Number(cutMm) < STRIP_MM ? 'strips' : 'pieces');

const plural = (count: number | string, one: string, more: string): string => (Number(count) === 1 ? one : `${count} ${more}`);

/** The words for every finding, in one breath: what is wrong, and what mends it. */
export const ADVICE_WORDS = {
  'advice/reading-disagrees': ({ readings, offMm }, _length, read) => `Measure ${readings} again: it is ${read(offMm)} off the others.`,
  'advice/readings-unclear': ({ readings, offMm }, _length, read) =>
    `Something was misread by ${about(read(offMm))}; it may be ${readings}.`,
  'advice/meeting-differs': ({ edge, other, mineMm, theirsMm }, length) =>
    `The ${edgeInWords(edge)} is ${length(mineMm)} here, but ${length(theirsMm)} on "${other}": measure both again.`,
  'advice/caged-in': ({ zones, count }) =>
    `${count === 1 ? `Zone ${zones} is` : `Zones ${zones} are`} reached only over fresh tiles: lay ${count === 1 ? 'it' : 'them'} earlier, or take the proposed order.`,
  'advice/no-way-in': ({ zones, count }) =>
    `${count === 1 ? `Zone ${zones} has` : `Zones ${zones} have`} no way in that is wide enough: say by which edge one leaves.`,
  'advice/measure-again': ({ count }) =>
    `${plural(count, 'One length is', 'lengths are')} still of the place this was copied from: measure ${count === 1 ? 'it' : 'them'} here.`,
  'advice/door-in-the-air': ({ name, edge, offMm }, length) =>
    `"${name}" begins ${length(offMm)} above the ${edgeInWords(edge)}: measure where its frame begins.`,
  'advice/stands-off': ({ name, edge, offMm }, length) =>
    `"${name}" stands ${length(offMm)} off the ${edgeInWords(edge)}: too little to tile or to clean.`,
  'advice/missed-window': ({ task, place, before, hours, withinHours }) =>
    missedWords(task as TaskId, String(place), before as TaskId, Number(hours), Number(withinHours)),
  'advice/not-flat': ({ gapMm, limitMm, edgeMm }, length, read) =>
    `The ground gapes ${read(gapMm)} under a straightedge of ${length(edgeMm)}; this tile allows ${length(limitMm)}: level it first.`,
  'advice/finishes-proud': ({ offMm, neighbour }, length) =>
    `Finishes ${length(offMm)} above ${neighbour}, an edge to trip over: thin a layer, or plan a ramp.`,
  'advice/finishes-low': ({ offMm, neighbour }, length) =>
    `Finishes ${length(offMm)} below ${neighbour}: thicken a layer to bring it flush.`,
  'advice/nominal-sheet': ({ name, widthMm, heightMm }, length) =>
    `"${name}" is planned at ${length(widthMm)} x ${length(heightMm)}, summed from its chips: measure a handful.`,
  'advice/nominal-size': ({ name, widthMm, heightMm }, length) =>
    `"${name}" is planned at the size on its box, ${length(widthMm)} x ${length(heightMm)}: measure a handful.`,
  'advice/sliver': ({ edge, cutMm }, _length, read) =>
    `The ${edgeInWords(edge)} gets ${narrow(cutMm)} of ${read(cutMm)}: too narrow to look right.`,
  'advice/thin-beside': ({ name, cutMm }, _length, read) =>
    `Beside "${name}" stay ${narrow(cutMm)} of ${read(cutMm)}: too narrow to look right.`,
  'advice/split-round': ({ name }) => `"${name}" stands within one tile: split that tile, or move a joint there.`,
  'advice/both-hands': ({ name, left, right }) =>
    `"${name}" comes in two hands: order ${left} left and ${right} right, and spares of each.`,
  'advice/long-offset': ({ longestMm, isDrawn }, length) =>
    isDrawn
      ? `Drawn by chance, pieces of ${length(longestMm)} lip where ends meet middles: shift them by a third.`
      : `Pieces of ${length(longestMm)} lip when they are shifted by half: shift them by a third at most.`,
  'advice/weave-joint': ({ innerMm, jointMm }, length) =>
    `Strips of a block stand ${length(innerMm)} apart, the blocks ${length(jointMm)}: it shows.`,
  'advice/left-to-joint': ({ count, widestMm }, _length, read) =>
    count === 1
      ? `In one place a strip of ${read(widestMm)} is left to the joint.`
      : `In ${count} places strips up to ${read(widestMm)} wide are left to the joint.`,
  'advice/shaved': ({ count, offMm }, _length, read) =>
    `${plural(count, 'One tile loses', 'tiles lose')} ${only(read(offMm))}: grind that off, or move the start.`,
  'advice/under-kerf': ({ widthMm, heightMm }, length) =>
    `Stones of ${length(widthMm)} x ${length(heightMm)} are too near the tile's size for a saw to cut.`,
  'advice/no-bit': ({ label, holeMm, largestBitMm }, length) =>
    `The hole in ${label} is ${length(holeMm)}, your largest bit ${length(largestBitMm)}: grind it to the line.`,
  'advice/part-joint': ({ innerMm, jointMm, pattern }, length) =>
    `In ${patternName(pattern).toLowerCase()} the other tiles have joints of ${length(innerMm)}, the rest ${Number(jointMm) === 0 ? 'none' : length(jointMm)}: it shows.`,
  'advice/sheet-seam': ({ innerMm, jointMm }, length) =>
    `Chips stand ${length(innerMm)} apart, sheets ${length(jointMm)}: every seam will show.`,
  'advice/uneven-pieces': ({ name, rangeMm, neededMm }, length) =>
    `Pieces of "${name}" differ by ${length(rangeMm)}: take a joint of ${length(neededMm)} or more.`,
  'advice/uneven-sheets': ({ name, rangeMm }, length) =>
    `Sheets of "${name}" differ by ${length(rangeMm)} and their seams will show: sort them before they are laid.`,
  'advice/cut-motif': ({ name }) => `No sheet of "${name}" shows its motif whole: move the setout so that one does.`,
  'advice/motif-off-middle': ({ name, offMm, side }, _length, read) =>
    `The motif of "${name}" stands ${read(offMm)} ${side} of the middle of the wall.`,
  'advice/glass-strips': ({ count, narrowestMm, leastMm }, length, read) =>
    count === 1
      ? `A strip of glass is only ${read(narrowestMm)} wide: under ${length(leastMm)} it splinters at the wheel.`
      : `${count} strips of glass are under ${length(leastMm)}, down to ${read(narrowestMm)}: they splinter at the wheel.`,
  'advice/mixed-lots': ({ name, place, opened, largest }) =>
    `No lot of "${name}" holds the ${opened} that ${place} takes; the largest has ${largest}.`,
  'advice/short-lot': ({ name, place, bought, left }) =>
    `With spares ${place} takes ${bought} of "${name}"; the largest lot that is left has ${left}.`,
  'advice/seal-first': ({ name, count }) =>
    `"${name}" ${count === 1 ? 'is' : `and ${Number(count) === 2 ? 'one more' : `${Number(count) - 1} more`} are`} porous: seal before grouting, or the grout stains the face.`,
  'advice/narrow-joint': ({ jointMm, smallestMm, kind, practice }, length) =>
    `A joint of ${length(jointMm)} is narrow: ${practice === 'european' ? 'European' : 'North American'} practice asks for ${length(smallestMm)} on a ${kind}.`,
  'advice/no-perimeter-joint': ({ edge, name }) =>
    `No gap ${name === undefined ? `at the ${edgeInWords(edge)}` : `round "${name}"`}: tiles have no room to move, and lift or crack.`,
  'advice/clip-width': ({ widthMm, jointMm }, length) =>
    `Levelling clips keep ${length(widthMm)}, but the joint is ${length(jointMm)}: make the two agree.`,
  'advice/sanded-glass': ({ name }) => `Sand in the grout scratches "${name}": take one without.`,
  'advice/unsanded-wide': ({ jointMm }, length) => `Grout without sand cracks in a joint of ${length(jointMm)}: take one with sand.`,
  'advice/dark-mortar': ({ name, material }) => `Grey mortar ${material === 'glass' ? 'shows through' : 'clouds'} "${name}": take white.`,
  'advice/glass-bed': ({ name }) => `"${name}" wants a mortar made for glass: name it in the order, with its data sheet.`,
  'advice/glass-room': ({ gapMm, roomMm }, length) =>
    `A gap of ${length(gapMm)} is little for glass: leave ${about(length(roomMm))} at the edges.`,
  'advice/thin-coverage': ({ longestSideMm, sharePercent }, length) =>
    `Backs left dry: here ${sharePercent} % of each has to be in mortar, so butter pieces of ${length(longestSideMm)}.`,
  'advice/heavy-load': ({ longestSideMm }, length) =>
    `Heavy loads crack pieces of ${length(longestSideMm)} over hollows: notch bed and back.`,
  'advice/bed-thin': ({ notchMm, usualMm, longestSideMm }, length) =>
    `A notch of ${length(notchMm)} is shallow for pieces of ${length(longestSideMm)}: ${length(usualMm)} is usual.`,
  'advice/bed-thick': ({ notchMm, usualMm, longestSideMm }, length) =>
    `A notch of ${length(notchMm)} is deep for pieces of ${length(longestSideMm)}: ${length(usualMm)} is usual.`,
  'advice/ready-mixed': ({ why, longestSideMm }, length) =>
    `Ready-mixed adhesive dries by air, and ${
      {
        membrane: 'between waterproofing and a tile there is none',
        outdoors: 'frost and rain undo it',
        floor: 'on a floor it stays soft under feet',
        large: `behind pieces of ${length(longestSideMm)} it stays soft`,
      }[String(why)] ?? 'here there is little'
    }: take a powder.`,
  'advice/membrane-mortar': () => 'Waterproofing and mortar have to suit each other: name both in the order, with their data sheets.',
  'advice/cut-along-joint': ({ kind, count, cutMm }, _length, read) =>
    `No tile joint lies over the ${carriedThing(kind)}: ${plural(count, 'piece is', 'pieces are')} cut along it, the narrowest ${read(cutMm)}.`,
  'advice/narrow-movement-joint': ({ widthMm, jointMm }, length) =>
    `The movement joint is ${length(widthMm)} wide, the tile joint ${length(jointMm)}: make it as wide at least.`,
  'advice/crack-underneath': () => 'A crack runs under these tiles: have it looked at before you tile over it.',
  'advice/bay-too-long': ({ count, limitMm, longestMm }, _length, _read, run) =>
    `This floor is ${run(longestMm)} long, a bay ${run(limitMm)} at most: ${plural(count, 'a movement joint is', 'movement joints are')} planned.`,
  'advice/bay-too-large': ({ count, limitM2 }) =>
    `A bay of a heated floor is ${limitM2} m² at most: ${plural(count, 'a movement joint is', 'movement joints are')} planned.`,
  'advice/bay-across': ({ other, longestMm, limitMm }, _length, _read, run) =>
    `With "${other}" this floor is ${run(longestMm)} long, a bay ${run(limitMm)} at most: part them by a movement joint.`,
  'advice/mix-too-large': ({ zone, mixKg, mostKg, limit }) =>
    `Zone ${zone} takes a mix of ${kilograms(mixKg)}; ${limit === 'bucket' ? `the bucket holds ${kilograms(mostKg)}` : `at this pace ${kilograms(mostKg)} is laid before it sets`}.`,
  'advice/hard-corner': ({ edge }) => `The ${edgeInWords(edge)} meets another plane, and grout cracks there: make it sealant.`,
  'advice/deep-boxes': ({ count, deepMm }, length) =>
    `${plural(count, 'The box ends up', 'boxes end up')} ${about(length(deepMm))} deeper: have longer screws or extension rings ready.`,
  'advice/mixed-substrates': ({ other, mine, theirs }) =>
    `It runs on into "${other}", from ${substrateWords(mine)} onto ${substrateWords(theirs)}: carry a movement joint through above the line.`,
  'advice/fill-thin': ({ fill, depthMm, limitMm }, length) =>
    `The ${fill} gets down to ${length(depthMm)}; under ${length(limitMm)} it breaks up: raise it.`,
  'advice/fill-thick': ({ fill, depthMm, limitMm }, length) =>
    `The ${fill} gets up to ${length(depthMm)}; over ${length(limitMm)} lay it in two goes.`,
  'advice/no-strips': ({ purpose, name, stripMm, sideMm, isRectangle }, length) =>
    isRectangle
      ? `No ${purpose} of ${length(stripMm)} can be cut from "${name}": its longer side is ${length(sideMm)}.`
      : `No ${purpose} can be cut from "${name}": it is no rectangle.`,
  'advice/soaked-sheets': ({ name, count }) =>
    `${plural(count, 'One sheet', 'sheets')} of "${name}" ${count === 1 ? 'is' : 'are'} sawn wet: keep ${count === 1 ? 'it' : 'them'} out of the water.`,
  'advice/tight-pipe': ({ name, clearanceMm, roomMm }, length) =>
    `"${name}" has ${Number(clearanceMm) === 0 ? 'no room' : only(length(clearanceMm))} round it: leave ${length(roomMm)} at least, filled flexibly.`,
  'advice/fragile-ear': ({ label, legMm, count }, _length, read) =>
    `${label} keeps a leg of ${read(legMm)} that breaks easily${andMore(count)}.`,
  'advice/thin-bridge': ({ label, bridgeMm, count }, _length, read) =>
    `${label} keeps ${read(bridgeMm)} between hole and side${andMore(count)}: bite it out, or split the tile.`,
  'advice/not-primed': ({ substrate }) => `${capital(substrateWords(substrate))} is not primed, and the bed comes off: prime it first.`,
  'advice/wet-open': () => 'A wet place without waterproofing: what lies behind the tiles rots.',
  'advice/soft-ground': ({ substrate }) => `${capital(substrateWords(substrate))} softens when it gets wet: cover it with cement board.`,
} as const satisfies Record<AdviceCode, FindingWords>;

/** What more there is to say: why it goes wrong, what else mends it, who decides. A sentence or two. */
const ADVICE_REASONS: Readonly<Partial<Record<AdviceCode, FindingWords>>> = {
  'advice/readings-unclear': () => 'The readings can not say where; cuts made to them will be off by as much.',
  'advice/meeting-differs': ({ areWalls }) => (areWalls ? 'Courses will not run round the corner.' : 'One of the two was misread.'),
  'advice/door-in-the-air': () => 'Tiles are planned under it.',
  'advice/stands-off': () => 'Set it to 0 where it stands against the wall.',
  'advice/not-flat': () => 'Edges lip and corners ring hollow otherwise. Check the standard in force.',
  'advice/nominal-sheet': () => 'Real sheets differ, and every cut is off by it.',
  'advice/nominal-size': () => 'Real pieces differ, and every cut is off by it.',
  'advice/sliver': ({ cutMm, isBest }) =>
    `${Number(cutMm) < SLIVER_MM ? 'Strips like that break on the saw. ' : ''}${isBest ? NO_BETTER : 'Move the setout, or let an edge that nobody sees take them.'}`,
  'advice/thin-beside': ({ isBest }) => (isBest ? NO_BETTER : 'Move the setout so that a fuller piece meets it.'),
  'advice/split-round': () => 'Nothing closes round what can not be lifted.',
  'advice/both-hands': () => 'A face can not be turned over.',
  'advice/long-offset': ({ limitMm }, length) =>
    `Pieces over ${length(limitMm)} bow a little: the middle of one meets the ends of the next. The maker may say otherwise.`,
  'advice/weave-joint': () => 'Set the joint between, or take another count of strips.',
  'advice/left-to-joint': () => 'Nothing so narrow can be cut; move the setout a little if the wider joint would show.',
  'advice/shaved': () => 'So little can neither be snapped nor sawn well.',
  'advice/under-kerf': ({ kerfMm }, length) => `The cut itself takes ${length(kerfMm)}: take another module, or grind them down.`,
  'advice/no-bit': () => 'Or have a larger bit at hand.',
  'advice/part-joint': () => 'Take another tile for them, or another joint.',
  'advice/sheet-seam': () => 'Set the joint of the sheet.',
  'advice/uneven-pieces': ({ jointMm }, length) =>
    `A joint of ${length(jointMm)} can not take that up, and lines wander. Or sort the boxes by calibre.`,
  'advice/motif-off-middle': () => 'Move the setout, or lay it dry and look.',
  'advice/glass-strips': ({ isBest }) => (isBest ? NO_BETTER : 'Move the setout.'),
  'advice/mixed-lots': () => 'Lots differ in shade and size: ask for one lot, or change lots where a doorway hides it.',
  'advice/short-lot': () => 'What is broken would be replaced in another shade: ask for more of one lot.',
  'advice/seal-first': () => 'Try sealer and grout on a spare piece, and keep to their data sheets.',
  'advice/narrow-joint': () => 'Pieces that vary will not line up. Check the standard in force.',
  'advice/no-perimeter-joint': () => 'Leave a joint there and fill it flexibly.',
  'advice/clip-width': () => 'Pieces set against them end up wide of their lines.',
  'advice/sanded-glass': () => 'Try it on a spare piece first.',
  'advice/unsanded-wide': ({ fromMm }, length) => `From ${length(fromMm)} on it shrinks too much.`,
  'advice/glass-bed': () => 'Comb it, then flatten it, so that no ridges show and all of the back is in it.',
  'advice/glass-room': () => 'Glass moves more than the wall behind it; trim or sealant covers the gap.',
  'advice/thin-coverage': () => 'Hollow spots crack or hold water. Lift one piece early and look.',
  'advice/heavy-load': () => 'Mortar on both sides leaves none.',
  'advice/bed-thin': () => 'Too little mortar leaves hollows; its data sheet decides.',
  'advice/bed-thick': () => 'Mortar comes up through the joints; its data sheet decides.',
  'advice/membrane-mortar': () => 'Not every mortar holds on every membrane: take those that their makers name together.',
  'advice/cut-along-joint': () => 'To have a joint there, pin one under Set out, Pins; the end cuts change with it.',
  'advice/narrow-movement-joint': () => 'Grout beside it would take up the movement, and crack.',
  'advice/crack-underneath': () =>
    'One that still moves, or stands higher on one side, is for whoever answers for the building. A joint over it helps only where it opens and closes.',
  'advice/bay-too-long': () =>
    'Carry it through the tiles where it falls on a joint, and over every joint of the ground. Check the standard in force.',
  'advice/bay-too-large': () =>
    'Carry it through the tiles where it falls on a joint, and over every joint of the ground. Check the standard in force.',
  'advice/bay-across': () => 'Carry it through the tiles, and over every joint of the ground. Check the standard in force.',
  'advice/mix-too-large': () => 'Make the zones smaller, or stir twice for one.',
  'advice/deep-boxes': () => 'Fit them with the power off.',
  'advice/mixed-substrates': () => 'The two grounds move apart.',
  'advice/fill-thin': () => 'Check the data sheet.',
  'advice/fill-thick': () => 'Or take another product. Check the data sheet.',
  'advice/no-strips': ({ purpose, isRectangle }) =>
    isRectangle ? `Make it lower (Measure, Edges), or take ${purpose} in lengths.` : `Take ${purpose} in lengths.`,
  'advice/soaked-sheets': ({ mount }) =>
    `${mount === 'mesh' ? 'The glue of the mesh' : 'The paper on the face'} lets go when it soaks: cut dry side up and dab it dry.`,
  'advice/tight-pipe': () => 'A pipe that warms or knocks cracks a tight tile.',
  'advice/fragile-ear': () => 'Move the setout so that a joint falls near the corner, or cut it as two pieces.',
  'advice/thin-bridge': ({ limitMm }, length) => `Under ${length(limitMm)} what is left breaks.`,
  'advice/not-primed': () => 'Keep to the time that its data sheet gives before tiles go on.',
  'advice/wet-open': () => 'Plan it as local code asks, by those licensed for it.',
  'advice/soft-ground': () => 'Or make sure that the waterproofing leaves no gap.',
};

/** And so many more like it. */
const andMore = (count: number | string): string =>
  Number(count) > 1 ? `, and so ${Number(count) === 2 ? 'does one' : `do ${Number(count) - 1}`} more` : '';

const kilograms = (kg: number | string): string => `${(Math.round(Number(kg) * 10) / 10).toString()} kg`;

const substrateWords = (substrate: number | string): string => (SUBSTRATE_NAMES[substrate as Substrate] ?? String(substrate)).toLowerCase();

/** What the press says that mends a finding; null where none does. */
export function describeMend({ code, mend }: Finding, tape: Tape): string | null {
  if (!mend) return null;
  const value =
    (typeof mend.value === 'number' && /Mm$|mm$/.test(String(mend.path.at(-1)))) || MEASURED.has(code)
      ? formatExactLength(Number(mend.value), tape)
      : String(mend.value);
  return MENDS[code]?.(value) ?? null;
}

/** Findings that a length mends, whatever the field is called. */
const MEASURED: ReadonlySet<string> = new Set(['advice/glass-room', 'advice/no-perimeter-joint']);

const MENDS: Readonly<Record<string, (value: string) => string>> = {
  'advice/clip-width': (value) => (value === 'asJoint' ? 'Take clips of the joint' : `Make the joint ${value}`),
  'advice/sanded-glass': () => 'Take grout without sand',
  'advice/unsanded-wide': () => 'Take grout with sand',
  'advice/dark-mortar': () => 'Take white mortar',
  'advice/glass-room': (value) => `Leave ${value}`,
  'advice/thin-coverage': () => 'Butter the backs',
  'advice/heavy-load': () => 'Notch the backs too',
  'advice/ready-mixed': () => 'Take it from the bag',
  'advice/hard-corner': () => 'Make it sealant',
  'advice/fill-thin': (value) => `Make it ${value} over the highest spot`,
  'advice/narrow-movement-joint': (value) => `Make it ${value} wide`,
  'advice/tight-pipe': (value) => `Leave ${value}`,
  'advice/not-primed': () => 'Prime it',
  'advice/wet-open': () => 'Plan waterproofing',
  'advice/narrow-joint': (value) => `Make the joint ${value}`,
  'advice/uneven-pieces': (value) => `Make the joint ${value}`,
  'advice/long-offset': () => 'Shift by a third',
  'advice/no-perimeter-joint': (value) => `Leave ${value}`,
  'advice/bay-across': () => 'Part them here',
  'advice/bed-thin': () => 'Notch by the tile',
  'advice/bed-thick': () => 'Notch by the tile',
  'advice/mix-too-large': (value) => `Make zones of ${value} m²`,
};

const spoken = (tape: Tape): [InWords, InWords, InWords] => [
  (mm) => formatExactLength(Number(mm), tape),
  (mm) => readLength(Number(mm), tape),
  (mm) => formatRun(Number(mm), tape),
];

/** Why a finding matters and what else helps; null where the finding says it all. */
export function explainFinding({ code, figures }: Finding, tape: Tape): string | null {
  const words: FindingWords | undefined = (ADVICE_REASONS as Record<string, FindingWords>)[code];
  return words?.(figures, ...spoken(tape)) ?? null;
}

/** Whether a finding is one of ours; else it is what is untrue of a stored job, which goes by the words of its refusal. */
const isAdvice = (code: Finding['code']): code is AdviceCode => Object.hasOwn(ADVICE_WORDS, code);

/** The words for one finding. */
export function describeFinding({ code, figures }: Finding, tape: Tape): string {
  if (!isAdvice(code)) return describeIssue({ code, figures }, tape);
  const words: FindingWords = ADVICE_WORDS[code];
  return words(figures, ...spoken(tape));
}
