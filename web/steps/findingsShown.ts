import type { Finding } from '@azulejo/core/advice/finding';
import { rankOf } from '@azulejo/core/advice/worstFirst';
import { describeFinding, explainFinding } from '@azulejo/core/messages/en/advice';
import type { Tape } from '@azulejo/core/units/tape';
import { stepOfFinding, type Mending } from './stepOfFinding.ts';
import type { SurfaceStep } from './surfaceSteps.ts';

/** A finding as it is told in a step. */
export interface ShownFinding {
  readonly finding: Finding;
  /** Of its own among all findings of a surface. */
  readonly key: string;
  readonly words: string;
  /** The reason; null where the words say it all. */
  readonly why: string | null;
  /** Where it is mended. */
  readonly mending: Mending;
}

/**
 * What is found on a surface, as it is told in a step: the worst first, and of those as bad what is mended in this step.
 * Whoever cuts sees what is to be seen to in cutting.
 */
export function findingsShown(found: readonly Finding[], step: SurfaceStep, tape: Tape): ShownFinding[] {
  /** So many were found of the same kind at the same place: each strip along an edge, each pipe. */
  const alike = new Map<string, number>();
  const keyOf = ({ code, path }: Finding): string => {
    const place = `${code} ${path.join('.')}`;
    const count = (alike.get(place) ?? 0) + 1;
    alike.set(place, count);
    return `${place} ${count}`;
  };
  return found
    .map((finding) => ({
      finding,
      key: keyOf(finding),
      words: describeFinding(finding, tape),
      why: explainFinding(finding, tape),
      mending: stepOfFinding(finding),
    }))
    .filter(({ mending }) => step !== 'cuts' || mending.name === 'cuts')
    .sort((a, b) => rankOf(a.finding) - rankOf(b.finding) || Number(b.mending.name === step) - Number(a.mending.name === step));
}
