import type { CutTrip } from '../../cuts/cutOrder.ts';
import type { CutPiece } from '../../cuts/cutPiece.ts';
import type { TickState } from '../../site/tick.ts';

const pieces = (count: number): string => (count === 1 ? 'one piece' : `${count} pieces`);
const times = (count: number): string => (count === 1 ? 'once' : count === 2 ? 'twice' : `${count} times`);

/** What there is to cut, how long that takes and how often the fence is moved. */
export function describeCutting(cuts: readonly CutPiece[], trips: readonly CutTrip[], fenceSet: number): string {
  const minutes = cuts.reduce((sum, cut) => sum + cut.minutes, 0);
  const settings = new Set(trips.flatMap((trip) => trip.map(({ group }) => group))).size;
  const what = `${settings === 1 ? 'One cut' : `${settings} different cuts`} for ${pieces(cuts.length)}, about ${minutes} min.`;
  const walks = trips.length > 1 ? ` ${trips.length} trips to the saw, in the order of laying.` : '';
  const fence = fenceSet > 0 ? ` The fence is set ${times(fenceSet)}.` : '';
  return `${what}${walks}${fence} Figures are from factory edges, joint and gap taken off.`;
}

/** How far along the pieces of a surface are. */
export function describeTicked(states: readonly TickState[], waiting: number): string {
  const laid = states.filter((state) => state === 'laid').length;
  const cut = states.filter((state) => state === 'cut').length + laid;
  const far = cut === 0 ? `None of ${states.length} cut yet.` : `${cut} of ${states.length} cut, ${laid === 0 ? 'none' : laid} laid.`;
  return waiting === 0 ? far : `${far} ${waiting === 1 ? 'One tick waits' : `${waiting} ticks wait`} for the server.`;
}
