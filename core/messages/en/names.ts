import type { Tool } from '../../cuts/cutTool.ts';
import type { CutKind } from '../../tile/cutKinds.ts';
import type { EdgeRole } from '../../surface/edge.ts';

const ROLE_NAMES: Readonly<Record<EdgeRole, string>> = {
  wall: 'wall',
  focal: 'seen first',
  hidden: 'hidden',
  worktop: 'worktop or tray',
  exposed: 'exposed end',
  threshold: 'threshold',
  continues: 'continues on',
};

/** What an edge role is called. */
export const roleName = (role: EdgeRole | string | number): string => ROLE_NAMES[role as EdgeRole] ?? String(role);

const KIND_NAMES: Readonly<Record<CutKind, string>> = {
  straight: 'Straight',
  rip: 'Rip',
  taper: 'Taper',
  notch: 'Corner notch',
  uCut: 'U-cut',
  hole: 'Hole',
  halfHole: 'Half-hole',
  curve: 'Curve',
  several: 'Several cuts',
};

/** What a kind of cut is called. */
export const kindName = (kind: CutKind): string => KIND_NAMES[kind];

const CUT_TOOLS: Readonly<Record<Tool, string>> = {
  snapCutter: 'snap cutter',
  wetSaw: 'wet saw',
  coreBit: 'core bit',
  grinder: 'grinder',
  nippers: 'nippers',
  knife: 'knife',
};

/** What a cut is made with. */
export const toolName = (tool: Tool): string => CUT_TOOLS[tool];

/** What an edge is called in a sentence: its own name, or a doorway's parts in words. */
export function edgeName(id: string | number): string {
  const name = String(id);
  if (name.includes('–')) return name;
  const part = /^(.*)-(start|end)$/.exec(name);
  return part ? `reveal of ${part[1]}` : name.replace(/-/g, ' ');
}

/** The same with what it is: "left edge", "edge E–F", "street wall". */
export function edgeInWords(id: string | number): string {
  const name = edgeName(id);
  if (name.includes('–')) return `edge ${name}`;
  return /\b(left|right|bottom|top)$/.test(name) ? `${name} edge` : name;
}
