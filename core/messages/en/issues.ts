import type { Figures, Issue } from '../../result.ts';
import { formatLengthWithUnit } from '../../units/formatLength.ts';
import { METRIC_TAPE, type Tape } from '../../units/tape.ts';
import { edgeName, roleName } from './names.ts';

type Words = (figures: Figures, length: (mm: number | string) => string) => string;

const LENGTH_HINT = 'Write it as on the tape: 2405, 240.5 cm, 2.405 m, 94 5/8 or 7\' 10 5/8".';

/** The words for every reason something can be refused. */
export const ISSUE_WORDS = {
  'length/empty': () => `A length is missing. ${LENGTH_HINT}`,
  'length/unreadable': ({ text }) => `"${text}" can't be read as a length. ${LENGTH_HINT}`,
  'length/negative': ({ text }) => `"${text}" is below zero. A length is measured, so it is zero or more.`,
  'length/ambiguous-comma': ({ text }) => `"${text}" could mean thousands or a fraction. Write 2405 or 2.405 m.`,
  'length/too-small': () => 'The length has to be more than zero.',
  'field/type': ({ expected }) => `Expected ${expected}.`,
  'field/missing': ({ expected }) => `This is missing. Expected ${expected}.`,
  'field/one-of': ({ values }) => `Expected one of: ${values}.`,
  'field/too-small': ({ minimum, orEqual }) => `Expected ${orEqual === 'yes' ? 'at least' : 'more than'} ${minimum}.`,
  'field/too-large': ({ maximum }) => `Expected at most ${maximum}.`,
  'field/form': ({ expected }) => `Expected ${expected}.`,
  'field/unknown': ({ keys }) => `Not known here: ${keys}.`,
  'file/not-json': ({ reason }) => `The file is not a job file: it is not JSON (${reason}).`,
  'file/not-a-job': () => 'The file is JSON but not a job file: "format" should be "azulejo-job".',
  'file/newer-version': ({ version, reads }) =>
    `The file was written by a newer Azulejo (version ${version}; this one reads up to ${reads}). Nothing was changed.`,
  'file/unreadable': ({ file }) => `The file can't be opened: ${file}`,
  'job/repeated-id': ({ id }) => `The id "${id}" is used twice; each must be its own.`,
  'job/no-longer-fits': () => 'What was changed here is no longer there in the other version.',
  'surface/no-such-product': ({ productId }) => `The tile "${productId}" is not in this job's list.`,
  'surface/gaps-leave-nothing': ({ role, gapMm }, length) =>
    `The perimeter gaps leave no room for tile: the widest is ${length(gapMm)} (${roleName(role)}).`,
  'surface/fixtures-leave-nothing': () => 'The fixtures cover the whole surface; there is nothing left to tile.',
  'fixture/outside': ({ name, spaceMm, from }, length) =>
    `"${name}" reaches outside the surface. Measured from the ${from}, there are ${length(spaceMm)} to place it in.`,
  'doorway/no-such-edge': ({ edge, edges }) => `There is no edge "${edge}". Expected one of: ${edges}.`,
  'doorway/outside': ({ edge, wallMm, endMm }, length) =>
    `The doorway ends ${length(endMm)} along the ${edgeName(edge)} edge, which is ${length(wallMm)} long.`,
  'doorway/overlap': ({ edge }) => `Two doorways overlap in the ${edgeName(edge)} edge.`,
  'joint/wider-than-tile': ({ jointMm, tileMm }, length) =>
    `A joint of ${length(jointMm)} is as wide as the tile (${length(tileMm)}). Expected less.`,
  'tile/too-many-pieces': ({ name, pieces, most }) =>
    `"${name}" would take ${pieces} pieces here; expected at most ${most}. Look at the sizes again.`,
  'tile/larger-than-surface': ({ name, widthMm, heightMm }, length) =>
    `"${name}" (${length(widthMm)} x ${length(heightMm)}) is larger than the surface both ways.`,
} as const satisfies Record<string, Words>;

/** The words for one refusal, with lengths as the tape shows them. */
export function describeIssue({ code, figures }: Pick<Issue, 'code' | 'figures'>, tape: Tape = METRIC_TAPE): string {
  const words: Words | undefined = (ISSUE_WORDS as Record<string, Words>)[code];
  if (!words) throw new Error(`no words for this code: ${code}`);
  return words(figures, (mm) => formatLengthWithUnit(Number(mm), tape));
}
