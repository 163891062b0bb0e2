import { issue, type Issue } from '../../result.ts';
import { cornerFigures, judgeReadings } from './judgeReadings.ts';
import { distanceReadings, openByMm, walkWalls, type DistanceReading, type MeasuredWalls } from './observations.ts';
import { CLOSES_MM, cornersOf } from './reconcileWalls.ts';
import { ringArea } from '../../geometry/ring.ts';
import { cornerLetter, readingTitle, wallTitle } from './wallTitle.ts';

/** More than this share of a reading is no slip of a tape: a figure was left out or moved. */
const FAR_OFF_SHARE = 0.15;

/** An opening over this share of the way round is no misreading: a wall or a turn is wrong. */
const TOO_OPEN_SHARE = 0.05;

/** Two readings that are this much too short to meet, mm, are put down to the tape. */
const TAPE_SLACK_MM = 6;

/** What can't be true of walls that are each readable; paths are relative to the shape. */
export function checkWalls(shape: MeasuredWalls): Issue[] {
  const named = [...repeatedWalls(shape), ...checksAtNoCorner(shape)];
  if (named.length > 0) return named;
  const impossible = [...tooLongWall(shape), ...impossibleTriangles(shape)];
  if (impossible.length > 0) return impossible;
  return [...wrongWayRound(shape), ...openWalls(shape), ...farOff(shape), ...bentTurn(shape)].slice(0, 1);
}

function repeatedWalls({ walls }: MeasuredWalls): Issue[] {
  return walls.flatMap(({ id }, k) =>
    walls.findIndex((other) => other.id === id) < k ? [issue('job/repeated-id', ['walls', k, 'id'], { id })] : [],
  );
}

function checksAtNoCorner({ walls, checks }: MeasuredWalls): Issue[] {
  const ids = new Set(walls.map(({ id }) => id));
  return checks.flatMap(({ from, to }, k) => {
    const missing = [from, to].find((id) => !ids.has(id));
    if (missing !== undefined) return [issue('check/no-such-wall', ['checks', k, 'from'], { wall: missing, walls: [...ids].join(', ') })];
    return from === to ? [issue('check/same-corner', ['checks', k, 'to'])] : [];
  });
}

/** No wall of a closed outline is longer than all the others together. */
function tooLongWall(shape: MeasuredWalls): Issue[] {
  const round = shape.walls.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  const k = shape.walls.findIndex(({ lengthMm }) => lengthMm > round - lengthMm + TAPE_SLACK_MM);
  if (k === -1) return [];
  const { id, lengthMm } = shape.walls[k];
  return [issue('shape/wall-too-long', ['walls', k, 'lengthMm'], { wall: wallTitle(shape, id), lengthMm, othersMm: round - lengthMm })];
}

/** Three corners of which all three distances were read have to make a triangle. */
function impossibleTriangles(shape: MeasuredWalls): Issue[] {
  const readings = distanceReadings(shape);
  const between = (a: number, b: number): DistanceReading | undefined =>
    readings.find(({ from, to }) => (from === a && to === b) || (from === b && to === a));
  const titleOf = (reading: DistanceReading): string => readingTitle(shape, reading);
  for (const check of readings.filter(({ kind }) => kind === 'check')) {
    for (let third = 0; third < shape.walls.length; third++) {
      const [a, b] = [between(check.from, third), between(third, check.to)];
      if (!a || !b || third === check.from || third === check.to) continue;
      const [longest, ...others] = [check, a, b].sort((p, q) => q.mm - p.mm);
      if (longest.mm <= others[0].mm + others[1].mm + TAPE_SLACK_MM) continue;
      const k = shape.checks.findIndex(({ id }) => id === check.id);
      const [first, second] = others.map(titleOf);
      return [
        issue('shape/no-triangle', ['checks', k, 'mm'], {
          longest: titleOf(longest),
          longestMm: longest.mm,
          first,
          second,
          togetherMm: others[0].mm + others[1].mm,
        }),
      ];
    }
  }
  return [];
}

function wrongWayRound(shape: MeasuredWalls): Issue[] {
  const turned = shape.walls.reduce((sum, { turnDeg }) => sum + turnDeg, 0);
  return turned < 0 && ringArea(walkWalls(shape).corners) < 0 ? [issue('shape/wrong-way-round', ['walls', 0, 'turnDeg'])] : [];
}

function openWalls(shape: MeasuredWalls): Issue[] {
  if (shape.checks.length > 0) return [];
  const openMm = openByMm(shape);
  const round = shape.walls.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  const last = shape.walls.length - 1;
  if (shape.spread)
    return openMm > TOO_OPEN_SHARE * round ? [issue('shape/too-open', ['walls', last, 'lengthMm'], { openMm, roundMm: round })] : [];
  return openMm > CLOSES_MM ? [issue('shape/open', ['walls', last, 'lengthMm'], { openMm })] : [];
}

/** A corner that lengths bend by more than this from what was sketched is no sketch of the same room, degrees. */
const MOST_BENT_DEG = 15;

/** Lengths that can only be met by bending a corner out of all likeness: a wall is wrong, or a corner is missing. */
function bentTurn(shape: MeasuredWalls): Issue[] {
  if (shape.checks.length === 0 && !shape.spread) return [];
  const corners = cornersOf(shape);
  const turns = cornerFigures(corners).map(({ angleDeg }) => 180 - angleDeg);
  const count = turns.length;
  const bent = shape.walls.map(({ turnDeg }, k) => Math.abs(((turns[(k + 1) % count] - turnDeg + 540) % 360) - 180));
  const worst = bent.indexOf(Math.max(...bent));
  if (bent[worst] <= MOST_BENT_DEG) return [];
  const figures = {
    corner: cornerLetter((worst + 1) % count),
    sketchedDeg: Math.round(shape.walls[worst].turnDeg),
    neededDeg: Math.round(turns[(worst + 1) % count]),
  };
  return [issue('shape/turn-far-off', ['walls', worst, 'turnDeg'], figures)];
}

/** A reading that is a tenth or a hundred times what it should be. */
function farOff(shape: MeasuredWalls): Issue[] {
  const { suspects } = judgeReadings(shape);
  const [worst] = suspects;
  if (!worst || Math.abs(worst.slipMm) < FAR_OFF_SHARE * Math.max(worst.mm, worst.reconciledMm)) return [];
  const k = worst.kind === 'wall' ? worst.from : shape.checks.findIndex(({ id }) => id === worst.id);
  const path = worst.kind === 'wall' ? ['walls', k, 'lengthMm'] : ['checks', k, 'mm'];
  return [
    issue('shape/reading-far-off', path, { reading: readingTitle(shape, worst), readMm: worst.mm, expectedMm: worst.mm - worst.slipMm }),
  ];
}
