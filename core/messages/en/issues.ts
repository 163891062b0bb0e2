import type { IssueCode } from '../../issueCodes.ts';
import type { Figures, Issue } from '../../result.ts';
import { formatExactLength } from '../../units/formatLength.ts';
import { writeClock } from '../../units/clock.ts';
import { METRIC_TAPE, type Tape } from '../../units/tape.ts';
import { edgeInWords, edgeName, roleName } from './names.ts';
import { MISFIT_WORDS, partName, patternName } from './patterns.ts';
import { daysMeant } from './programme.ts';

type IssueWords = (figures: Figures, length: (mm: number | string) => string) => string;

const LENGTH_HINT = 'Write it as on the tape: 2405, 240.5 cm, 2.405 m, 94 5/8 or 7\' 10 5/8".';

/** A limit with what it counts: "80 characters". */
function countOf(count: unknown, of: unknown): string {
  if (of !== 'character' && of !== 'entry') return String(count);
  if (count === 1) return `one ${of}`;
  return `${String(count)} ${of === 'entry' ? 'entries' : 'characters'}`;
}

/** The words for every reason something can be refused. */
export const ISSUE_WORDS = {
  'length/empty': () => `A length is missing. ${LENGTH_HINT}`,
  'length/unreadable': ({ text }) => `"${text}" can't be read as a length. ${LENGTH_HINT}`,
  'length/doubtful': ({ text }) => `"${text}" can be read in more than one way. ${LENGTH_HINT}`,
  'length/negative': ({ text }) => `"${text}" is below zero. A length is measured, so it is zero or more.`,
  'length/ambiguous-comma': ({ text }) => `"${text}" could mean thousands or a fraction. Write 2405 or 2.405 m.`,
  'length/too-small': () => 'The length has to be more than zero.',
  'length/mm-or-m': ({ text }) => `Is that ${text} mm or ${text} m? Write the unit behind it.`,
  'number/ambiguous-comma': ({ text }) =>
    `"${text}" could mean thousands or a fraction. Write ${String(text).replaceAll(',', '')} or ${String(text).replace(',', '.')}.`,
  'number/unreadable': ({ text }) => `"${text}" can't be read as a number. Write it as 20 or 18.5.`,
  'number/not-a-time': ({ text }) => `"${text}" can't be read as a time of day. Write it as 8, 8:30 or 16:15.`,
  'angle/unreadable': ({ text }) => `"${text}" can't be read as an angle. Write it as 90 or -88.5.`,
  'field/type': ({ expected }) => `Expected ${expected}.`,
  'field/missing': ({ expected }) => `This is missing. Expected ${expected}.`,
  'field/one-of': ({ values }) => `Expected one of: ${values}.`,
  'field/too-small': ({ minimum, orEqual, of }) => `Expected ${orEqual === 'yes' ? 'at least' : 'more than'} ${countOf(minimum, of)}.`,
  'field/too-large': ({ maximum, of }) => `Expected at most ${countOf(maximum, of)}.`,
  'field/form': ({ expected }) => `Expected ${expected}.`,
  'field/unknown': ({ keys }) => `Not known here: ${keys}.`,
  'file/not-json': ({ line }) => `The file is not a job file: line ${line} can't be read as JSON. Nothing was changed.`,
  'file/cut-short': ({ line }) => `The file is cut short: it ends in the middle, on line ${line}. Save or copy it again.`,
  'file/not-a-job': () => 'The file is JSON but not a job file: "format" should be "azulejo-job".',
  'file/newer-version': ({ version, reads }) =>
    `The file was written by a newer Azulejo (version ${version}; this one reads up to ${reads}). Nothing was changed.`,
  'file/unreadable': ({ file }) => `The file can't be opened: ${file}`,
  'job/repeated-id': ({ id }) => `The id "${id}" is used twice; each must be its own.`,
  'surface/no-such-product': ({ productId }) => `The tile "${productId}" is not in this job's list.`,
  'surface/gaps-leave-nothing': ({ role, gapMm }, length) =>
    `The perimeter gaps leave no room for tile: the widest is ${length(gapMm)} (${roleName(role)}).`,
  'setout/joint-range': () => 'Expected the narrowest joint first: it is wider than the widest one.',
  'setout/nothing-counts': () => 'Nothing would count, so every start would be as good. Expected at least one thing that counts.',
  'surface/can-not-plan': ({ reason }) => `This surface can't be planned as it stands (${reason}). Its measurements are kept.`,
  'surface/fixtures-leave-nothing': () => 'The fixtures cover the whole surface; there is nothing left to tile.',
  'fixture/outside': ({ name, spaceMm, from }, length) =>
    `"${name}" reaches outside the surface. Measured from the ${edgeInWords(from)}, there are ${length(spaceMm)} to place it in.`,
  'surface/no-such-edge': ({ edge, edges }) => `There is no edge "${edge}". Expected one of: ${edges}.`,
  'surface/no-such-room': ({ roomId }) => `The job has no room "${roomId}".`,
  'fixture/overlap': ({ name, other }) => `"${name}" stands in the same place as "${other}". Measure both again, or leave one out.`,
  'fixture/parallel-edges': ({ name, first, second }) =>
    `"${name}" is measured from the ${edgeInWords(first)} and the ${edgeInWords(second)}, which run the same way. Expected two edges that meet at a corner.`,
  'shape/part-too-long': ({ partMm, wholeMm }, length) =>
    `The parts come to ${length(partMm)}, but the whole they lie in is ${length(wholeMm)}. Expected less.`,
  'shape/open': ({ openMm }, length) =>
    `The walls don't close: after the last one you stand ${length(openMm)} from where you started. Measure again, add a diagonal, or have it spread over the corners.`,
  'shape/too-open': ({ openMm, roundMm }, length) =>
    `The walls don't close: ${length(openMm)} stay open on ${length(roundMm)} of wall, too much to spread. A length or a turn is wrong.`,
  'shape/wall-too-long': ({ wall, lengthMm, othersMm }, length) =>
    `The wall ${edgeName(wall)} (${length(lengthMm)}) is longer than all the others together (${length(othersMm)}), so they can't close.`,
  'shape/far-off-square': ({ acrossMm, squareMm, deg }, length) =>
    `With ${length(acrossMm)} the corner would have ${deg}°. Square, the marks are ${length(squareMm)} apart; is it the right pair of marks?`,
  'shape/no-triangle': ({ longest, longestMm, first, second, togetherMm }, length) =>
    `The distance ${edgeName(longest)} can't be ${length(longestMm)}: ${edgeName(first)} and ${edgeName(second)} together reach only ${length(togetherMm)}.`,
  'shape/reading-far-off': ({ reading, readMm, expectedMm }, length) =>
    `The distance ${edgeName(reading)} reads ${length(readMm)}, but all the others make it about ${length(expectedMm)}. Was a figure left out?`,
  'shape/turn-far-off': ({ corner, sketchedDeg, neededDeg }) =>
    `To meet these lengths, corner ${corner} would turn by ${neededDeg}°, not by ${sketchedDeg}° as sketched. A length is wrong, or the turn is.`,
  'shape/crosses-itself': ({ first, second }) =>
    `The outline crosses itself: ${edgeName(first)} meets ${edgeName(second)}. Look at their lengths and turns.`,
  'shape/wrong-way-round': () =>
    'The surface lies on the right of the walls. Go round it with the wall at your right hand: turns to the left.',
  'check/no-such-wall': ({ wall, walls }) => `There is no corner "${wall}". Expected one where one of these starts: ${walls}.`,
  'check/same-corner': () => 'A diagonal runs between two different corners.',
  'curve/radius-too-small': ({ radiusMm, leastMm, chordMm }, length) =>
    `A radius of ${length(radiusMm)} can't span ${length(chordMm)}. Expected at least ${length(leastMm)}.`,
  'curve/rise-too-large': ({ riseMm, mostMm }, length) =>
    `A rise of ${length(riseMm)} is more than ${length(mostMm)}. Was a figure left out?`,
  'curve/offset-outside': ({ alongMm, chordMm }, length) =>
    `An offset at ${length(alongMm)} does not lie between the corners, which are ${length(chordMm)} apart.`,
  'curve/offsets-out-of-order': ({ alongMm, beforeMm }, length) =>
    `Offsets run along the line: ${length(alongMm)} comes after ${length(beforeMm)}. Expected more.`,
  'base/curved-edge': ({ edge }) => `The ${edgeInWords(edge)} is curved; a base line is read along a straight one.`,
  'base/outside': ({ alongMm, edgeMm }, length) =>
    `The reading at ${length(alongMm)} lies beyond the edge, which is ${length(edgeMm)} long.`,
  'base/out-of-order': ({ alongMm, beforeMm }, length) =>
    `Readings run along the edge: ${length(alongMm)} comes after ${length(beforeMm)}. Expected more.`,
  'link/no-such-surface': ({ surface }) => `The job has no surface "${surface}" to meet.`,
  'link/runs-in-a-circle': ({ names }) =>
    `Each of these would have to be laid before the next, round and round: ${names}. Expected one that runs through at both its ends.`,
  'surface/corners-leave-nothing': ({ edge, takesMm }, length) =>
    `What stands at ${edgeName(String(edge))} takes ${length(takesMm)}: no room is left for tile. Expected a narrower trim, or another face that runs through.`,
  'link/edge-taken': ({ edge, other }) =>
    `The ${edgeInWords(edge)} or the ${edgeInWords(other)} already meets another surface. An edge has one neighbour.`,
  'doorway/curved-edge': ({ edge }) => `The ${edgeInWords(edge)} is curved; a doorway opens a straight one.`,
  'doorway/outside': ({ edge, wallMm, endMm }, length) =>
    `The doorway ends ${length(endMm)} along the ${edgeInWords(edge)}, which is ${length(wallMm)} long.`,
  'doorway/overlap': ({ edge }) => `Two doorways overlap in the ${edgeInWords(edge)}.`,
  'carried/outside': ({ edge, acrossMm }, length) =>
    `This joint runs outside the surface. Expected less than ${length(acrossMm)} from the ${edgeInWords(edge)}, with room for tiles on both sides.`,
  'carried/same-place': ({ edge }) => `Another joint lies there already, measured from the ${edgeInWords(edge)} or another edge.`,
  'workday/ends-before-it-begins': ({ day, fromHour, toHour }) =>
    `On ${daysMeant(String(day))} work would begin at ${writeClock(Number(fromHour))} and end at ${writeClock(Number(toHour))}. Expected an end after the begin.`,
  'workday/helper-when-nobody-is-there': ({ day, fromHour, toHour }) =>
    `Work on ${daysMeant(String(day))} goes from ${writeClock(Number(fromHour))} to ${writeClock(Number(toHour))}. Expected a helper within these hours, who comes before he leaves.`,
  'workday/helper-on-day-off': ({ day }) =>
    `Nobody works on ${daysMeant(String(day))}, so there is nobody to help. Expected a day of work, or hours of work on that day.`,
  'outline/not-a-drawing': () => 'The file is neither DXF nor SVG. Expected one of them, saved as text.',
  'outline/too-many': ({ most }) =>
    `The drawing holds more than ${most} points, or is nested too deep. Save the outline alone, without hatching and furniture.`,
  'outline/too-large': ({ mm, mostMm }, length) =>
    `The outline is ${length(mm)} across. Expected at most ${length(mostMm)}, as for a length that is typed: say another unit, or draw it to size.`,
  'outline/crosses-itself': ({ first, second }) =>
    `The outline crosses itself: ${edgeName(first)} meets ${edgeName(second)}. Part the line there in the drawing, or choose another outline.`,
  'outline/too-many-walls': ({ walls, most }) =>
    `The outline has ${walls} corners. Expected at most ${most}: straighten it in the drawing, or measure it wall by wall.`,
  'outline/nothing': ({ passedOver }) => `The drawing holds no lines to make an outline of. Passed over: ${passedOver}.`,
  'dxf/not-a-code': ({ line, found }) => `Line ${line} of the DXF should be a whole number that says what follows, but reads "${found}".`,
  'dxf/not-a-number': ({ line, found }) => `Line ${line} of the DXF should be a number, but reads "${found}".`,
  'dxf/no-value': ({ line }) => `The DXF ends after line ${line}, where a value should follow.`,
  'dxf/cut-short': ({ lines }) => `The DXF is cut short: after ${lines} lines there is no end mark. Save it again.`,
  'dxf/unreadable': ({ reason }) => `The DXF can't be read: ${reason}.`,
  'svg/not-xml': ({ line, reason }) => `Line ${line} of the SVG is broken: ${reason}`,
  'svg/no-svg': () => 'The file is XML but has no "svg" element.',
  'svg/bad-path': ({ element, reason }) => `The element ${element} can't be read: ${reason}.`,
  'csv/too-many-rows': ({ most }) => `The table has more rows than a job may have tiles. Expected at most ${most}; nothing was read.`,
  'csv/empty': () => 'The table is empty. Expected a row of column heads and a row for each tile.',
  'csv/missing-column': ({ column }) => `The column "${column}" is missing.`,
  'csv/mm-or-m': ({ text }) => `No side of a tile is ${text} mm. Expected millimetres, 5 or more, or a unit behind the figure.`,
  'csv/sheet': () => 'The chips of a sheet can not be written in a table. Make the sheet in the list of tiles.',
  'csv/unknown-unit': ({ unit, units }) => `The unit "${unit}" is not known. Expected one of: ${units}.`,
  'joint/wider-than-tile': ({ jointMm, tileMm }, length) =>
    `A joint of ${length(jointMm)} is as wide as the tile (${length(tileMm)}). Expected less.`,
  'pattern/strips-do-not-fit': ({ name, overMm }, length) =>
    `So many strips of "${name}" are wider than one is long, by ${length(overMm)} at each joint. Expected fewer strips.`,
  'pattern/misfit': ({ name, pattern, misfit }) =>
    `"${name}" can't be laid as ${patternName(pattern).toLowerCase()}. ${MISFIT_WORDS[misfit as keyof typeof MISFIT_WORDS] ?? ''}`,
  'pattern/part-missing': ({ part, pattern }) =>
    `Another tile is needed for ${patternName(pattern).toLowerCase()}: its ${partName(part).toLowerCase()}. Expected one from this job's list.`,
  'pattern/part-misfit': ({ name, part, pattern, wanted }) =>
    `"${name}" can't be the ${partName(part).toLowerCase()} of ${patternName(pattern).toLowerCase()}. Expected a ${wanted === 'square' ? 'square' : 'rectangular'} tile.`,
  'pattern/part-too-large': ({ overMm, pattern }, length) =>
    `The other tiles of ${patternName(pattern).toLowerCase()} are too large by ${length(overMm)}: they would lie on each other. Expected smaller ones.`,
  'blank/no-such-product': ({ productId }) => `The job has no tile "${productId}" that this piece could be of.`,
  'blank/under-kerf': ({ widthMm, heightMm, kerfMm }, length) =>
    `A piece of ${length(widthMm)} x ${length(heightMm)} is no wider than the ${length(kerfMm)} that the saw takes. Expected a larger one.`,
  'blank/larger-than-tile': ({ name, widthMm, heightMm }, length) =>
    `A piece of "${name}" is no larger than the tile: expected at most ${length(widthMm)} x ${length(heightMm)}.`,
  'variant/place-gone': ({ name }) => `The variant "${name}" changes something that is no longer there. Take it out, or undo.`,
  'colours/other-size': ({ name, first }) => `"${name}" differs from "${first}" in size or outline, so they can't be mixed in one pattern.`,
  'border/no-room': () => 'The surface has sides too short for this border. Expected a narrower border, or one nearer the edge.',
  'border/not-rectangular': ({ name }) => `"${name}" is no rectangle; a border or band is laid from rectangular tiles.`,
  'inset/outside': ({ name }) => `The inset "${name}" lies outside the field. Measure it from the edges again.`,
  'inset/overlap': ({ name, other }) => `The insets "${name}" and "${other}" lie over each other. Move one, or make it smaller.`,
  'tile/too-many-stones': ({ pieces, most }) =>
    `This makes about ${pieces} stones, each cut by itself. Expected at most ${most}: take a larger module.`,
  'tile/too-many-pieces': ({ name, pieces, most }) =>
    `"${name}" would take ${pieces} pieces here; expected at most ${most}. Look at the sizes again.`,
  'tile/larger-than-surface': ({ name, widthMm, heightMm }, length) =>
    `"${name}" (${length(widthMm)} x ${length(heightMm)}) is larger than the surface both ways.`,
} as const satisfies Record<IssueCode, IssueWords>;

/** The words for one refusal, with lengths as the tape shows them. */
export function describeIssue({ code, figures }: Pick<Issue, 'code' | 'figures'>, tape: Tape = METRIC_TAPE): string {
  const words: IssueWords = ISSUE_WORDS[code];
  return words(figures, (mm) => formatExactLength(Number(mm), tape));
}
