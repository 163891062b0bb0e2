import type { LineOwner } from '../edges/boundary.ts';
import type { Axis } from '../choice/axisPlacement.ts';
import type { EdgeTally, Falls } from '../tally/figures.ts';

/** An edge, or the thing whose side it is, as a sentence names it. */
export interface Along {
  readonly id: string;
  readonly kind: LineOwner['kind'];
  readonly role: LineOwner['role'];
  readonly seen: number;
}

/** The pieces along one edge: the narrowest and the widest that are cut; null where all are full. */
export interface EndSize {
  readonly along: Along;
  readonly cutMm: readonly [number, number] | null;
}

/** One thing that is true of a setout; its words live in messages/. Lengths in mm. */
export type Statement =
  | { readonly says: 'full'; readonly along: Along; readonly rest: EndSize | null }
  /** Along an edge only those pieces are cut that fill in between the tiles, such as dots. */
  | { readonly says: 'mainFull'; readonly along: Along }
  | { readonly says: 'bothFull'; readonly axis: Axis; readonly edges: readonly [string, string] }
  | { readonly says: 'even'; readonly axis: Axis; readonly cutMm: readonly [number, number]; readonly edges: readonly [string, string] }
  | { readonly says: 'ends'; readonly axis: Axis; readonly sizes: readonly [EndSize, EndSize] }
  | { readonly says: 'narrowest'; readonly size: EndSize }
  | { readonly says: 'pieces'; readonly size: EndSize }
  | { readonly says: 'strips'; readonly size: EndSize }
  | { readonly says: 'square'; readonly along: Along }
  | { readonly says: 'runOff'; readonly along: Along; readonly mm: number }
  | { readonly says: 'middle'; readonly fixtureId: string; readonly offMm: number }
  | { readonly says: 'falls'; readonly fixtureId: string; readonly falls: Falls }
  | { readonly says: 'legs'; readonly some: boolean }
  /** How long it takes is told where every cut is known; a trial knows enough to say which of two takes clearly less. */
  | { readonly says: 'work'; readonly cutPieces: number; readonly less: boolean }
  | { readonly says: 'moreWork' }
  | { readonly says: 'motifs'; readonly motifs: number };

/** Minutes that were tried differ clearly by so much, and by so great a share. */
const CLEARLY_MIN = 10;
const CLEARLY_SHARE = 0.15;

/** Whether one of two setouts takes clearly longer at the saw, by the minutes that were tried. */
export const clearlyMore = (minutes: number, than: number): boolean => minutes - than >= Math.max(CLEARLY_MIN, CLEARLY_SHARE * than);

/** An edge as a sentence names it. */
export const alongOf = ({ owner: { id, kind, role, seen } }: EdgeTally): Along => ({ id, kind, role, seen });

/** The pieces along an edge. */
export const sizeOf = (tally: EdgeTally): EndSize => ({
  along: alongOf(tally),
  cutMm: tally.cutMm < 1 ? null : [tally.thinnestMm, tally.widestMm],
});

/** Whether a second sentence only tells what the first one told: the same kind of thing, or the pieces of the same edge. */
export function sameThing(a: Statement, b: Statement): boolean {
  const told = edgesTold(b);
  return a.says === b.says || edgesTold(a).some((id) => told.includes(id));
}

/** The edges whose cut pieces a statement gives. */
function edgesTold(statement: Statement): string[] {
  switch (statement.says) {
    case 'full':
      return statement.rest ? [statement.rest.along.id] : [];
    case 'mainFull':
      return [statement.along.id];
    case 'ends':
      return statement.sizes.map(({ along }) => along.id);
    case 'even':
    case 'bothFull':
      return [...statement.edges];
    case 'narrowest':
    case 'pieces':
    case 'strips':
      return [statement.size.along.id];
    default:
      return [];
  }
}
