import { produce } from 'immer';
import { accepted, issue, refused, type Result } from '../../result.ts';
import { acceptChange } from '../acceptChange.ts';
import { applyEdits, PlaceGone } from '../edit/applyEdits.ts';
import { differences } from '../edit/differences.ts';
import type { Edit } from '../edit/edit.ts';
import type { Job, Surface } from '../job.ts';
import type { Variant } from './variant.ts';

/** What a job is called that nobody has named: the way that was planned first. */
export const FIRST_NAME = 'As planned';

/** A job without its variants: what they are told against. */
function bare(job: Job): Job {
  const rest = { ...job };
  delete rest.variants;
  delete rest.standing;
  return rest;
}

/** Keeps a way to do it as a variant: the job as a recipe changes it. */
export const variantOf = (job: Job, id: string, name: string, recipe: (draft: Job) => void): Variant => ({
  id,
  name,
  edits: [...differences(bare(job), bare(produce(job, recipe)))],
});

/** The job as a variant has it; refused where what it changes is gone, or it can't be. */
export function jobOfVariant(job: Job, { edits, name }: Variant): Result<Job> {
  try {
    return acceptChange(bare(job), applyEdits(bare(job), edits));
  } catch (error) {
    if (error instanceof PlaceGone) return refused(issue('variant/place-gone', ['variants'], { name }));
    throw error;
  }
}

/** The surfaces that a variant changes, by id. */
export function surfacesOf(edits: readonly Edit[]): string[] {
  return [...new Set(edits.flatMap(({ path: [list, item] }) => (list === 'surfaces' && typeof item === 'object' ? [item.id] : [])))];
}

/**
 * Makes a variant the way that is planned. What stood before becomes a variant in its place, and the others are told
 * against what stands now.
 */
export function chooseVariant(job: Job, id: string): Result<Job> {
  const chosen = job.variants?.find((variant) => variant.id === id);
  if (!chosen) return refused(issue('variant/place-gone', ['variants'], { name: id }));
  const next = jobOfVariant(job, chosen);
  if (!next.ok) return next;
  const against = (target: Job): Edit[] => [...differences(next.value, target)];
  const variants = (job.variants ?? []).flatMap((variant): Variant[] => {
    if (variant.id === id) return [{ id, name: job.standing ?? FIRST_NAME, edits: against(bare(job)) }];
    const own = jobOfVariant(job, variant);
    // What can't be any more stays as it was written; it is told beside it.
    return [own.ok ? { ...variant, edits: against(own.value) } : variant];
  });
  // What was planned first needs no name.
  return accepted({ ...next.value, variants, ...(chosen.name === FIRST_NAME ? {} : { standing: chosen.name }) });
}

/** Heights that a rectangular wall could be tiled to: under what hangs on it, and as high as other walls of its room; mm. */
export function heightsFor(
  { surfaces }: Pick<Job, 'surfaces'>,
  { id, roomId, measured, kind }: Surface,
): { readonly name: string; readonly mm: number }[] {
  const { shape, fixtures } = measured;
  if (kind !== 'wall' || shape.kind !== 'rectangle') return [];
  const under = fixtures.flatMap(({ kind: what, name, from }) => {
    const foot = from.find(({ edge }) => edge === 'bottom');
    return foot && foot.mm > 200 && (what === 'cabinet' || what === 'shelf' || what === 'window')
      ? [{ name: `up to ${name}`, mm: foot.mm }]
      : [];
  });
  const walls = surfaces.flatMap((other) =>
    other.id !== id && other.kind === 'wall' && other.roomId === roomId && roomId !== null && other.measured.shape.kind === 'rectangle'
      ? [{ name: `as high as ${other.name}`, mm: other.measured.shape.heightMm }]
      : [],
  );
  const seen = new Set([Math.round(shape.heightMm)]);
  return [...under, ...walls].filter(({ mm }) => !seen.has(Math.round(mm)) && seen.add(Math.round(mm)));
}

/** Tiles a rectangular wall to another height, its foot where it is; what hangs higher than that is left out. */
export function setHeight(surface: Surface, heightMm: number): void {
  const { shape } = surface.measured;
  if (shape.kind !== 'rectangle') return;
  const grows = heightMm - shape.heightMm;
  shape.heightMm = heightMm;
  surface.measured.fixtures = surface.measured.fixtures.flatMap((fixture) => {
    const from = fixture.from.map((measure) => (measure.edge === 'top' ? { ...measure, mm: measure.mm + grows } : measure));
    const tall =
      fixture.outline.kind === 'rectangle'
        ? fixture.outline.heightMm
        : fixture.outline.kind === 'round'
          ? fixture.outline.diameterMm / 2
          : 0;
    const foot = from.find(({ edge }) => edge === 'bottom');
    const isOn = from.every(({ mm }) => mm >= 0) && (!foot || foot.mm + tall <= heightMm);
    return isOn ? [{ ...fixture, from: [from[0], from[1]] as typeof fixture.from }] : [];
  });
}
