import { READS_ALIKE_MM } from '../tolerances.ts';
import { z } from 'zod';
import { PATTERNS, type Pattern } from '../pattern/registry.ts';
import type { CutGroup } from './groupCuts.ts';
import type { Mark } from './cutKind.ts';
import type { CutPiece } from './cutPiece.ts';
import type { Tool } from './cutTool.ts';

/** Which cuts are made first. */
export const CUT_ORDERS = ['hardestLast', 'hardestFirst'] as const;

/** Which cuts are made first. */
export type CutOrder = (typeof CUT_ORDERS)[number];

/** How a job is cut. */
export const cuttingSchema = z.strictObject({
  order: z.enum(CUT_ORDERS).nullable().default(null).describe('Which cuts are made first; null by the pattern of each surface'),
  perTrip: z
    .int()
    .min(1)
    .max(500)
    .nullable()
    .default(null)
    .describe('Pieces that are carried to a saw far away and back at a time; null where the saw is at hand'),
  byZone: z.boolean().optional().describe('Whether the cuts of each laying zone are made by themselves, zone by zone'),
});

/** How a job is cut. */
export type Cutting = z.infer<typeof cuttingSchema>;

/** The order in force for a pattern. */
export const orderFor = (pattern: Pattern, cutting: Cutting | undefined): CutOrder => cutting?.order ?? PATTERNS[pattern.kind].hardCuts;

/** Equal pieces that are cut one after the other. */
export interface CutSetting {
  /** Of its own among all settings of a surface. */
  readonly id: string;
  readonly group: CutGroup;
  readonly pieces: readonly CutPiece[];
}

/** What is cut before the person walks back; all of it where the saw is at hand. */
export interface CutTrip {
  /** The laying zone it is for, from 1; null where cuts are not parted by zones. */
  readonly zone: number | null;
  readonly settings: readonly CutSetting[];
}

/** What is laid in one go: its cuts, by their labels. */
export interface ZoneOfCuts {
  readonly number: number;
  readonly cuts: readonly string[];
}

/**
 * The cuts of a surface as they are made: zone by zone or trip by trip in the order of laying, within a trip by what is
 * hardest, and among equally hard ones tool by tool with the fence coming in from wide to narrow, so that it is moved as
 * seldom as can be.
 */
export function cutTrips(
  cuts: readonly CutPiece[],
  groups: readonly CutGroup[],
  {
    order,
    perTrip,
    zones = null,
  }: { readonly order: CutOrder; readonly perTrip: number | null; readonly zones?: readonly ZoneOfCuts[] | null },
): CutTrip[] {
  if (perTrip === null && zones === null)
    return groups.length === 0
      ? []
      : [
          {
            zone: null,
            settings: sorted(
              groups.map((group) => ({ id: group.id, group, pieces: group.pieces })),
              order,
            ),
          },
        ];
  const groupOf = new Map(groups.flatMap((group) => group.pieces.map((piece) => [piece, group] as const)));
  const trips: CutTrip[] = [];
  for (const { zone, pieces } of loads(cuts, zones)) {
    const size = perTrip ?? pieces.length;
    for (let from = 0; from < pieces.length; from += size) {
      const own = new Map<CutGroup, CutPiece[]>();
      for (const piece of pieces.slice(from, from + size)) {
        const group = groupOf.get(piece);
        if (group) own.set(group, [...(own.get(group) ?? []), piece]);
      }
      const settings = [...own].map(([group, some]) => ({ id: `trip-${trips.length + 1}-${group.id}`, group, pieces: some }));
      trips.push({ zone, settings: sorted(settings, order) });
    }
  }
  return trips;
}

/** The cuts in the order of laying: of each zone by themselves where there are zones. */
function loads(
  cuts: readonly CutPiece[],
  zones: readonly ZoneOfCuts[] | null,
): { readonly zone: number | null; readonly pieces: readonly CutPiece[] }[] {
  if (zones === null) return [{ zone: null, pieces: cuts }];
  const zoneOf = new Map(zones.flatMap(({ number, cuts: labels }) => labels.map((label) => [label, number] as const)));
  const ofZones = zones.map(({ number }) => ({ zone: number, pieces: cuts.filter(({ label }) => zoneOf.get(label) === number) }));
  // What no zone has, strips beside the surface, is cut last.
  const rest = cuts.filter(({ label }) => !zoneOf.has(label));
  return rest.length === 0 ? ofZones : [...ofZones, { zone: null, pieces: rest }];
}

/** The cuts of a planned surface as its job has them made. */
export const tripsFor = (
  planned: {
    readonly toCut: readonly CutPiece[];
    readonly groups: readonly CutGroup[];
    readonly zones: { readonly zones: readonly ZoneOfCuts[] };
  },
  pattern: Pattern,
  cutting: Cutting | undefined,
): CutTrip[] =>
  cutTrips(planned.toCut, planned.groups, {
    order: orderFor(pattern, cutting),
    perTrip: cutting?.perTrip ?? null,
    zones: cutting?.byZone ? planned.zones.zones : null,
  });

/** The settings of all trips, one after the other. */
export const settingsOf = (trips: readonly CutTrip[]): CutSetting[] => trips.flatMap(({ settings }) => settings);

function sorted(settings: readonly CutSetting[], order: CutOrder): CutSetting[] {
  const sign = order === 'hardestFirst' ? -1 : 1;
  return [...settings].sort(
    ({ group: { first: a } }, { group: { first: b } }) =>
      sign * (a.minutes - b.minutes) ||
      a.tool.localeCompare(b.tool) ||
      (fenceOf(b)?.mm ?? 0) - (fenceOf(a)?.mm ?? 0) ||
      b.areaMm2 - a.areaMm2,
  );
}

/** Tools whose fence is set; the others follow a mark by hand. */
const HAVE_A_FENCE: ReadonlySet<Tool> = new Set(['snapCutter', 'wetSaw']);

/** What the fence of a tool is set to for a piece that is cut straight across and no more, mm; null where a mark is followed by hand. */
export function fenceOf({ marks, tool }: Pick<CutPiece, 'marks' | 'tool'>): { readonly tool: Tool; readonly mm: number } | null {
  const mm = marks.length === 1 && HAVE_A_FENCE.has(tool) ? fenceAt(marks[0]) : null;
  return mm === null ? null : { tool, mm };
}

/** What the fence is set to for one mark, mm; null where the mark is followed by hand. */
const fenceAt = (mark: Mark): number | null =>
  mark.type !== 'line' || Math.abs(mark.mm[0] - mark.mm[1]) > SAME_FENCE_MM ? null : (mark.mm[0] + mark.mm[1]) / 2;

/** A fence is left as it stands within this, mm: a tape does not tell more apart. */
const SAME_FENCE_MM = READS_ALIKE_MM;

/**
 * How often a fence is set for cuts in the order in which they are made, those of pieces with several cuts among them: of
 * these the one that the fence stands at comes first.
 */
export function fenceSettings(trips: readonly CutTrip[]): number {
  const standing = new Map<Tool, number>();
  let set = 0;
  for (const { group } of settingsOf(trips)) {
    const { marks, tool } = group.first;
    const stands = standing.get(tool);
    const wanted = HAVE_A_FENCE.has(tool) ? marks.map(fenceAt).filter((mm) => mm !== null) : [];
    const anew = wanted.filter((mm) => stands === undefined || Math.abs(stands - mm) > SAME_FENCE_MM);
    set += anew.length;
    const last = anew.at(-1);
    if (last !== undefined) standing.set(tool, last);
  }
  return set;
}
