import type { TaskId } from '../labour/tasks.ts';
import { z } from 'zod';
import type { Tool } from '../cuts/cutTool.ts';
import type { SurfaceFigures } from '../takeoff/figures.ts';

/** How a tool comes to the job. */
export const TOOL_WAYS = ['have', 'buy', 'hire', 'borrow'] as const;

/** What a tool depends on: how often each is named by the cuts, and the surfaces. */
export interface ToolNeed {
  readonly cuts: Readonly<Partial<Record<Tool, number>>>;
  readonly surfaces: readonly SurfaceFigures[];
}

/** A tool that not everybody has: when a job needs it, and what it usually costs (made up). */
interface ToolKind {
  readonly buy: number;
  readonly perDay: number;
  readonly isNeeded: (need: ToolNeed) => boolean;
  /** The works it is there for. */
  readonly works: readonly TaskId[];
}

const CUTTING: readonly TaskId[] = ['cut', 'strips', 'bottomRow'];
const LAYING: readonly TaskId[] = ['lay', 'bottomRow'];
const MIXING: readonly TaskId[] = ['level', 'bed', 'lay', 'bottomRow', 'grout'];

const named = (tool: Tool) => (need: ToolNeed) => (need.cuts[tool] ?? 0) > 0;

/** Tools in the order they are listed. */
export const TOOLS = {
  snapCutter: { buy: 129, perDay: 14, isNeeded: named('snapCutter'), works: CUTTING },
  wetSaw: { buy: 349, perDay: 32, isNeeded: named('wetSaw'), works: CUTTING },
  grinder: { buy: 89, perDay: 12, isNeeded: named('grinder'), works: CUTTING },
  coreBits: { buy: 74, perDay: 15, isNeeded: named('coreBit'), works: CUTTING },
  nippers: { buy: 24, perDay: 4, isNeeded: named('nippers'), works: CUTTING },
  mixer: { buy: 119, perDay: 16, isNeeded: ({ surfaces }) => surfaces.some(({ works }) => works.adhesive === 'powder'), works: MIXING },
  suctionCups: {
    buy: 46,
    perDay: 7,
    isNeeded: ({ surfaces }) => surfaces.some(({ longestSideMm }) => longestSideMm >= 590),
    works: LAYING,
  },
  clipPliers: { buy: 28, perDay: 5, isNeeded: ({ surfaces }) => surfaces.some(({ sharedJoints }) => sharedJoints !== null), works: LAYING },
} as const satisfies Record<string, ToolKind>;

/** The name of a tool. */
export type ToolId = keyof typeof TOOLS;

/** Schema of how the tools of a job are come by; what is left out is there. */
export const toolsSchema = z.partialRecord(
  z.enum(Object.keys(TOOLS) as ToolId[]),
  z.strictObject({
    way: z.enum(TOOL_WAYS),
    buy: z.number().min(0).max(100_000).optional(),
    perDay: z.number().min(0).max(10_000).optional(),
  }),
);

/** How the tools of a job are come by. */
export type ToolsSet = z.infer<typeof toolsSchema>;

/** A tool of a job with what each way costs. */
export interface ToolLine {
  readonly tool: ToolId;
  readonly way: (typeof TOOL_WAYS)[number];
  readonly days: number;
  readonly buy: number;
  readonly perDay: number;
  /** Hiring for longer costs more than buying. */
  readonly breakEvenDays: number;
  readonly cost: number;
}

/** The tools that a job needs, each for the days on which there is work for it. */
export function toolLines(need: ToolNeed, set: ToolsSet | undefined, daysOf: (works: readonly TaskId[]) => number): ToolLine[] {
  return (Object.keys(TOOLS) as ToolId[]).flatMap((tool) => {
    const kind: ToolKind = TOOLS[tool];
    if (!kind.isNeeded(need)) return [];
    const own = set?.[tool];
    const days = daysOf(kind.works);
    const [buy, perDay, way] = [own?.buy ?? kind.buy, own?.perDay ?? kind.perDay, own?.way ?? 'have'];
    const cost = { have: 0, borrow: 0, buy, hire: perDay * days }[way];
    return [{ tool, way, days, buy, perDay, breakEvenDays: perDay > 0 ? buy / perDay : Infinity, cost }];
  });
}
