import type { Job } from '@azulejo/core/job/job';

/** The names of the surfaces that a tile is laid on: whole, as a part, mixed in, or in what is set in. */
export function usersOf(job: Job, productId: string): string[] {
  return job.surfaces
    .filter(({ border, bands, insets, ...surface }) => {
      const layings = [surface, ...insets];
      const laid = layings.flatMap(({ productId: own, parts, colours, partColours }) => [
        own,
        ...Object.values(parts),
        ...[colours, ...Object.values(partColours)].flatMap(({ others }) => others),
      ]);
      const edging = [border, ...insets.map((inset) => inset.border), ...bands].flatMap((edge) => (edge ? [edge.productId] : []));
      return [...laid, ...edging].includes(productId);
    })
    .map(({ name }) => name);
}
