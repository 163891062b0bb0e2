import { MATERIALS } from '../takeoff/registry.ts';
import type { OwnFigures } from '../takeoff/materialKind.ts';
import { medianOf } from './believed.ts';
import type { LearntPace } from './learnt.ts';
import type { BreakageFact, LearntFigure, UseFact } from './learntUse.ts';
import { ownSpread } from './ownSpread.ts';

/** What each job taught, by what and by job. */
type ByJob = Readonly<Record<string, Readonly<Record<string, number>>>>;

/** What all jobs of a person taught; kept by their browser. */
export interface Lessons {
  /** Paces by task. */
  readonly paces: ByJob;
  /** Used over planned, by material. */
  readonly ratios: ByJob;
}

/** The figures that new jobs begin with, by material, pace and breakage. */
type Habits = Readonly<Record<string, OwnFigures | undefined>>;

/** What one job teaches. */
export interface Taught {
  readonly jobId: string;
  readonly paces: readonly LearntPace[];
  readonly figures: readonly LearntFigure[];
  readonly breakages: readonly BreakageFact[];
  /** What was used of everything; empty before all is laid. */
  readonly uses: readonly UseFact[];
}

/**
 * Takes over what a job teaches: of paces, the middle of all jobs is reckoned with; how far use strays is learnt from two
 * jobs on. The same job again takes the place of what it taught before.
 */
export function learnFrom(
  lessons: Lessons,
  habits: Habits,
  { jobId, paces, figures, breakages, uses }: Taught,
): { readonly lessons: Lessons; readonly habits: Habits } {
  const known = {
    paces: withOf(
      lessons.paces,
      jobId,
      paces.map(({ task, pace }) => [task, pace]),
    ),
    ratios: withOf(
      lessons.ratios,
      jobId,
      uses.filter(({ planned }) => planned > 0).map(({ item, planned, used }) => [item, used / planned]),
    ),
  };
  const middle = paces.map(({ task }) => [task, Math.round(100 * medianOf(Object.values(known.paces[task]))) / 100] as const);
  const spreads = uses.flatMap(({ item }): (readonly [string, OwnFigures])[] => {
    const own = Object.values(known.ratios[item] ?? {}).filter((ratio) => ratio > 0);
    return own.length > 1 ? [[item, { spread: ownSpread(own, MATERIALS[item].spread) }]] : [];
  });
  const taught: readonly (readonly [string, OwnFigures])[] = [
    ...(middle.length > 0 ? [['pace', Object.fromEntries(middle)] as const] : []),
    ...figures.map(({ item, figure, value }) => [item, { [figure]: value }] as const),
    ...spreads,
    ...(breakages.length > 0 ? [['breakage', Object.fromEntries(breakages.map(({ kind, percent }) => [kind, percent]))] as const] : []),
  ];
  return {
    lessons: known,
    habits: taught.reduce<Habits>((all, [item, own]) => ({ ...all, [item]: { ...all[item], ...own } }), habits),
  };
}

const withOf = (before: ByJob, jobId: string, taught: readonly (readonly [string, number])[]): ByJob =>
  taught.reduce<ByJob>((all, [what, value]) => ({ ...all, [what]: { ...all[what], [jobId]: value } }), before);
