import { cross, subtract, unit } from '../../geometry/point.ts';
import { boxOf, ringArea } from '../../geometry/ring.ts';
import type { Drawing } from '../../plan/planned.ts';
import type { Candidate } from '../../setout/tally/candidate.ts';
import type { Along, EndSize, Statement } from '../../setout/tell/statement.ts';
import { depthsAlong, depthsFrom, tilesRound, widthsAlong, type EndingLine, type LaidPiece } from './laidPieces.ts';

/** Pieces are told to be cut from here on; less is lost in the joint, mm. */
const LOST_MM = 1.6;

/** A tape read twice, mm. */
const READ_TO_MM = 0.6;

/** Measured along sides up to 42 degrees off square, a depth reads up to a third longer. */
const ASLANT = Math.cos((42 * Math.PI) / 180);

/** Whether an edge has one line that its pieces can be held against: sides of fixtures and curves have not. */
const hasOneLine = ({ traced }: Drawing, { id, kind }: Along): boolean =>
  kind === 'edge' && traced.edges.filter((edge) => edge.id === id).length === 1;

/** Whether what a statement says of an edge's pieces is so. */
function sizesAreTrue(plan: Drawing, pieces: readonly LaidPiece[], { along, cutMm }: EndSize): boolean {
  if (!hasOneLine(plan, along)) return true;
  const depths = depthsAlong(plan, pieces, along.id);
  if (cutMm === null) return depths.every((mm) => mm < LOST_MM);
  // What would lose less than half a millimetre is laid whole: a trial tells it as nearly full.
  const deep = pieces.map(({ tile }) => boxOf(tile)).flatMap(({ minX, minY, maxX, maxY }) => [maxX - minX, maxY - minY]);
  const nearlyFull = deep.some((mm) => Math.abs(mm - cutMm[1]) <= READ_TO_MM);
  const most = (nearlyFull ? Math.max(...depths, cutMm[1]) : Math.max(...depths)) / ASLANT + 0.1;
  return cutMm[0] <= cutMm[1] + 1e-9 && cutMm[1] <= most && cutMm[0] <= most;
}

/** What a depth square to a line may lack of what a tape reads along the sides of a tile: nothing where they lie square to it. */
function slackOf({ from, to }: EndingLine, pieces: readonly LaidPiece[]): number {
  const way = unit(subtract(to, from));
  const [first] = pieces;
  if (!first) return 1;
  const isSquare = first.tile.some((a, k) => Math.abs(cross(way, unit(subtract(first.tile[(k + 1) % first.tile.length], a)))) < 0.005);
  // Tiles of another outline are measured square to the line.
  return isSquare || first.tile.length !== 4 ? 1 : ASLANT;
}

/** Whether a piece of a width stands along an edge, and none anywhere reaches less far in. */
function isNarrowest(plan: Drawing, pieces: readonly LaidPiece[], { along, cutMm }: EndSize): string | null {
  const toldMm = cutMm?.[0] ?? 0;
  for (const edge of plan.traced.edges) {
    const least = Math.min(...depthsFrom(edge, pieces).filter((mm) => mm >= LOST_MM));
    if (least < toldMm * slackOf(edge, pieces) - READ_TO_MM) return `a piece of ${least.toFixed(1)} along ${edge.id}`;
  }
  for (const { id, cuts } of plan.beside) {
    const lines = [...new Set(cuts.map(({ edge }) => edge))];
    const least = Math.min(...lines.flatMap((one) => depthsFrom(one, pieces)).filter((mm) => mm >= LOST_MM));
    if (lines.some((one) => least < toldMm * slackOf(one, pieces) - READ_TO_MM)) return `a piece of ${least.toFixed(1)} beside ${id}`;
  }
  const [line] = plan.traced.edges.filter(({ id }) => id === along.id);
  if (!line || !hasOneLine(plan, along)) return null;
  return [...widthsAlong(line, pieces), ...depthsFrom(line, pieces)].some((mm) => Math.abs(mm - toldMm) <= 1)
    ? null
    : 'no piece so narrow there';
}

/** What is wrong with a statement, told by another route than the one that made it: from the pieces as they lie; null where it is true. */
export function statementFault(plan: Drawing, pieces: readonly LaidPiece[], statement: Statement, { figures }: Candidate): string | null {
  const isCut = (id: string): boolean => depthsAlong(plan, pieces, id).some((mm) => mm >= LOST_MM);
  switch (statement.says) {
    case 'full':
      if (statement.along.kind === 'edge' && isCut(statement.along.id)) return 'cut pieces along a full edge';
      return statement.rest && !sizesAreTrue(plan, pieces, statement.rest) ? 'the rest is of another size' : null;
    case 'mainFull': {
      const most = Math.max(...pieces.map(({ tile }) => Math.abs(ringArea(tile))));
      const cutLarge = pieces.filter(({ tile, whole }) => !whole && Math.abs(ringArea(tile)) > 0.31 * most);
      const isOne = plan.traced.edges.filter(({ id }) => id === statement.along.id).length === 1;
      return isOne && depthsAlong(plan, cutLarge, statement.along.id).length > 0 ? 'large tiles are cut' : null;
    }
    case 'bothFull':
      return statement.edges.some(isCut) ? 'cut pieces at a full end' : null;
    case 'even': {
      const sizes = statement.edges.flatMap((id) => depthsAlong(plan, pieces, id));
      return sizes.length > 0 && sizes.every((mm) => mm >= statement.cutMm[0] * 0.74 - READ_TO_MM) ? null : 'the ends are not even';
    }
    case 'ends':
      return statement.sizes.every((size) => sizesAreTrue(plan, pieces, size)) ? null : 'an end is of another size';
    case 'narrowest':
      return isNarrowest(plan, pieces, statement.size);
    case 'pieces':
    case 'strips':
      return sizesAreTrue(plan, pieces, statement.size) ? null : 'pieces of another size';
    case 'square': {
      const off = offCourses(plan, statement.along.id);
      return off !== null && (off < 0.2 || off > 11) ? null : 'not square to it';
    }
    case 'runOff': {
      const off = offCourses(plan, statement.along.id);
      const own = plan.traced.edges.filter(({ id }) => id === statement.along.id);
      const lengthMm = own.reduce((sum, { from, to }) => sum + Math.hypot(...subtract(to, from)), 0);
      const mostMm = lengthMm * Math.sin((12.5 * Math.PI) / 180);
      if (!(statement.mm > 0 && statement.mm < mostMm)) return 'runs off by more than it can';
      // A bent wall has no one turn; a straight one runs off by its length and its turn.
      const tellsMm = own.length === 1 && off !== null ? lengthMm * Math.sin((off * Math.PI) / 180) : statement.mm;
      return Math.abs(tellsMm - statement.mm) <= Math.max(2, 0.03 * statement.mm) ? null : `runs off by ${tellsMm.toFixed(1)}`;
    }
    case 'falls': {
      const circle = plan.traced.fixtures.find(({ fixture }) => fixture.id === statement.fixtureId)?.clearCircle;
      if (!circle) return 'nothing round of that name';
      const said = { piece: [0, 1], joint: [1, 2, 3], crossing: [2, 3, 4, 5, 6, 7, 8, 9], clear: [0] }[statement.falls];
      // A tile that is only grazed does not count: the other one bears the hole.
      const counts = [0.06, 2].map((mm) => tilesRound(pieces, circle.centre, circle.radiusMm - mm));
      return counts.some((count) => count > 9 || said.includes(count)) ? null : `falls on ${counts.join(' or ')} tiles`;
    }
    case 'work': {
      const cuts = plan.fields.reduce(
        (sum, { layout }) => sum + layout.cutTiles.reduce((own, { polygons }) => own + polygons.length, 0),
        0,
      );
      return statement.cutPieces === cuts ? null : 'another number of cuts';
    }
    case 'motifs':
      return statement.motifs === figures.motifs ? null : 'another number of motifs';
    case 'legs':
      return statement.some === figures.legs > 0 ? null : 'legs';
    case 'middle':
      return statement.offMm >= 0 ? null : 'no such distance';
    case 'moreWork':
      return null;
  }
}

/** How far an edge is turned against the courses, degrees up to 45; null where there is no such edge. */
function offCourses({ traced, choice }: Drawing, id: string): number | null {
  const edge = traced.edges.find((one) => one.id === id);
  if (!edge) return null;
  const [dx, dy] = subtract(edge.to, edge.from);
  const off = (Math.atan2(dy, dx) * 180) / Math.PI - choice.turnDeg;
  return Math.abs(off - 90 * Math.round(off / 90));
}
