import { settingsOf, tripsFor, type Cutting } from '../cuts/cutOrder.ts';
import type { CutPiece } from '../cuts/cutPiece.ts';
import type { Pattern } from '../pattern/registry.ts';
import type { LayingZones } from '../zones/layingZones.ts';

/** What is done with a cut piece on site: it is cut, and later laid. */
export type Doing = 'cut' | 'laid';

/** What of a planned surface its pieces take their turn from. */
type InTurn = Parameters<typeof tripsFor>[0] & { readonly zones: LayingZones };

/** The cut pieces of a surface in the order in which they are cut, trip by trip, or laid, zone by zone. */
export function piecesInTurn(plan: InTurn, pattern: Pattern, cutting: Cutting | undefined, doing: Doing): readonly CutPiece[] {
  const cut = settingsOf(tripsFor(plan, pattern, cutting)).flatMap(({ pieces }) => pieces);
  if (doing === 'cut') return cut;
  const zoneOf = zoneByPiece(plan.zones);
  // What is in no zone, strips beside the surface, is set when all tiles lie.
  const turnOf = ({ label }: CutPiece): number => zoneOf.get(label) ?? plan.zones.zones.length + 1;
  return [...cut].sort((a, b) => turnOf(a) - turnOf(b));
}

const zoneByPiece = ({ zones }: LayingZones): ReadonlyMap<string, number> =>
  new Map(zones.flatMap(({ number, cuts }) => cuts.map((label) => [label, number] as const)));

/** Pieces that are out of turn: one that was asked for by its label, and those put off for now. */
export interface OutOfTurn {
  readonly asked: string | null;
  readonly putOff: readonly string[];
}

/** The piece that is next: the one asked for, else the first left that is not put off, else the first left. Null where all is done. */
export function nextInTurn<Piece extends { readonly label: string }>(left: readonly Piece[], { asked, putOff }: OutOfTurn): Piece | null {
  return left.find(({ label }) => label === asked) ?? left.find(({ label }) => !putOff.includes(label)) ?? left.at(0) ?? null;
}
