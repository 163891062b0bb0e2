import type { FloorPart } from './floorParts.ts';

/** What is walked to get out of a part: on into another, or through a door. */
export type NextStep = number | 'out' | null;

/**
 * The proposed order of laying a floor, backwards to the door: the longest way out first. A way across the room weighs its
 * length, one along the wall with the door next to nothing, so that rows are finished one after the other. As each part's
 * way out goes over parts that are nearer to the door, and those are laid later, nobody is ever caged in.
 */
export function backToTheDoor(parts: readonly FloorPart[], doors: ReadonlySet<number>, acrossRows: boolean): number[] {
  const far = waysOut(parts, doors, acrossRows);
  return parts.map((_, k) => k).sort((a, b) => far[b] - far[a] || parts[b].row - parts[a].row || parts[a].column - parts[b].column);
}

/** Of a metre along the wall with the door, so much counts. */
const ALONG_SHARE = 0.02;

/** How far it is from each part to a door; parts without any way are furthest (Dijkstra, 1959). */
function waysOut(parts: readonly FloorPart[], doors: ReadonlySet<number>, acrossRows: boolean): number[] {
  const far = parts.map((_, k) => (doors.has(k) ? 0 : Infinity));
  const open = new Set(parts.keys());
  while (open.size > 0) {
    const k = [...open].reduce((a, b) => (far[b] < far[a] ? b : a));
    open.delete(k);
    for (const { to } of parts[k].passes) {
      const rows = Math.abs(parts[to].row - parts[k].row);
      const columns = Math.abs(parts[to].column - parts[k].column);
      const [across, along] = acrossRows ? [rows, columns] : [columns, rows];
      far[to] = Math.min(far[to], far[k] + across + ALONG_SHARE * along);
    }
  }
  return far;
}

/**
 * The proof of an order: for each part, in the order in which they are laid, the next step out over floor that is not
 * laid when its turn comes; null where there is none, and whoever lays it is caged in or has to step on fresh tiles.
 */
export function stepsOut(parts: readonly FloorPart[], doors: ReadonlySet<number>, order: readonly number[]): NextStep[] {
  const turnOf = new Map(order.map((k, turn) => [k, turn]));
  return order.map((k, turn): NextStep => {
    if (doors.has(k)) return 'out';
    const isFree = (other: number): boolean => (turnOf.get(other) ?? -1) > turn;
    // From the doors inwards over what is free, until the part is met: who meets it is the next step.
    const seen = new Set([...doors].filter(isFree));
    for (const at of seen) {
      if (parts[at].passes.some(({ to, isWide }) => isWide && to === k)) return at;
      for (const { to, isWide } of parts[at].passes) if (isWide && isFree(to)) seen.add(to);
    }
    return null;
  });
}
