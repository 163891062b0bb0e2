import { leftOver } from '../cuts/offCuts/leftOver.ts';
import { describeFinding, describeMend, explainFinding } from '../messages/en/advice.ts';
import { describeCutting } from '../messages/en/cutting.ts';
import { describeHandover } from '../messages/en/handover.ts';
import { describeLedger, describeLines } from '../messages/en/lines.ts';
import { describeMark } from '../messages/en/marks.ts';
import { describeChance, describePacks, explainMaterial } from '../messages/en/materials.ts';
import { describeAhead, describeStirred, explainMix } from '../messages/en/mixes.ts';
import { describeLeft, describeOpened } from '../messages/en/offCuts.ts';
import { describeHeld } from '../messages/en/programme.ts';
import { describeSetout } from '../messages/en/reasons.ts';
import { describeSheetPart, describeSheets } from '../messages/en/sheets.ts';
import { describeZone, describeZones } from '../messages/en/zones.ts';
import { zoneMixes } from '../takeoff/mixes/zoneMixes.ts';
import { thingNamesOf } from '../messages/thingNames.ts';
import { IMPERIAL_TAPE, METRIC_TAPE, type Tape } from '../units/tape.ts';
import type { Job } from '../job/job.ts';
import type { Plan } from '../plan.ts';
import type { Law } from './law.ts';
import { misread } from './misread.ts';

type PlannedSurface = Plan['surfaces'][number];

/** What a surface says to whoever lays it. */
function wordsOfSurface(planned: PlannedSurface, tape: Tape): string[] {
  const names = thingNamesOf(planned.traced);
  const { advice, struck, ledger, zones, groups, offCuts, sheets } = planned;
  return [
    ...describeSetout(advice.reasons, names, tape),
    ...describeLines(struck, names, tape),
    ...(ledger ? describeLedger(ledger, tape) : []),
    describeZones(zones, names),
    ...zones.zones.map((zone) => describeZone(zone, tape)),
    // A mark in a corner is at nothing.
    ...groups.flatMap(({ first }) => first.marks.map((mark) => describeMark(mark, tape).replace(/\b0"/g, '1"'))),
    ...(planned.toCut.length > 0 ? [describeCutting(planned.toCut, [], 0)] : []),
    describeOpened(offCuts, planned.surfaceId),
    ...offCuts.tiles.map((tile) => describeLeft(leftOver(tile, 2.5), tape)),
    ...sheets.flatMap((plan) => [describeSheets(plan), ...plan.parts.map((part) => describeSheetPart(part, tape))]),
  ];
}

/** What a job says to whoever buys for it, plans its days and is handed it. */
function wordsOfJob(job: Job, plan: Plan): string[] {
  const { tape } = job;
  return [
    ...plan.findings.flatMap((finding) => [
      describeFinding(finding, tape),
      explainFinding(finding, tape) ?? '',
      describeMend(finding, tape) ?? '',
    ]),
    ...plan.materials.flatMap((line) => [describePacks(line), describeChance(line, tape), ...explainMaterial(job, line)]),
    ...plan.mixes.flatMap((mix) => {
      const stirred = zoneMixes(mix, plan.surfaces);
      return [describeStirred(mix, stirred, tape), describeAhead(mix, tape), ...explainMix(mix, stirred, tape)];
    }),
    ...plan.programme.tasks.map((task) => describeHeld(task, plan.programme)),
    ...describeHandover(job, plan, []).flatMap(({ lines }) => lines),
  ];
}

/** Nothing that a plan says, in millimetres or in feet and inches, makes a reader stop. */
export const wordsReadRight: Law = (job, plan) =>
  [METRIC_TAPE, IMPERIAL_TAPE].flatMap((tape) => {
    const said = [...wordsOfJob({ ...job, tape }, plan), ...plan.surfaces.flatMap((surface) => wordsOfSurface(surface, tape))];
    return [...new Set(said)].flatMap(misread);
  });
