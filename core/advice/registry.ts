import type { AdviceContext, AdviceRule, Finding } from './finding.ts';
import { bothHands } from './rules/bothHands.ts';
import { cutMotif } from './rules/cutMotif.ts';
import { innerJoint } from './rules/innerJoint.ts';
import { leftToJoint } from './rules/leftToJoint.ts';
import { longOffset } from './rules/longOffset.ts';
import { measureAgain } from './rules/measureAgain.ts';
import { meetingDiffers } from './rules/meetingDiffers.ts';
import { mixedLots } from './rules/mixedLots.ts';
import { narrowJoint } from './rules/narrowJoint.ts';
import { nominalSize } from './rules/nominalSize.ts';
import { notFlat } from './rules/notFlat.ts';
import { notFlush } from './rules/notFlush.ts';
import { noBit } from './rules/noBit.ts';
import { noPerimeterJoint } from './rules/noPerimeterJoint.ts';
import { readingDisagrees } from './rules/readingDisagrees.ts';
import { sealFirst } from './rules/sealFirst.ts';
import { sliver } from './rules/sliver.ts';
import { splitRound } from './rules/splitRound.ts';
import { standsOff } from './rules/standsOff.ts';
import { thinBeside } from './rules/thinBeside.ts';
import { underKerf } from './rules/underKerf.ts';
import { unevenPieces } from './rules/unevenPieces.ts';

/** Every rule of advice. A new rule is a file in rules/ and a line here. */
export const ADVICE_RULES = {
  readingDisagrees,
  meetingDiffers,
  measureAgain,
  standsOff,
  notFlat,
  notFlush,
  nominalSize,
  sliver,
  thinBeside,
  leftToJoint,
  splitRound,
  longOffset,
  narrowJoint,
  noPerimeterJoint,
  innerJoint,
  underKerf,
  noBit,
  unevenPieces,
  cutMotif,
  bothHands,
  mixedLots,
  sealFirst,
} as const satisfies Record<string, AdviceRule>;

/** All findings on one surface, in the order of the rules. */
export const adviseSurface = (context: AdviceContext): Finding[] => Object.values(ADVICE_RULES).flatMap((rule) => rule(context));
