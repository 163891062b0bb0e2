import { expect, test } from '@jest/globals';
import type { Job } from '../../job/job.ts';
import { drawingOf } from '../../planning/drawSurface.ts';
import { prepareSurface } from '../../planning/prepareSurface.ts';
import type { Drawing } from '../../planning/planned.ts';
import { roomToSearch } from '../../trials/roomToSearch.ts';
import { randomJob } from '../../trials/randomJob.ts';
import { checkJob } from '../../job/checkJob.ts';
import { dot, quarterTurn, subtract, unit, type Point } from '../../geometry/point.ts';
import { boxOf, isInside, ringArea, type Ring } from '../../geometry/ring.ts';
import { forEachWhole, tileRing } from '../place/layout.ts';
import { adviseSetout, type SetoutAdvice } from './adviseSetout.ts';
import type { Candidate } from './candidate.ts';
import { chooseSetout } from './chooseSetout.ts';
import { evenStatement } from './endStatements.ts';
import { tallyOf } from './figures.ts';
import { BEST_SETOUT } from './setoutChoice.ts';
import { startName } from './startName.ts';
import type { EndSize, Statement } from './statement.ts';
import { trials } from '../../../testing/trials.ts';

/** A surface set out with its reasons, without its cuts: what a reason speaks of. */
interface SetOut extends Drawing {
  readonly advice: SetoutAdvice;
}

function setOut(job: Job): SetOut {
  const [surface] = job.surfaces;
  const ready = prepareSurface(job, surface);
  const chosen = chooseSetout(ready.placer, surface.setout).best;
  const found = chooseSetout(ready.placer, BEST_SETOUT);
  const drawing = drawingOf(surface, ready, 100, chosen);
  return { ...drawing, advice: adviseSetout(ready.placer, chosen, ready.placer.weighLaid(chosen, drawing), found) };
}

/** One laid piece as the plan has it: what stays of it, and the tile it would be. */
interface Piece {
  readonly rings: readonly Ring[];
  readonly tile: Ring;
  readonly whole: boolean;
}

/** Every piece of the main field and what lies beyond its bands. */
function piecesOf({ fields }: SetOut): Piece[] {
  return fields.flatMap(({ kind, layout }) => {
    if (kind !== 'main' && kind !== 'beyondBand') return [];
    const pieces: Piece[] = layout.cutTiles.map((cut) => ({
      rings: cut.polygons.map(([outer]) => outer),
      tile: tileRing(layout, cut),
      whole: false,
    }));
    forEachWhole(layout, (address) => pieces.push({ rings: [tileRing(layout, address)], tile: tileRing(layout, address), whole: true }));
    return pieces;
  });
}

/**
 * The depths square to an edge of the pieces that it cuts, straight from their corners: how far what stays reaches in
 * from the edge's line. Only pieces with a side on that line are met by the edge.
 */
function depthsAlong(plan: SetOut, pieces: readonly Piece[], id: string): number[] {
  return plan.traced.edges
    .filter((edge) => edge.id === id)
    .flatMap(({ from, to, gapMm }) => {
      const along = unit(subtract(to, from));
      const inward = quarterTurn(along);
      const depth = (p: Point): number => dot(subtract(p, from), inward) - gapMm;
      const run = (p: Point): number => dot(subtract(p, from), along);
      const length = dot(subtract(to, from), along);
      return pieces.flatMap(({ rings, tile, whole }) => {
        if (whole || Math.min(...tile.map(depth)) > -0.05) return [];
        return rings.flatMap((ring) => {
          const onLine = ring.some((p, k) => {
            const q = ring[(k + 1) % ring.length];
            return (
              Math.abs(depth(p)) < 0.02 &&
              Math.abs(depth(q)) < 0.02 &&
              Math.abs(run(p) - run(q)) > 0.05 &&
              Math.max(run(p), run(q)) > 0 &&
              Math.min(run(p), run(q)) < length
            );
          });
          return onLine ? [Math.max(...ring.map(depth))] : [];
        });
      });
    });
}

/** Whether what a statement says of an edge's pieces is so; a slant or a taper reads along the tile's own sides. */
function sizesAreTrue(plan: SetOut, pieces: readonly Piece[], { along, cutMm }: EndSize): boolean {
  // Sides of fixtures and curves have no one line to be held against.
  if (along.kind !== 'edge' || plan.traced.edges.filter(({ id }) => id === along.id).length !== 1) return true;
  const depths = depthsAlong(plan, pieces, along.id);
  if (cutMm === null) return depths.every((mm) => mm < 1.6) || depths.length === 0;
  // What would lose less than half a millimetre is laid whole: a trial tells it as nearly full.
  const deep = pieces.map(({ tile }) => boxOf(tile)).flatMap(({ minX, minY, maxX, maxY }) => [maxX - minX, maxY - minY]);
  const nearlyFull = deep.some((mm) => Math.abs(mm - cutMm[1]) <= 0.6);
  const most = nearlyFull ? Math.max(...depths, cutMm[1]) : Math.max(...depths);
  // Measured along sides up to 41 degrees off square, a depth reads up to a third longer; points read by their wide end.
  return (
    cutMm[0] <= cutMm[1] + 1e-9 &&
    cutMm[1] <= most / Math.cos((42 * Math.PI) / 180) + 0.1 &&
    cutMm[0] <= most / Math.cos((42 * Math.PI) / 180) + 0.1
  );
}

/** What is wrong with a statement, told by another route than the one that made it; null where it is true. */
function untrue(plan: SetOut, pieces: readonly Piece[], statement: Statement, { figures }: Candidate): string | null {
  switch (statement.says) {
    case 'full':
      if (statement.along.kind === 'edge' && depthsAlong(plan, pieces, statement.along.id).some((mm) => mm >= 1.6))
        return 'cut pieces along a full edge';
      return statement.rest && !sizesAreTrue(plan, pieces, statement.rest) ? 'the rest is of another size' : null;
    case 'mainFull': {
      const most = Math.max(...pieces.map(({ tile }) => Math.abs(ringArea(tile))));
      const along = plan.traced.edges.filter(({ id }) => id === statement.along.id);
      const cutLarge = along.length === 1 ? pieces.filter(({ tile, whole }) => !whole && Math.abs(ringArea(tile)) > 0.31 * most) : [];
      return depthsAlong(plan, cutLarge, statement.along.id).length === 0 ? null : 'large tiles are cut';
    }
    case 'bothFull':
      return statement.edges.some((id) => depthsAlong(plan, pieces, id).some((mm) => mm >= 1.6)) ? 'cut pieces at a full end' : null;
    case 'even': {
      const sizes = statement.edges.flatMap((id) => depthsAlong(plan, pieces, id));
      return sizes.length > 0 && sizes.every((mm) => mm >= statement.cutMm[0] * 0.74 - 0.6) ? null : 'the ends are not even';
    }
    case 'ends':
      return statement.sizes.every((size) => sizesAreTrue(plan, pieces, size)) ? null : 'an end is of another size';
    case 'narrowest':
    case 'pieces':
    case 'strips':
      return sizesAreTrue(plan, pieces, statement.size) ? null : 'pieces of another size';
    case 'square': {
      const { turnDeg } = plan.choice;
      const edge = plan.traced.edges.find(({ id }) => id === statement.along.id);
      if (!edge) return 'no such edge';
      const [dx, dy] = subtract(edge.to, edge.from);
      const off = (Math.atan2(dy, dx) * 180) / Math.PI - turnDeg;
      return Math.abs(off - 90 * Math.round(off / 90)) < 0.2 || Math.abs(off - 90 * Math.round(off / 90)) > 11 ? null : 'not square to it';
    }
    case 'runOff': {
      const edge = plan.traced.edges.filter(({ id }) => id === statement.along.id);
      const length = edge.reduce((sum, { from, to }) => sum + Math.hypot(...subtract(to, from)), 0);
      return statement.mm > 0 && statement.mm < length * Math.sin((12.5 * Math.PI) / 180) ? null : 'runs off by more than it can';
    }
    case 'falls': {
      const traced = plan.traced.fixtures.find(({ fixture }) => fixture.id === statement.fixtureId);
      if (!traced?.clearCircle) return 'nothing round of that name';
      const { centre, radiusMm } = traced.clearCircle;
      const touchedBy = (reachMm: number): number =>
        pieces.filter(({ tile }) => {
          const { minX, minY, maxX, maxY } = boxOf(tile);
          const isFar = (mm: number, low: number, high: number): boolean => mm < low - radiusMm || mm > high + radiusMm;
          if (isFar(centre[0], minX, maxX) || isFar(centre[1], minY, maxY)) return false;
          const rim = Array.from({ length: 360 }, (_, k): Point => {
            const turn = (k * Math.PI) / 180;
            return [centre[0] + reachMm * Math.cos(turn), centre[1] + reachMm * Math.sin(turn)];
          });
          return isInside(centre, [[tile]]) || rim.some((p) => isInside(p, [[tile]]));
        }).length;
      const said = { piece: [0, 1], joint: [1, 2, 3], crossing: [2, 3, 4, 5, 6, 7, 8, 9], clear: [0] }[statement.falls];
      // A tile that is only grazed does not count: the other one bears the hole.
      const counts = [0.06, 2].map((mm) => touchedBy(radiusMm - mm));
      return counts.some((count) => count > 9 || said.includes(count)) ? null : `falls on ${counts.join(' or ')} tiles`;
    }
    case 'work':
      return statement.cutPieces ===
        plan.fields.reduce((sum, { layout }) => sum + layout.cutTiles.reduce((pieces, { polygons }) => pieces + polygons.length, 0), 0)
        ? null
        : 'another number of cuts';
    case 'moreWork':
      return null;
    case 'motifs':
      return statement.motifs >= 0 ? null : 'no such number';
    case 'middle':
      return statement.offMm >= 0 ? null : 'no such distance';
    case 'legs':
      return statement.some === figures.legs > 0 ? null : 'legs';
  }
}

test('no reason is untrue, in any room', () => {
  const wrong: string[] = [];
  let [rooms, told, rivals] = [0, 0, 0];
  for (let seed = 1; rooms < trials(300) && seed < trials(700); seed++) {
    // Plain rooms, and every seventh of any shape, pattern and turn.
    const job = seed % 7 === 0 ? randomJob(seed) : roomToSearch(seed, 8);
    // Within a border the edges of the field are those of the border.
    if (checkJob(job).length > 0 || job.surfaces[0].border) continue;
    rooms++;
    const plan = setOut(job);
    const pieces = piecesOf(plan);
    const { gain, cost, rival, than } = plan.advice.reasons;
    const check = (of: SetOut, laid: readonly Piece[], statement: Statement, candidate: Candidate): void => {
      told++;
      const fault = untrue(of, laid, statement, candidate);
      if (fault) wrong.push(`${seed} ${job.surfaces[0].pattern.kind}: ${fault}: ${JSON.stringify(statement)}`);
    };
    for (const statement of [gain, ...(cost ? [cost] : [])]) check(plan, pieces, statement, plan.advice.chosen);
    if (!rival || !than) continue;
    rivals++;
    const other = { ...drawingOf(job.surfaces[0], prepareSurface(job, job.surfaces[0]), 100, than), advice: plan.advice };
    check(other, piecesOf(other), rival, than);
    // What the other one is told to leave, the chosen one does not leave, or less of it.
    if (rival.says !== 'strips' && rival.says !== 'pieces') continue;
    const [own, its] = [plan.advice.chosen, than].map(({ figures }) => tallyOf(figures, rival.size.along.id));
    const isLess =
      !own ||
      !its ||
      (rival.says === 'strips'
        ? own.sliverMm + own.thinMm < its.sliverMm + its.thinMm
        : own.mainCutMm < 0.95 * its.mainCutMm || own.thinnestMm > its.thinnestMm + 1);
    if (!isLess) wrong.push(`${seed}: the other one leaves ${JSON.stringify(rival.size)}, and so does this one`);
  }
  expect(rooms).toBe(trials(300));
  expect(told).toBeGreaterThan(trials(400));
  expect(rivals).toBeGreaterThan(trials(100));
  expect(wrong).toEqual([]);
});

test('what speaks against a start that is behind is what the best one has not; a start is called what it does', () => {
  const wrong: string[] = [];
  let [behind, named] = [0, 0];
  for (let seed = 1; seed <= trials(80); seed++) {
    const room = roomToSearch(seed, 8);
    const setout = { x: { rule: seed % 2 === 0 ? 'fullFromStart' : 'jointCentred' }, y: { rule: 'fullFromEnd' } } as const;
    const job = { ...room, surfaces: [{ ...room.surfaces[0], setout }] };
    const plan = setOut(job);
    const pieces = piecesOf(plan);
    const { chosen, reasons } = plan.advice;
    const check = (of: SetOut, laid: readonly Piece[], statement: Statement, candidate: Candidate): void => {
      const fault = untrue(of, laid, statement, candidate);
      if (fault) wrong.push(`${seed}: ${fault}: ${JSON.stringify(statement)}`);
    };

    const name = startName(chosen);
    if (name.says === 'school' && name.school === 'noCuts' && pieces.some(({ whole }) => !whole)) wrong.push(`${seed}: cuts in "no cuts"`);
    if (name.says === 'fullAround')
      for (const { id } of plan.traced.edges)
        check(plan, pieces, { says: 'full', along: { id, kind: 'edge', role: 'wall', seen: 1 }, rest: null }, chosen);
    if (name.says === 'ends') {
      named++;
      for (const along of name.full) check(plan, pieces, { says: 'full', along, rest: null }, chosen);
      const own = evenStatement(chosen);
      if (name.even.length > 0 && own) check(plan, pieces, own, chosen);
    }

    const { rivalIsBest, cost, instead, than } = reasons;
    if (!rivalIsBest || !than) continue;
    behind++;
    if (cost) check(plan, pieces, cost, chosen);
    if (cost?.says === 'work') wrong.push(`${seed}: a number of cuts by itself says nothing against it`);
    if (!instead) continue;
    const best = { ...drawingOf(job.surfaces[0], prepareSurface(job, job.surfaces[0]), 100, than), advice: plan.advice };
    check(best, piecesOf(best), instead, than);
  }
  expect(behind).toBeGreaterThan(trials(40));
  expect(named).toBeGreaterThan(trials(30));
  expect(wrong).toEqual([]);
});
