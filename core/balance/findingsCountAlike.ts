import { findingsOn } from '../advice/findingsOn.ts';
import { ofSurface } from '../advice/ofSurface.ts';
import { openFindings } from '../advice/registry.ts';
import type { Finding } from '../advice/finding.ts';
import { glanceOf } from '../formats/glance.ts';
import { briefOf } from '../plan/layout/briefOf.ts';
import { Memory } from '../memory.ts';
import { planSurface } from '../plan.ts';
import { unlike, type Law } from './law.ts';

const codesOf = (findings: readonly Finding[]): string[] => findings.map(({ code, path }) => `${code} ${path.join('.')}`);

/** The page of a surface, planned by itself as it is there, the page of its job and the list of jobs tell of the same findings. */
export const findingsCountAlike: Law = (job, plan) => {
  const glance = glanceOf(job, plan, []);
  const memory = new Memory();
  return job.surfaces.flatMap((surface, surfaceIndex) => {
    if (!plan.surfaces.some(({ surfaceId }) => surfaceId === surface.id)) return [];
    const ofJob = ofSurface(plan.findings, surfaceIndex);
    const alone = planSurface(briefOf(job, surface).rules, surface, memory);
    const ofPage = findingsOn(job, surface, alone);
    const told = glance.attention.find(({ surfaceId }) => surfaceId === surface.id)?.warnings ?? 0;
    const warnings = surface.laid ? 0 : openFindings(ofPage).filter(({ severity }) => severity === 'warning').length;
    return [
      ...unlike(`${surface.name}: findings of the job and of the surface`, codesOf(ofJob), codesOf(ofPage)),
      ...(told === warnings ? [] : [`${surface.name}: the list of jobs tells of ${told} warnings, its page of ${warnings}`]),
    ];
  });
};
