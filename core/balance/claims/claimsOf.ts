import type { Finding } from '../../advice/finding.ts';
import { ofSurface } from '../../advice/ofSurface.ts';
import type { Job } from '../../job/job.ts';
import { describeFinding } from '../../messages/en/advice.ts';
import type { Plan } from '../../plan.ts';
import type { SurfacePlan } from '../../plan/planned.ts';
import type { Tape } from '../../units/tape.ts';
import type { Claim } from './claim.ts';
import { FINDING_CHECKS, type Spoken } from './findingFault.ts';
import { laidPieces } from './laidPieces.ts';
import { reasonClaims } from './reasonClaims.ts';

/** All that a plan claims of its setouts and finds on its surfaces, as it is said on a tape, each judged. */
export function claimsOf(job: Job, plan: Plan, tape: Tape): Claim[] {
  return plan.surfaces.flatMap((planned) => {
    const surfaceIndex = job.surfaces.findIndex(({ id }) => id === planned.surfaceId);
    const findings = ofSurface(plan.findings, surfaceIndex);
    return [...reasonClaims(job, planned, tape), ...findingClaims(job, surfaceIndex, planned, findings, tape)];
  });
}

function findingClaims(job: Job, at: number, plan: SurfacePlan, findings: readonly Finding[], tape: Tape): Claim[] {
  const surface = job.surfaces[at];
  const spoken: Spoken = { job, surface, plan, pieces: laidPieces(plan, true) };
  return findings.map((finding) => {
    const check = FINDING_CHECKS[finding.code];
    const isTrue = !check || check(finding.figures as Readonly<Record<string, number>>, spoken, finding);
    const words = describeFinding(finding, tape);
    return {
      code: finding.code,
      surface: surface.name,
      words,
      fault: isTrue ? null : 'untrue',
      why: isTrue ? null : JSON.stringify(finding.figures),
    };
  });
}
