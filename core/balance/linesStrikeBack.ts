import { cross, distance, dot, quarterTurn, subtract, unit, type Point } from '../geometry/point.ts';
import { tapeOf } from '../job/job.ts';
import { edgeInWords } from '../messages/en/names.ts';
import { describeLines } from '../messages/en/lines.ts';
import { thingNamesOf } from '../messages/thingNames.ts';
import type { SurfacePlan } from '../plan/planned.ts';
import type { Edge } from '../surface/edge.ts';
import type { Law } from './law.ts';

/** A figure is read off a tape to its half step; a line struck by two of them, held in from its ends, strays by so much more, mm. */
const STRAYS_MM = 0.25;

/**
 * The lines to strike, struck again from their words alone by one who knows the room and no plan, lie where the tiles
 * begin. Words that name a fixture, a curve or two edges of one name are left to the tests of lines.
 */
export const linesStrikeBack: Law = (job, { surfaces }) =>
  surfaces.flatMap((planned) => {
    const surface = job.surfaces.find(({ id }) => id === planned.surfaceId);
    if (!surface) return [];
    const tape = tapeOf(job, surface);
    if (tape.system !== 'metric') return [];
    const room = roomOf(planned);
    const said = describeLines(planned.struck, thingNamesOf(planned.traced), tape);
    return planned.struck.lines.flatMap(({ ends, deg }, k): string[] => {
      const words = readLine(said[k], room);
      if (!words) return [];
      const struck = strike(words, deg, room.edges);
      if (!struck) return [`${surface.name}: "${said[k]}" can't be struck`];
      const off = Math.max(...ends.map((end) => Math.abs(cross(subtract(end, struck.through), struck.way))));
      return off <= tape.metricStepMm / 2 + STRAYS_MM ? [] : [`${surface.name}: "${said[k]}" strikes a line ${off.toFixed(2)} mm off`];
    });
  });

interface Room {
  readonly edges: readonly Edge[];
  /** Every edge by what it is called; null where several are called alike. */
  readonly named: ReadonlyMap<string, readonly Edge[] | null>;
}

function roomOf({ traced: { edges, names } }: SurfacePlan): Room {
  const named = new Map<string, readonly Edge[] | null>();
  for (const id of new Set(edges.map((edge) => edge.id))) {
    const words = edgeInWords(names[id] ?? id);
    named.set(words, named.has(words) ? null : edges.filter((edge) => edge.id === id));
  }
  return { edges, named };
}

/** One measure of a sentence: how far from which edge, at which end or so far in from it; or a mark on an edge. */
type Said =
  | { readonly by: 'square'; readonly mm: number; readonly edges: readonly Edge[]; readonly inMm: number }
  | { readonly by: 'along'; readonly mm: number; readonly edge: Edge; readonly corner: Point };

/** A curve has more: where a tape touches it hangs on where the line is. */
const MOST_STRETCHES = 4;

const FIGURE = String.raw`(\d+(?:\.\d+)?)`;
const HELD = String.raw`(?:at the (?:left|right|bottom|top) end|held ${FIGURE} in from the (?:left|right|bottom|top) end)`;
const ONE_EDGE = new RegExp(`: ${FIGURE} ${HELD}, ${FIGURE} ${HELD}, from the (.+)\\.$`);
const BOTH_ENDS = new RegExp(`: ${FIGURE} at both ends, from the (.+)\\.$`);
const EACH = new RegExp(`: (.+) ${HELD}; (.+) ${HELD}\\.$`);

/** The two measures of a sentence; null where it names what this reader does not know. */
function readLine(text: string, room: Room): readonly [Said, Said] | null {
  const square = (mm: string, name: string, held = '0'): Said | null => {
    const edges = room.named.get(name);
    return edges && edges.length <= MOST_STRETCHES ? { by: 'square', mm: Number(mm), edges, inMm: Number(held) } : null;
  };
  const both = BOTH_ENDS.exec(text);
  const one = ONE_EDGE.exec(text);
  const each = EACH.exec(text);
  const found = both
    ? [square(both[1], both[2]), square(both[1], both[2])]
    : one
      ? [square(one[1], one[5], one[2]), square(one[3], one[5], one[4])]
      : each
        ? [readMeasure(each[1], each[2], room, square), readMeasure(each[3], each[4], room, square)]
        : [null, null];
  const [a, b] = found;
  return a && b ? [a, b] : null;
}

function readMeasure(
  text: string,
  held: string | undefined,
  { named }: Room,
  square: (mm: string, name: string, held?: string) => Said | null,
): Said | null {
  const from = new RegExp(`^${FIGURE} from the (.+)$`).exec(text);
  if (from) return square(from[1], from[2], held);
  const mark = new RegExp(`^a mark ${FIGURE} along the (.+), from its corner with the (.+)$`).exec(text);
  const [own, before] = mark ? [named.get(mark[2]), named.get(mark[3])] : [null, null];
  if (!mark || own?.length !== 1 || !before) return null;
  const [edge] = own;
  return { by: 'along', mm: Number(mark[1]), edge, corner: edge.from };
}

interface ReadLine {
  readonly through: Point;
  readonly way: Point;
}

/** A line that lies as its two measures say: moved and turned from where the middle of the room is until both agree. */
function strike([low, high]: readonly [Said, Said], deg: number, edges: readonly Edge[]): ReadLine | null {
  const middle = edges.reduce(([x, y], { from }): Point => [x + from[0] / edges.length, y + from[1] / edges.length], [0, 0] as Point);
  // The words say level, upright, or at how many degrees; a tenth of one is all they say.
  const turn = (Math.round(deg * 10) / 10) * (Math.PI / 180);
  // Its ends are told from the left, or from the bottom where it is steep.
  const sign = deg > 135 ? -1 : 1;
  let line: ReadLine = { through: middle, way: [sign * Math.cos(turn), sign * Math.sin(turn)] };
  for (let k = 0; k < 60; k++) {
    const ends = endsOf(line, edges);
    if (!ends) return null;
    const points = [low, high].map((said, end) => placeOf(said, line, ends[end], end === 0 ? 1 : -1));
    const [a, b] = points;
    if (!a || !b) return null;
    const next: ReadLine = { through: a, way: unit(subtract(b, a)) };
    const moved = Math.abs(cross(subtract(next.through, line.through), line.way)) + Math.abs(cross(next.way, line.way)) * distance(a, b);
    line = next;
    if (moved < 1e-7) return line;
  }
  return line;
}

/** Where a measure puts its end of the line: the mark on an edge, or so far square to the line from the edge it is hooked to. */
function placeOf(said: Said, { way }: ReadLine, end: Point, inward: 1 | -1): Point | null {
  if (said.by === 'along') {
    const along = unit(subtract(said.edge.to, said.edge.from));
    return [said.corner[0] + said.mm * along[0], said.corner[1] + said.mm * along[1]];
  }
  const at: Point = [end[0] + inward * said.inMm * way[0], end[1] + inward * said.inMm * way[1]];
  const normal = quarterTurn(way);
  let best: { readonly place: Point; readonly beyond: number } | null = null;
  for (const edge of said.edges) {
    const run = subtract(edge.to, edge.from);
    const det = cross(normal, run);
    if (Math.abs(det) < 1e-9) continue;
    const off = cross(subtract(edge.from, at), run) / det;
    const foot: Point = [at[0] + off * normal[0], at[1] + off * normal[1]];
    // The surface lies on the left of its edges: the line lies that way from the one it is measured from.
    const side = Math.sign(dot(normal, quarterTurn(run)));
    const place: Point = [foot[0] + side * said.mm * normal[0], foot[1] + side * said.mm * normal[1]];
    const share = dot(subtract(foot, edge.from), run) / dot(run, run);
    const beyond = Math.max(0, -share, share - 1);
    if (!best || beyond < best.beyond) best = { place, beyond };
  }
  return best?.place ?? null;
}

/** Where a line first and last meets the outline, in its own way. */
function endsOf({ through, way }: ReadLine, edges: readonly Edge[]): readonly [Point, Point] | null {
  const met = edges.flatMap(({ from, to }): number[] => {
    const run = subtract(to, from);
    const det = cross(way, run);
    if (Math.abs(det) < 1e-9) return [];
    const off = subtract(from, through);
    const share = cross(off, way) / det;
    return share < -1e-9 || share > 1 + 1e-9 ? [] : [cross(off, run) / det];
  });
  if (met.length < 2) return null;
  const at = (mm: number): Point => [through[0] + mm * way[0], through[1] + mm * way[1]];
  return [at(Math.min(...met)), at(Math.max(...met))];
}
