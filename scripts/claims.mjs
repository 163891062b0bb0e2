// npm run claims -- 5000-5400: holds what made-up jobs of these seeds claim against their laid pieces, in millimetres and in
// feet and inches, and prints which share is untrue, misleading, needless and longer than a breath.
import { build, install } from './build.mjs';

install();
build(['core']);
const { plan } = await import('../core/dist/plan.js');
const { wholeJob } = await import('../core/dist/balance/wholeJob.js');
const { sharesOf } = await import('../core/dist/balance/claims/claim.js');
const { claimsOf } = await import('../core/dist/balance/claims/claimsOf.js');
const { IMPERIAL_TAPE, METRIC_TAPE } = await import('../core/dist/units/tape.js');

const [first, last] = (process.argv[2] ?? '1-100').split('-').map(Number);
const claims = [];
let jobs = 0;
for (let seed = first; seed <= last; seed++) {
  const job = wholeJob(seed);
  if (!job) continue;
  jobs++;
  const planned = plan(job);
  for (const tape of [METRIC_TAPE, IMPERIAL_TAPE])
    claims.push(...claimsOf(job, planned, tape).map((claim) => ({ ...claim, surface: `seed ${seed}, ${claim.surface}` })));
}
const { all, shares, wrong } = sharesOf(claims);
for (const one of wrong) console.log(one);
console.log(`${all} claims of ${jobs} jobs`);
for (const [what, share] of Object.entries(shares)) console.log(`${what}: ${(100 * share).toFixed(2)} %`);
