import type { Axis } from '../../setout/weigh/axisPlacement.ts';
import type { EndCuts, EndPieces } from '../../setout/edges/endCuts.ts';
import type { Reason } from '../../setout/weigh/explainSetout.ts';
import type { AxisChoice } from '../../setout/weigh/setoutChoice.ts';
import { formatLengthWithUnit } from '../../units/formatLength.ts';
import type { Tape } from '../../units/tape.ts';
import type { EdgeRole } from '../../surface/edge.ts';

/** The two ends of a direction in words. */
export const END_NAMES: Readonly<Record<Axis, readonly [string, string]>> = { x: ['left', 'right'], y: ['bottom', 'top'] };

const DIRECTION: Readonly<Record<Axis, string>> = { x: 'Left to right', y: 'Bottom to top' };

/** What a rule does, as a clause. */
export function ruleName(rule: AxisChoice['rule'], axis: Axis): string {
  const [start, end] = END_NAMES[axis];
  switch (rule) {
    case 'pieceCentred':
      return 'a piece on the centre line';
    case 'jointCentred':
      return 'a joint on the centre line';
    case 'fullFromStart':
      return `a full piece off the ${start} edge`;
    case 'fullFromEnd':
      return `a full piece off the ${end} edge`;
    case 'free':
      return 'placed by hand';
    case 'best':
      return 'the best of these';
  }
}

/** Why one direction is set out as it is: what it gains, then what it costs. */
export function describeReason(reason: Reason, tape: Tape): string {
  const { axis, rule, rival } = reason;
  if (reason.within) return describeSmallField(reason, reason.within, tape);
  const gains = `${DIRECTION[axis]}, ${ruleName(rule, axis)}: ${describeEnds(reason.ends, axis, tape)}.`;
  const roles = rule === 'fullFromStart' || rule === 'fullFromEnd' ? becauseOfRoles(reason) : '';
  const instead = rival ? ` ${capital(ruleName(rival.rule, axis))} would give ${describeEnds(rival.ends, axis, tape)}.` : '';
  const cost = reason.sliver ? ' It leaves a sliver; look whether a hidden edge can take it.' : '';
  return gains + roles + instead + cost;
}

/** A field that fits into one piece is cut off the edge of it, so a rule of the middle says nothing. */
function describeSmallField({ axis, rule, ends }: Reason, within: 'piece' | 'block', tape: Tape): string {
  const [start, end] = END_NAMES[axis];
  const from = rule === 'free' ? 'placed by hand' : `set out from the ${rule === 'fullFromEnd' ? end : start} edge`;
  const one = within === 'piece' ? 'one piece' : 'one block of the pattern';
  return `${DIRECTION[axis]}, the field is no larger than ${one}. It is ${from}: ${describeEnds(ends, axis, tape)}.`;
}

function becauseOfRoles({ axis, rule, startRole, endRole }: Reason): string {
  const [start, end] = END_NAMES[axis];
  const [full, other] = rule === 'fullFromStart' ? [startRole, endRole] : [endRole, startRole];
  const [fullName, otherName] = rule === 'fullFromStart' ? [start, end] : [end, start];
  const seen = SEEN[full];
  if (other === 'hidden') return ` The cuts go to the ${otherName} edge, where nobody looks.`;
  return seen ? ` The ${fullName} edge ${seen}.` : '';
}

const SEEN: Readonly<Partial<Record<EdgeRole, string>>> = {
  focal: 'is seen first',
  exposed: 'ends in the open',
  threshold: 'meets the next floor',
};

/** The pieces at both ends in words. */
export function describeEnds({ start, end }: EndCuts, axis: Axis, tape: Tape): string {
  const [startName, endName] = END_NAMES[axis];
  const [first, last] = [start, end].map((pieces) => describePieces(pieces, tape));
  if (first === last) return first === FULL ? 'full pieces at both ends' : `${first} at both ends`;
  return `${first} at the ${startName}, ${last} at the ${endName}`;
}

const FULL = 'full';

/** The pieces along one edge in words. */
export function describePieces({ cutsMm, full }: EndPieces, tape: Tape): string {
  if (cutsMm.length === 0) return FULL;
  const sizes = [...new Set(cutsMm.map((mm) => formatLengthWithUnit(mm, tape)))];
  const shown = sizes.length > 2 ? `${sizes[0]} down to ${sizes.at(-1) ?? ''}` : sizes.join(' and ');
  return full ? `full${sizes.length === 1 ? ' and' : ','} ${shown}` : shown;
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
