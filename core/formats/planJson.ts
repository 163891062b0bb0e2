import { tapeOf, type Job, type Surface } from '../job/job.ts';
import { labelOf } from '../cuts/labelPieces.ts';
import { describeFinding, explainFinding } from '../messages/en/advice.ts';
import { describeIssue } from '../messages/en/issues.ts';
import { materialName } from '../messages/en/materials.ts';
import { toolName } from '../messages/en/names.ts';
import { describeSetout } from '../messages/en/reasons.ts';
import { thingNamesOf } from '../messages/thingNames.ts';
import { candidatesOf } from '../compare/compareSetouts.ts';
import { schoolOf } from '../setout/search/schools.ts';
import type { Plan } from '../plan.ts';
import { isoDay, dayAt } from '../programme/calendar.ts';
import type { Programme } from '../programme/programme.ts';
import type { SurfacePlan } from '../plan/planned.ts';
import type { EdgeSummary } from '../setout/edges/edgeCuts.ts';
import { productAt } from '../setout/fields/field.ts';
import { measureJoints } from '../setout/fields/joints.ts';
import { forEachWhole, fromTileFrame, tileRing, type Address, type Layout } from '../setout/place/layout.ts';
import type { Point } from '../geometry/point.ts';
import { mapRing, polygonsArea } from '../geometry/ring.ts';

/** The version of the plan as JSON; keys may be added within it. */
const PLAN_VERSION = 1;

/** The ranked setouts of each surface, for those who want to compare: the best first. */
export const setoutsJson = (job: Job): object[] =>
  job.surfaces.map((surface) => ({
    id: surface.id,
    candidates: candidatesOf(job, surface).map(({ candidate, laid: { fields, edges }, change }) => ({
      x: candidate.x,
      y: candidate.y,
      school: schoolOf(candidate),
      score: candidate.score,
      costs: candidate.costs,
      origin: candidate.origin,
      turnDeg: surface.turnDeg + candidate.turnDeg,
      change,
      whole: fields.reduce((sum, { layout }) => sum + layout.wholeCount, 0),
      cut: fields.reduce((sum, { layout }) => sum + layout.cutTiles.length, 0),
      edges: edges.map(edgeJson({})),
    })),
  }));

const edgeJson =
  (names: Readonly<Record<string, string>>) =>
  ({ id, role, lengthMm, smallestCutMm, largestCutMm }: EdgeSummary): object => ({
    id,
    name: names[id] ?? id,
    role,
    lengthMm,
    smallestCutMm,
    largestCutMm,
  });

/** A plan as one JSON value: millimetres, degrees, y up as in geometry/conventions.ts. */
export function planJson(job: Job, plan: Plan): object {
  return {
    format: 'azulejo-plan',
    version: PLAN_VERSION,
    surfaces: plan.surfaces.flatMap((planned) => {
      const surface = job.surfaces.find(({ id }) => id === planned.surfaceId);
      return surface ? [surfaceJson(job, surface, planned)] : [];
    }),
    unplanned: plan.unplanned.map(({ surfaceId, issues }) => ({
      id: surfaceId,
      issues: issues.map((found) => ({ path: found.path, code: found.code, message: describeIssue(found) })),
    })),
    materials: plan.materials.map((material) => ({ ...material, name: materialName(job, material), currency: job.currency })),
    money: plan.money,
    programme: programmeJson(plan.programme),
    advice: plan.findings.map((finding) => {
      const tape = finding.path[0] === 'surfaces' ? tapeOf(job, job.surfaces[Number(finding.path[1])]) : job.tape;
      const { code, severity, path } = finding;
      return { code, severity, path, message: describeFinding(finding, tape), why: explainFinding(finding, tape) };
    }),
  };
}

/** Works on their days; dated where the job has a first day, else by the number of the day. */
const programmeJson = ({ tasks, calendar }: Programme): object[] =>
  tasks.map(({ id, task, placeName, hours, start, end, after, critical }) => ({
    id,
    task,
    place: placeName,
    hours,
    startDay: isoDay(calendar, dayAt(start)),
    startHour: start % 24,
    endDay: isoDay(calendar, dayAt(end)),
    endHour: end % 24,
    after,
    critical,
  }));

function surfaceJson(job: Job, surface: Surface, planned: SurfacePlan): object {
  const { traced, layout, fields, extent, advice, choice, edges, totals } = planned;
  const tape = tapeOf(job, surface);
  const joints = measureJoints(traced.region, fields, surface.jointMm);
  return {
    id: surface.id,
    name: surface.name,
    kind: surface.kind,
    region: { polygons: traced.region },
    ...extent,
    droppedAreaMm2: polygonsArea(fields.flatMap((field) => field.layout.dropped)),
    setout: {
      school: schoolOf(advice.chosen),
      x: choice.x,
      y: choice.y,
      origin: layout.placement.origin,
      turnDeg: surface.turnDeg + choice.turnDeg,
      score: advice.chosen.score,
      costs: advice.chosen.costs,
      jointMm: surface.jointMm,
      jointMayVary: joints.mayVary,
      largestJointMm: joints.largestMm,
      reasons: describeSetout(advice.reasons, thingNamesOf(traced), tape),
      pins: planned.pins.map((pin, k) => ({ ...pin, missedMm: advice.missedPins[k] ?? 0 })),
      lines: planned.struck.lines,
      square: planned.struck.square,
    },
    pieces: pieceList(planned),
    strips: stripList(planned),
    sheets: planned.sheets,
    edges: edges.map(edgeJson(traced.names)),
    totals,
  };
}

/** Strips of skirting and nosing that are cut from tiles; `tileIndex` is that of the opened tile they come from. */
const stripList = ({ toCut, offCuts }: SurfacePlan): object[] =>
  toCut.flatMap(({ label, productId, strip, kind, marks, tool, edgeShows, polygon, minutes }) =>
    strip
      ? [
          {
            label,
            product: productId,
            kind: strip.purpose,
            widthMm: strip.widthMm,
            lengthMm: strip.lengthMm,
            tileIndex: offCuts.sources.get(label)?.tile ?? null,
            edge: strip.edgeId,
            alongMm: strip.alongMm,
            ends: strip.ends,
            factoryEdge: strip.isFactory,
            rings: polygon,
            cut: { kind, marks, tool: toolName(tool), edgeShows, minutes, from: offCuts.sources.get(label) ?? null },
          },
        ]
      : [],
  );

/** Where the frame of a piece's marks lies on the surface: the corner of the tile's box, and the way its width runs. */
function frameOf(layout: Layout, address: Address): object {
  const place = fromTileFrame(layout, address);
  const [corner, along] = [place([0, 0]), place([1, 0])];
  return { corner, turnDeg: (Math.atan2(along[1] - corner[1], along[0] - corner[0]) * 180) / Math.PI };
}

/** Every piece of a surface, whole ones first, as the plan lists them. */
export function pieceList(planned: SurfacePlan): object[] {
  const { fields, labels, cuts, offCuts } = planned;
  const indexOf = new Map<string, number>();
  const tileIndex = (field: number, { piece, i, j }: Address): number => {
    const key = `${field}/${piece}/${i}/${j}`;
    if (!indexOf.has(key)) indexOf.set(key, indexOf.size);
    return indexOf.get(key) ?? 0;
  };
  const pieces: object[] = [];
  fields.forEach((field, index) => {
    forEachWhole(field.layout, (address) => {
      if (field.layout.repeat.pieces[address.piece].cutFrom) return;
      const ring = tileRing(field.layout, address);
      pieces.push({
        label: labelOf(labels[index], field.layout, address),
        field: field.id,
        product: productAt(field, address),
        whole: true,
        tileIndex: tileIndex(index, address),
        rings: [ring],
        tileRings: [ring],
        cut: null,
      });
    });
  });
  for (const piece of cuts) {
    const { kind, marks, tool, edgeShows, label, sizeMm, minutes } = piece;
    const rings: readonly (readonly Point[])[] = piece.polygon;
    const field = fields[piece.field];
    pieces.push({
      label,
      field: field.id,
      product: piece.productId,
      whole: false,
      tileIndex: tileIndex(piece.field, piece.address),
      rings,
      tileRings: [mapRing(piece.tile, fromTileFrame(field.layout, piece.address))],
      cut: {
        kind,
        marks,
        tool: toolName(tool),
        edgeShows,
        sizeMm,
        minutes,
        frame: frameOf(field.layout, piece.address),
        from: offCuts.sources.get(label) ?? null,
      },
    });
  }
  return pieces;
}
