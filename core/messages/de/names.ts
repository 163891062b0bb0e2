import type { Side } from '../../cuts/cutKind.ts';
import type { Tool } from '../../cuts/cutTool.ts';
import type { CutKind } from '../../tile/cutKinds.ts';

const KIND_NAMES: Readonly<Record<CutKind, string>> = {
  straight: 'Gerader Schnitt',
  rip: 'Längsschnitt',
  taper: 'Schrägschnitt',
  notch: 'Ausklinkung',
  uCut: 'U-Ausschnitt',
  hole: 'Loch',
  halfHole: 'Halbes Loch',
  curve: 'Rundung',
  several: 'Mehrere Schnitte',
};

/** What a kind of cut is called. */
export const kindName = (kind: CutKind): string => KIND_NAMES[kind];

const CUT_TOOLS: Readonly<Record<Tool, string>> = {
  snapCutter: 'Fliesenschneider',
  wetSaw: 'Nasssäge',
  coreBit: 'Bohrkrone',
  grinder: 'Winkelschleifer',
  nippers: 'Zange',
  knife: 'Messer',
};

/** What a cut is made with. */
export const toolName = (tool: Tool): string => CUT_TOOLS[tool];

/** Sides as they stand alone: "links". */
export const SIDE_NAMES: Readonly<Record<Side, string>> = { left: 'links', right: 'rechts', bottom: 'unten', top: 'oben' };

/** Sides before a word for an edge, in the dative and without article: "linken Kante". */
const SIDES_OF: Readonly<Record<Side, string>> = { left: 'linken', right: 'rechten', bottom: 'unteren', top: 'oberen' };

/** "linken Kante", for after "der". */
export const sideOf = (side: Side, what = 'Kante'): string => `${SIDES_OF[side]} ${what}`;

/** A tile that comes in two hands. */
export const handName = (hand: 'left' | 'right'): string => (hand === 'left' ? 'linke Ausführung' : 'rechte Ausführung');

const isSide = (name: string): name is Side => Object.hasOwn(SIDE_NAMES, name);

/** Edges that shapes name themselves end in a side, with what tells them apart before it. */
const BEFORE_SIDE: Readonly<Record<string, string>> = { inner: 'innen', outer: 'außen', upper: 'oben', lower: 'unten' };

function ownName(name: string): string {
  const [before, side] = name.split('-');
  if (isSide(name)) return SIDE_NAMES[name];
  return side && isSide(side) && BEFORE_SIDE[before] ? `${BEFORE_SIDE[before]} ${SIDE_NAMES[side]}` : name.replace(/-/g, ' ');
}

/** What an edge is called by itself: its own name, or a doorway's parts in words. */
export function edgeName(id: string | number): string {
  const name = String(id);
  if (name.includes('–')) return name;
  const part = /^(.*)-(start|end)$/.exec(name);
  return part ? `Laibung ${part[1]}` : ownName(name);
}

/** The same after "der", with what it is: "linken Kante", "Kante E–F", "Kante Straßenwand". */
export function edgeInWords(id: string | number): string {
  const name = String(id);
  if (isSide(name)) return sideOf(name);
  const said = edgeName(id);
  return said.startsWith('Laibung ') ? said : `Kante ${said}`;
}
