import type { AdviceContext, AdviceRule, Finding } from './finding.ts';
import { longOffset } from './rules/longOffset.ts';
import { narrowJoint } from './rules/narrowJoint.ts';
import { nominalSize } from './rules/nominalSize.ts';
import { noPerimeterJoint } from './rules/noPerimeterJoint.ts';
import { sliver } from './rules/sliver.ts';

/** Every rule of advice. A new rule is a file in rules/ and a line here. */
export const ADVICE_RULES = { nominalSize, sliver, longOffset, narrowJoint, noPerimeterJoint } as const satisfies Record<
  string,
  AdviceRule
>;

/** All findings on one surface, in the order of the rules. */
export const adviseSurface = (context: AdviceContext): Finding[] => Object.values(ADVICE_RULES).flatMap((rule) => rule(context));
