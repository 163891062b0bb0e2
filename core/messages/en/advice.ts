import type { Finding } from '../../advice/finding.ts';
import { SLIVER_MM } from '../../setout/weigh/sliver.ts';
import type { Figures } from '../../result.ts';
import { formatExactLength } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';
import { describeIssue } from './issues.ts';
import { patternName } from './patterns.ts';
import { edgeName } from './names.ts';

type Words = (figures: Figures, length: (mm: number | string) => string) => string;

/** The words for every finding: what will go wrong on site, and what mends it. */
export const ADVICE_WORDS = {
  'advice/reading-disagrees': ({ readings, offMm }, length) =>
    `Measure ${readings} again: it disagrees with the others by ${length(offMm)}.`,
  'advice/readings-unclear': ({ readings, offMm }, length) =>
    `Something was misread by about ${length(offMm)}, and the readings can't say where: it may be ${readings}. Cuts made to them will be off by as much.`,
  'advice/meeting-differs': ({ edge, other, mineMm, theirsMm }, length) =>
    `The ${edgeName(edge)} edge is ${length(mineMm)} here, but "${other}" meets it with ${length(theirsMm)}. Courses will not run round; measure both again.`,
  'advice/measure-again': ({ count }) =>
    `${count} ${count === 1 ? 'length is' : 'lengths are'} still those of the place this was copied from. Cuts made to them will not fit.`,
  'advice/door-in-the-air': ({ name, edge, offMm }, length) =>
    `"${name}" begins ${length(offMm)} off the ${edgeName(edge)} edge, so tiles are planned under it. Measure where its frame begins.`,
  'advice/stands-off': ({ name, edge, offMm }, length) =>
    `"${name}" stands ${length(offMm)} off the ${edgeName(edge)} edge: a gap that can be neither tiled nor cleaned. Set it to 0 where it stands against the wall.`,
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
  'advice/sliver': ({ edge, cutMm }, length) =>
    `The ${edgeName(edge)} edge gets pieces of ${length(cutMm)}, too narrow to look right${Number(cutMm) < SLIVER_MM ? ', and strips like that break on the saw' : ''}. Move the setout, or let an edge that nobody sees take them.`,
  'advice/thin-beside': ({ name, cutMm }, length) =>
    `Beside "${name}" pieces of ${length(cutMm)} are left, too narrow to look right. Move the setout so that a fuller piece meets it.`,
  'advice/split-round': ({ name }) =>
    `"${name}" stands within one tile. Nothing closes round what can't be lifted: the tile is split through its middle. A joint there would be easier.`,
  'advice/both-hands': ({ name, left, right }) =>
    `"${name}" is laid in both hands, and a face can't be turned over: order ${left} left and ${right} right, breakage and spares for each.`,
  'advice/long-offset': ({ longestMm, limitMm }, length) =>
    `Pieces of ${length(longestMm)} bow a little. Shifted by half, the middle of one meets the ends of the next and they lip; shift by a third at most (sides over ${length(limitMm)}, unless the maker says otherwise).`,
  'advice/weave-joint': ({ innerMm, jointMm }, length) =>
    `The strips of a block leave joints of ${length(innerMm)} between them, the blocks ${length(jointMm)}. It shows; set the joint between, or take another count of strips.`,
  'advice/left-to-joint': ({ count, widestMm }, length) =>
    `${count === 1 ? 'In one place a strip' : `In ${count} places strips`} of up to ${length(widestMm)} ${count === 1 ? 'is' : 'are'} left to the joint: nothing so narrow can be cut. Move the setout a little if the wider joint would show.`,
  'advice/under-kerf': ({ widthMm, heightMm, kerfMm }, length) =>
    `Stones of ${length(widthMm)} x ${length(heightMm)} are smaller than the tile by less than the ${length(kerfMm)} that the saw takes: nothing can be sawn off. Take another module, or grind them down.`,
  'advice/no-bit': ({ label, holeMm, largestBitMm }, length) =>
    `The hole in ${label} is ${length(holeMm)}, your largest bit ${length(largestBitMm)}. Grind it to the line, or have a larger bit at hand.`,
  'advice/part-joint': ({ innerMm, jointMm, pattern }, length) =>
    `In ${patternName(pattern).toLowerCase()} the real sizes leave joints of ${length(innerMm)} round the other tiles, the rest are ${length(jointMm)}. It shows; take another tile for them, or another joint.`,
  'advice/sheet-seam': ({ innerMm, jointMm }, length) =>
    `The chips of the sheet stand ${length(innerMm)} apart, the sheets ${length(jointMm)}. Every seam between sheets will show; set the joint of the sheet.`,
  'advice/uneven-pieces': ({ name, rangeMm, jointMm, neededMm }, length) =>
    `Measured pieces of "${name}" differ by ${length(rangeMm)}. A joint of ${length(jointMm)} can't take that up and lines will wander; take ${length(neededMm)} or more, or sort the boxes by calibre.`,
  'advice/cut-motif': ({ name, parts }) =>
    `No sheet of "${name}" shows its motif whole: ${parts} ${parts === 1 ? 'is' : 'are'} cut. Move the setout so that a whole sheet lies where people look.`,
  'advice/mixed-lots': ({ name, opened, largest }) =>
    `No lot of "${name}" holds the ${opened} it takes; the largest has ${largest}. Lots differ in shade and size: ask for one lot, or change lots where a doorway hides it.`,
  'advice/seal-first': ({ names, count }) =>
    `${names} ${count === 1 ? 'is' : 'are'} porous: seal before grouting, or the grout stains the face. Try sealer and grout on a spare piece, and keep to their data sheets.`,
  'advice/narrow-joint': ({ jointMm, smallestMm, kind }, length) =>
    `A joint of ${length(jointMm)} is under the usual ${length(smallestMm)} for a ${kind}: pieces that vary will not line up. Check the standard in force.`,
  'advice/no-perimeter-joint': ({ edge }) =>
    `No gap at the ${edgeName(edge)} edge. Tiles pushed tight have no room to move and lift or crack; leave a joint and fill it flexibly.`,
} as const satisfies Record<string, Words>;

/** The words for one finding. */
export function describeFinding({ code, figures }: Finding, tape: Tape): string {
  const words: Words | undefined = (ADVICE_WORDS as Record<string, Words>)[code];
  // What is untrue of a stored job goes by the words of a refusal.
  if (!words) return describeIssue({ code, figures }, tape);
  return words(figures, (mm) => formatExactLength(Number(mm), tape));
}
