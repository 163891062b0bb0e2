import { sharedArea } from '@azulejo/core/geometry/clip';
import { boxOf } from '@azulejo/core/geometry/ring';
import { PATTERNS, repeatOf, type Pattern, type PatternId } from '@azulejo/core/pattern/registry';
import { cellArea } from '@azulejo/core/pattern/repeat';
import { trialModule } from '@azulejo/core/pattern/trialModule';
import { planSurface } from '@azulejo/core/plan';
import { placeRepeat } from '@azulejo/core/setout/place/placeRepeat';
import { tileRing } from '@azulejo/core/setout/place/layout';
import { traceSurface } from '@azulejo/core/surface/traceSurface';
import { trialJob } from '@azulejo/core/samples/trialJob';
import { median, timeOf } from './timing.ts';

/** One kind of pattern on a skew surface with a hole and a rounded end. */
export interface KindRow {
  readonly kind: PatternId;
  readonly pieces: number;
  readonly placeMs: number;
  /** How many times faster placing is than clipping every piece with the same library. */
  readonly ratio: number;
  /** The whole plan: rivals compared, cuts described, off-cuts shared out. */
  readonly planMs: number;
}

const JOINT_MM = 3;
const PIECES = 4000;

/** Every kind, one after the other in one run. */
export const benchKinds = (): KindRow[] => Object.values(PATTERNS).map(({ id, defaults }) => benchKind(id, defaults as Pattern));

function benchKind(kind: PatternId, pattern: Pattern): KindRow {
  const module = trialModule(pattern, JOINT_MM);
  const repeat = repeatOf(pattern, module);
  const side = Math.sqrt((PIECES * cellArea(repeat)) / repeat.pieces.length);
  const job = trialJob(pattern, side / 1000);
  const [surface] = job.surfaces;
  const { region } = traceSurface(surface.measured);
  const placement = { origin: [31, 47], turnDeg: 0 } as const;
  const place = () => placeRepeat(region, repeat, placement);
  place();
  const placeMs = median(5, place);
  const layout = place();
  const { minX, minY, maxX, maxY } = boxOf(region.flat(2));
  const reach = Math.ceil(Math.hypot(maxX - minX, maxY - minY) / Math.min(...repeat.vectors.map((v) => Math.hypot(...v)))) + 2;
  const near = (piece: number, i: number, j: number): boolean => {
    const box = boxOf(tileRing(layout, { piece, i, j }));
    return box.maxX > minX && box.minX < maxX && box.maxY > minY && box.minY < maxY;
  };
  const clipAllMs = timeOf(() => {
    repeat.pieces.forEach((_, piece) => {
      for (let i = -reach; i <= reach; i++) {
        for (let j = -reach; j <= reach; j++) {
          if (near(piece, i, j)) sharedArea([[tileRing(layout, { piece, i, j })]], region);
        }
      }
    });
  });
  let round = 0;
  // A job that was never planned, each time.
  const planMs = median(3, () => {
    const fresh = trialJob(pattern, side / 1000 + ++round / 200);
    return planSurface(fresh, fresh.surfaces[0]);
  });
  return { kind, pieces: layout.wholeCount + layout.cutTiles.length, placeMs, ratio: clipAllMs / placeMs, planMs };
}
