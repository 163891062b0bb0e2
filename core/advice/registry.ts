import type { Surface } from '../job/job.ts';
import { tilesNamedBy } from '../job/tilesNamedBy.ts';
import type { AdviceContext, AdviceRule, Finding, JobContext, JobRule } from './finding.ts';
import { missedWindow } from './rules/job/missedWindow.ts';
import { mixedLots } from './rules/job/mixedLots.ts';
import { bayAcross } from './rules/surface/bayAcross.ts';
import { bayTooLong } from './rules/surface/bayTooLong.ts';
import { crackUnderneath, cutAlongJoint, narrowMovementJoint } from './rules/surface/carriedJoints.ts';
import { bedThickness } from './rules/surface/bedThickness.ts';
import { bothHands } from './rules/surface/bothHands.ts';
import { cagedIn } from './rules/surface/cagedIn.ts';
import { clipWidth } from './rules/surface/clipWidth.ts';
import { cutMotif } from './rules/surface/cutMotif.ts';
import { darkMortar } from './rules/surface/darkMortar.ts';
import { deepBoxes } from './rules/surface/deepBoxes.ts';
import { fillThickness } from './rules/surface/fillThickness.ts';
import { fragileEar } from './rules/surface/fragileEar.ts';
import { glassBed } from './rules/surface/glassBed.ts';
import { glassStrips } from './rules/surface/glassStrips.ts';
import { glassRoom } from './rules/surface/glassRoom.ts';
import { hardCorner } from './rules/surface/hardCorner.ts';
import { innerJoint } from './rules/surface/innerJoint.ts';
import { leftToJoint } from './rules/surface/leftToJoint.ts';
import { longOffset } from './rules/surface/longOffset.ts';
import { measureAgain } from './rules/surface/measureAgain.ts';
import { meetingDiffers } from './rules/surface/meetingDiffers.ts';
import { membraneMortar } from './rules/surface/membraneMortar.ts';
import { mixedSubstrates } from './rules/surface/mixedSubstrates.ts';
import { mixTooLarge } from './rules/surface/mixTooLarge.ts';
import { motifOffMiddle } from './rules/surface/motifOffMiddle.ts';
import { narrowJoint } from './rules/surface/narrowJoint.ts';
import { noBit } from './rules/surface/noBit.ts';
import { nominalSize } from './rules/surface/nominalSize.ts';
import { noPerimeterJoint } from './rules/surface/noPerimeterJoint.ts';
import { notFlat } from './rules/surface/notFlat.ts';
import { notFlush } from './rules/surface/notFlush.ts';
import { noStrips } from './rules/surface/noStrips.ts';
import { notPrimed } from './rules/surface/notPrimed.ts';
import { readingDisagrees } from './rules/surface/readingDisagrees.ts';
import { readyMixed } from './rules/surface/readyMixed.ts';
import { sandedGlass } from './rules/surface/sandedGlass.ts';
import { sealFirst } from './rules/surface/sealFirst.ts';
import { shaved } from './rules/surface/shaved.ts';
import { sliver } from './rules/surface/sliver.ts';
import { soakedSheets } from './rules/surface/soakedSheets.ts';
import { softGround } from './rules/surface/softGround.ts';
import { splitRound } from './rules/surface/splitRound.ts';
import { standsOff } from './rules/surface/standsOff.ts';
import { thinBridge } from './rules/surface/thinBridge.ts';
import { thinBeside } from './rules/surface/thinBeside.ts';
import { thinCoverage } from './rules/surface/thinCoverage.ts';
import { tightPipe } from './rules/surface/tightPipe.ts';
import { underKerf } from './rules/surface/underKerf.ts';
import { unevenPieces } from './rules/surface/unevenPieces.ts';
import { unsandedWide } from './rules/surface/unsandedWide.ts';
import { wetOpen } from './rules/surface/wetOpen.ts';

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
  shaved,
  splitRound,
  longOffset,
  narrowJoint,
  noPerimeterJoint,
  innerJoint,
  underKerf,
  noStrips,
  noBit,
  unevenPieces,
  cutMotif,
  motifOffMiddle,
  glassStrips,
  bothHands,
  sealFirst,
  clipWidth,
  sandedGlass,
  unsandedWide,
  darkMortar,
  glassBed,
  glassRoom,
  thinCoverage,
  bedThickness,
  readyMixed,
  bayTooLong,
  bayAcross,
  cutAlongJoint,
  narrowMovementJoint,
  crackUnderneath,
  hardCorner,
  deepBoxes,
  mixedSubstrates,
  fillThickness,
  soakedSheets,
  tightPipe,
  fragileEar,
  thinBridge,
  notPrimed,
  wetOpen,
  membraneMortar,
  softGround,
  cagedIn,
  mixTooLarge,
} as const satisfies Record<string, AdviceRule>;

/** Rules that look at the whole job: what only its rooms, its order or its days can tell. */
export const JOB_RULES = {
  mixedLots,
  missedWindow,
} as const satisfies Record<string, JobRule>;

/** All findings on one surface, in the order of the rules. */
export const adviseSurface = (context: AdviceContext): Finding[] =>
  Object.values<AdviceRule>(ADVICE_RULES)
    .flatMap((rule) => rule(context))
    .map((finding) => asKnown(context.surface, finding));

/** All that is found over a whole job, in the order of the rules; known where it is on any surface that names the tile it is of. */
export const adviseJob = (context: JobContext): Finding[] =>
  Object.values<JobRule>(JOB_RULES)
    .flatMap((rule) => rule(context))
    .map((finding) => {
      const [list, at] = finding.path;
      const product = list === 'products' ? context.job.products.at(Number(at)) : undefined;
      const knows =
        product && context.job.surfaces.find((one) => tilesNamedBy(one).has(product.id) && one.known?.[finding.code] !== undefined);
      return knows ? asKnown(knows, finding) : finding;
    });

/** What was found under another code in jobs that were stored earlier: what one said one knew of stays quiet. */
const FORMERLY: Readonly<Record<string, string>> = {
  'advice/bay-too-large': 'advice/bay-too-long',
  'advice/uneven-sheets': 'advice/uneven-pieces',
};

/** A finding with what was noted by who knows of it. */
function asKnown({ known = {} }: Surface, finding: Finding): Finding {
  const code = [finding.code, FORMERLY[finding.code]].find((one) => one !== undefined && Object.hasOwn(known, one));
  return code === undefined ? finding : { ...finding, known: known[code] };
}

/** Findings that nobody has said they know of. */
export const openFindings = (findings: readonly Finding[]): Finding[] => findings.filter(({ known = null }) => known === null);
