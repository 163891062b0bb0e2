import type { Finding } from '../../advice/finding.ts';
import { SLIVER_MM } from '../../setout/weigh/sliver.ts';
import type { Figures } from '../../result.ts';
import { formatExactLength } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';
import type { Substrate } from '../../takeoff/works/works.ts';
import { describeIssue } from './issues.ts';
import type { TaskId } from '../../labour/tasks.ts';
import { missedWords } from './programme.ts';
import { patternName } from './patterns.ts';
import { edgeInWords } from './names.ts';
import { SUBSTRATE_NAMES } from './works.ts';

type Words = (figures: Figures, length: (mm: number | string) => string) => string;

/** A length that is estimated; one that the tape can't show says so itself. */
const about = (length: string): string => (/^(about|less)\b/.test(length) ? length : `about ${length}`);

/** Said where the start in force is the best of those that were tried. */
const NO_BETTER = 'Of all starts this one was weighed best: another tile, another joint or a wider trim would help.';

/** The words for every finding: what will go wrong on site, and what mends it. */
export const ADVICE_WORDS = {
  'advice/reading-disagrees': ({ readings, offMm }, length) =>
    `Measure ${readings} again: it disagrees with the others by ${length(offMm)}.`,
  'advice/readings-unclear': ({ readings, offMm }, length) =>
    `Something was misread by ${about(length(offMm))}, and the readings can't say where: it may be ${readings}. Cuts made to them will be off by as much.`,
  'advice/meeting-differs': ({ edge, other, mineMm, theirsMm }, length) =>
    `The ${edgeInWords(edge)} is ${length(mineMm)} here, but "${other}" meets it with ${length(theirsMm)}. Courses will not run round; measure both again.`,
  'advice/caged-in': ({ zones, count }) =>
    `${count === 1 ? `Zone ${zones} is` : `Zones ${zones} are`} behind what is laid by then: nobody gets there, or out again, but over fresh tiles. Lay ${count === 1 ? 'it' : 'them'} earlier, or take the proposed order.`,
  'advice/no-way-in': ({ zones, count }) =>
    `${count === 1 ? `Zone ${zones} has` : `Zones ${zones} have`} no way in over the floor that is wide enough for a person. Say by which edge one leaves.`,
  'advice/measure-again': ({ count }) =>
    `${count} ${count === 1 ? 'length is' : 'lengths are'} still those of the place this was copied from. Cuts made to them will not fit.`,
  'advice/door-in-the-air': ({ name, edge, offMm }, length) =>
    `"${name}" begins ${length(offMm)} off the ${edgeInWords(edge)}, so tiles are planned under it. Measure where its frame begins.`,
  'advice/stands-off': ({ name, edge, offMm }, length) =>
    `"${name}" stands ${length(offMm)} off the ${edgeInWords(edge)}: a gap that can be neither tiled nor cleaned. Set it to 0 where it stands against the wall.`,
  'advice/missed-window': ({ task, place, before, hours, withinHours }) =>
    missedWords(task as TaskId, String(place), before as TaskId, Number(hours), Number(withinHours)),
  'advice/not-flat': ({ gapMm, limitMm, edgeMm }, length) =>
    `Under a straightedge of ${length(edgeMm)} the substrate gapes by up to ${length(gapMm)}; this tile allows ${length(limitMm)}. Edges will lip and corners ring hollow: level it first. Check the standard in force.`,
  'advice/finishes-proud': ({ offMm, neighbour }, length) =>
    `Finishes ${length(offMm)} proud of ${neighbour}: an edge to trip over. Thin a layer, or plan a ramped profile.`,
  'advice/finishes-low': ({ offMm, neighbour }, length) =>
    `Finishes ${length(offMm)} below ${neighbour}. Thicken a layer to bring it flush.`,
  'advice/nominal-sheet': ({ name, widthMm, heightMm }, length) =>
    `"${name}" is planned with the size its chips and joints add up to (${length(widthMm)} x ${length(heightMm)}). Real sheets differ; measure a handful and enter their mean.`,
  'advice/nominal-size': ({ name, widthMm, heightMm }, length) =>
    `"${name}" is planned with the size on the box (${length(widthMm)} x ${length(heightMm)}). Real pieces differ and every cut will be off by it; measure a handful and enter their mean.`,
  'advice/sliver': ({ edge, cutMm, isBest }, length) =>
    `The ${edgeInWords(edge)} gets pieces of ${length(cutMm)}, too narrow to look right${Number(cutMm) < SLIVER_MM ? ', and strips like that break on the saw' : ''}. ${isBest ? NO_BETTER : 'Move the setout, or let an edge that nobody sees take them.'}`,
  'advice/thin-beside': ({ name, cutMm, isBest }, length) =>
    `Beside "${name}" pieces of ${length(cutMm)} are left, too narrow to look right. ${isBest ? NO_BETTER : 'Move the setout so that a fuller piece meets it.'}`,
  'advice/split-round': ({ name }) =>
    `"${name}" stands within one tile. Nothing closes round what can't be lifted: the tile is split through its middle. A joint there would be easier.`,
  'advice/both-hands': ({ name, left, right }) =>
    `"${name}" is laid in both hands, and a face can't be turned over: order ${left} left and ${right} right, breakage and spares for each.`,
  'advice/long-offset': ({ longestMm, limitMm }, length) =>
    `Pieces of ${length(longestMm)} bow a little. Shifted by half, the middle of one meets the ends of the next and they lip; shift by a third at most (sides over ${length(limitMm)}, unless the maker says otherwise).`,
  'advice/weave-joint': ({ innerMm, jointMm }, length) =>
    `The strips of a block leave joints of ${length(innerMm)} between them, the blocks ${length(jointMm)}. It shows; set the joint between, or take another count of strips.`,
  'advice/left-to-joint': ({ count, widestMm }, length) =>
    `${count === 1 ? 'In one place a strip is' : `In ${count} places strips are`} left to the joint, ${length(widestMm)} wide at most: nothing so narrow can be cut. Move the setout a little if the wider joint would show.`,
  'advice/under-kerf': ({ widthMm, heightMm, kerfMm }, length) =>
    `Stones of ${length(widthMm)} x ${length(heightMm)} are smaller than the tile by less than the ${length(kerfMm)} that the saw takes: nothing can be sawn off. Take another module, or grind them down.`,
  'advice/no-bit': ({ label, holeMm, largestBitMm }, length) =>
    `The hole in ${label} is ${length(holeMm)}, your largest bit ${length(largestBitMm)}. Grind it to the line, or have a larger bit at hand.`,
  'advice/part-joint': ({ innerMm, jointMm, pattern }, length) =>
    `In ${patternName(pattern).toLowerCase()} the real sizes leave joints of ${length(innerMm)} round the other tiles, the rest ${Number(jointMm) === 0 ? 'have none' : `are ${length(jointMm)}`}. It shows; take another tile for them, or another joint.`,
  'advice/sheet-seam': ({ innerMm, jointMm }, length) =>
    `The chips of the sheet stand ${length(innerMm)} apart, the sheets ${length(jointMm)}. Every seam between sheets will show; set the joint of the sheet.`,
  'advice/uneven-pieces': ({ name, rangeMm, jointMm, neededMm }, length) =>
    `Measured pieces of "${name}" differ by ${length(rangeMm)}. A joint of ${length(jointMm)} can't take that up and lines will wander; take ${length(neededMm)} or more, or sort the boxes by calibre.`,
  'advice/cut-motif': ({ name, parts }) =>
    `No sheet of "${name}" shows its motif whole: ${parts} ${parts === 1 ? 'is' : 'are'} cut. Move the setout so that a whole sheet lies where people look.`,
  'advice/motif-off-middle': ({ name, offMm, side }, length) =>
    `The motif of "${name}" stands ${length(offMm)} ${side} of the middle of the wall. Move the setout, or lay it dry and look.`,
  'advice/glass-strips': ({ count, narrowestMm, leastMm, isBest }, length) =>
    `${count === 1 ? 'A strip' : `${count} strips`} of glass down to ${length(narrowestMm)}: under ${length(leastMm)} glass splinters at the wheel. ${isBest ? NO_BETTER : 'Move the setout.'}`,
  'advice/mixed-lots': ({ name, opened, largest }) =>
    `No lot of "${name}" holds the ${opened} it takes; the largest has ${largest}. Lots differ in shade and size: ask for one lot, or change lots where a doorway hides it.`,
  'advice/seal-first': ({ names, count }) =>
    `${names} ${count === 1 ? 'is' : 'are'} porous: seal before grouting, or the grout stains the face. Try sealer and grout on a spare piece, and keep to their data sheets.`,
  'advice/narrow-joint': ({ jointMm, smallestMm, kind, practice }, length) =>
    `A joint of ${length(jointMm)} is under the usual ${length(smallestMm)} for a ${kind} (${practice === 'european' ? 'European' : 'North American'} practice): pieces that vary will not line up. Check the standard in force.`,
  'advice/no-perimeter-joint': ({ edge }) =>
    `No gap at the ${edgeInWords(edge)}. Tiles pushed tight have no room to move and lift or crack; leave a joint and fill it flexibly.`,
  'advice/clip-width': ({ widthMm, jointMm }, length) =>
    `Levelling clips keep a joint of ${length(widthMm)}, you chose ${length(jointMm)}. Pieces set against them end up wide of their lines; make the two agree.`,
  'advice/sanded-glass': () => 'Sand in the grout scratches glass. Take one without, and try it on a spare piece.',
  'advice/unsanded-wide': ({ jointMm, fromMm }, length) =>
    `Grout without sand shrinks and cracks in a joint of ${length(jointMm)}; from ${length(fromMm)} on take one with sand.`,
  'advice/dark-mortar': ({ name, material }) => `Grey mortar ${material === 'glass' ? 'shows through' : 'clouds'} "${name}". Take white.`,
  'advice/glass-bed': ({ name }) =>
    `"${name}" wants a mortar made for glass, combed and then flattened so that no ridges show, and all of the back in it. Name it in the order, with its data sheet.`,
  'advice/glass-room': ({ gapMm, roomMm }, length) =>
    `Glass moves more than the wall behind it: a gap of ${length(gapMm)} is little. Leave ${about(length(roomMm))} at the edges, under a trim or sealant.`,
  'advice/thin-coverage': ({ longestSideMm, sharePercent }, length) =>
    `Backs left dry on pieces of ${length(longestSideMm)}: combing alone does not reach ${sharePercent} % of the back here, and hollow spots crack or hold water. Butter the backs, lift one piece early and look.`,
  'advice/heavy-load': ({ longestSideMm }, length) =>
    `Heavy loads over pieces of ${length(longestSideMm)}: without mortar on both sides they crack over the hollows. Notch bed and back.`,
  'advice/ready-mixed': ({ why, longestSideMm }, length) =>
    `Ready-mixed adhesive dries by the air it gets, and ${
      {
        membrane: 'between waterproofing and a tile there is none',
        outdoors: 'frost and rain undo it',
        floor: 'on a floor it stays soft under feet',
        large: `behind pieces of ${length(longestSideMm)} it stays soft for weeks`,
      }[String(why)] ?? 'here there is little'
    }. Take one from the bag.`,
  'advice/bay-too-long': ({ count, limitMm }, length) =>
    `This floor is longer than the ${length(limitMm)} that a bay may be: ${count === 1 ? 'a movement joint is' : `${count} movement joints are`} carried through the tiles, or they lift. Lay them where they fall on a joint, and over every joint of the ground. Check the standard in force.`,
  'advice/hard-corner': ({ edge }) =>
    `The ${edgeInWords(edge)} meets another plane and is to be grouted. Planes move apart and grout cracks there: make it a joint of sealant.`,
  'advice/deep-boxes': ({ count, deepMm }, length) =>
    `${count === 1 ? 'The box ends up' : `${count} boxes end up`} ${about(length(deepMm))} deeper once tiled: have longer screws or extension rings ready, fitted with the power off.`,
  'advice/mixed-substrates': ({ other, mine, theirs }) =>
    `It runs on into "${other}", from ${substrateWords(mine)} onto ${substrateWords(theirs)}. They move apart: carry a movement joint through the tiles above the line.`,
  'advice/fill-thin': ({ fill, depthMm, limitMm }, length) =>
    `The ${fill} gets down to ${length(depthMm)}; under ${length(limitMm)} it breaks up. Raise it over the highest spot. Check the data sheet.`,
  'advice/fill-thick': ({ fill, depthMm, limitMm }, length) =>
    `The ${fill} gets up to ${length(depthMm)}; over ${length(limitMm)} it is laid in two goes, or with another product. Check the data sheet.`,
  'advice/soaked-sheets': ({ name, count, mount }) =>
    `${count} ${count === 1 ? 'piece' : 'pieces'} of "${name}" ${count === 1 ? 'is' : 'are'} sawn wet. ${mount === 'mesh' ? 'The glue of the mesh' : 'The paper on the face'} lets go when it soaks: cut dry side up, dab it dry, and don't let sheets lie in the water.`,
  'advice/tight-pipe': ({ name, clearanceMm, roomMm }, length) =>
    `"${name}" has ${Number(clearanceMm) === 0 ? 'no room' : `only ${length(clearanceMm)}`} round it. A pipe that warms or knocks cracks a tight tile: leave at least ${length(roomMm)} and fill it flexibly.`,
  'advice/fragile-ear': ({ label, legMm, count }, length) =>
    `${label} keeps a leg of ${length(legMm)} beside its notch${Number(count) > 1 ? `, and so ${count === 2 ? 'does one' : `do ${Number(count) - 1}`} more` : ''}: narrow legs break on the way to the wall. Move the setout so that a joint falls near the corner, or cut it as two pieces.`,
  'advice/not-primed': ({ substrate }) =>
    `${substrateWords(substrate).replace(/^./, (first) => first.toUpperCase())} without primer: the bed loses its water or its hold and comes off. Prime it, and keep to the time the data sheet gives before tiles go on.`,
  'advice/wet-open': () =>
    'A wet place without waterproofing: tiles and grout let water through, and what is behind them rots. Plan it as local code asks, by those licensed for it.',
  'advice/soft-ground': ({ substrate }) =>
    `${substrateWords(substrate).replace(/^./, (first) => first.toUpperCase())} softens when it gets wet. Cover it with cement board, or make sure that the waterproofing leaves no gap.`,
} as const satisfies Record<string, Words>;

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
  'advice/clip-width': (value) => `Make the joint ${value}`,
  'advice/sanded-glass': () => 'Take grout without sand',
  'advice/unsanded-wide': () => 'Take grout with sand',
  'advice/dark-mortar': () => 'Take white mortar',
  'advice/glass-room': (value) => `Leave ${value}`,
  'advice/thin-coverage': () => 'Butter as needed',
  'advice/heavy-load': () => 'Notch the backs too',
  'advice/ready-mixed': () => 'Take it from the bag',
  'advice/hard-corner': () => 'Make it sealant',
  'advice/fill-thin': (value) => `Make it ${value} over the highest spot`,
  'advice/tight-pipe': (value) => `Leave ${value}`,
  'advice/not-primed': () => 'Prime it',
  'advice/wet-open': () => 'Plan waterproofing',
  'advice/narrow-joint': (value) => `Make the joint ${value}`,
  'advice/uneven-pieces': (value) => `Make the joint ${value}`,
  'advice/long-offset': () => 'Shift by a third',
  'advice/no-perimeter-joint': (value) => `Leave ${value}`,
};

/** The words for one finding. */
export function describeFinding({ code, figures }: Finding, tape: Tape): string {
  const words: Words | undefined = (ADVICE_WORDS as Record<string, Words>)[code];
  // What is untrue of a stored job goes by the words of a refusal.
  if (!words) return describeIssue({ code, figures }, tape);
  return words(figures, (mm) => formatExactLength(Number(mm), tape));
}
