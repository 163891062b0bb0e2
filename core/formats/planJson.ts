import { tapeOf, type Job, type Surface } from '../job/job.ts';
import { labelOf } from '../cuts/labelPieces.ts';
import { describeFinding } from '../messages/en/advice.ts';
import { describeReason } from '../messages/en/reasons.ts';
import { setoutsOf, type Plan, type SurfacePlan } from '../plan.ts';
import type { EdgeSummary } from '../setout/edgeCuts.ts';
import { productAt } from '../setout/field.ts';
import { forEachWhole, tileRing, type Address } from '../setout/layout.ts';
import type { Point } from '../geometry/point.ts';

/** The version of the plan as JSON; keys may be added within it. */
const PLAN_VERSION = 1;

/** The ranked setouts of each surface, for those who want to compare: the best first. */
export const setoutsJson = (job: Job): object[] =>
  job.surfaces.map((surface) => ({
    id: surface.id,
    candidates: setoutsOf(job, surface).map(({ x, y, score, edges, layout }) => ({
      x,
      y,
      school: schoolOf({ x, y }),
      score,
      origin: layout.placement.origin,
      turnDeg: layout.placement.turnDeg,
      whole: layout.wholeCount,
      cut: layout.cutTiles.length,
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
    surfaces: plan.surfaces.map((surfacePlan, k) => surfaceJson(job, job.surfaces[k], surfacePlan)),
    materials: plan.materials.map(({ packs, ...material }) => ({ ...material, packs: [packs], currency: job.currency })),
    money: plan.money,
    programme: [],
    advice: plan.findings.map((finding) => ({
      code: finding.code,
      severity: finding.severity,
      path: finding.path,
      message: describeFinding(finding, tapeOf(job, job.surfaces[Number(finding.path[1])])),
    })),
  };
}

function surfaceJson(job: Job, surface: Surface, planned: SurfacePlan): object {
  const { traced, layout, fields, areas, advice, choice, edges, totals } = planned;
  const tape = tapeOf(job, surface);
  return {
    id: surface.id,
    name: surface.name,
    kind: surface.kind,
    region: { polygons: traced.region },
    ...areas,
    droppedAreaMm2: fields.reduce((sum, field) => sum + field.layout.droppedAreaMm2, 0),
    setout: {
      school: schoolOf(choice),
      x: choice.x,
      y: choice.y,
      origin: layout.placement.origin,
      turnDeg: surface.turnDeg,
      jointMm: surface.jointMm,
      jointMayVary: false,
      largestJointMm: surface.jointMm,
      reasons: advice.reasons.map((reason) => describeReason(reason, tape)),
      lines: planned.lines,
      slantingLines: planned.slants,
    },
    pieces: pieceList(planned),
    sheets: planned.sheets,
    edges: edges.map(edgeJson(traced.names)),
    totals,
  };
}

function schoolOf({ x, y }: Pick<SurfacePlan['choice'], 'x' | 'y'>): string {
  const rules = [x.rule, y.rule];
  if (rules.includes('free')) return 'free';
  const centred = rules.filter((rule) => rule === 'pieceCentred' || rule === 'jointCentred').length;
  if (centred === 2) return 'centre-out';
  return centred === 0 ? 'full-piece-off-the-line' : 'centre-out and full-piece-off-the-line';
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
      tileRings: [tileRing(field.layout, piece.address)],
      cut: { kind, marks, tool, edgeShows, sizeMm, minutes, from: offCuts.sources.get(label) ?? null },
    });
  }
  return pieces;
}
