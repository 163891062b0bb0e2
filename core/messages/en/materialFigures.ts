import type { Speaker, Spoken } from '../../takeoff/materialKind.ts';

/** What each figure of use is called, and its unit. */
export const FIGURES: Readonly<Record<string, readonly [label: string, unit: string]>> = {
  kgPerLitre: ['Weighs', 'kg/L'],
  backKgPerM2: ['Skim on the backs', 'kg/m²'],
  kgPerM2: ['Coverage as the bag says', 'kg/m²'],
  waterPerKg: ['Water for a kilogram', 'L'],
  litresPerKg: ['Additive for a kilogram of powder', 'L'],
  potLifeMinutes: ['Pot life', 'min'],
  slakeMinutes: ['Rest after mixing', 'min'],
  leftPercent: ['Left in the bucket', '%'],
  depthMm: ['Depth of the joint', 'mm'],
  fromMm: ['Behind joints from', 'mm'],
  extraPercent: ['For those that break or get lost', '%'],
  fromCornerMm: ['From the corner of a piece', 'mm'],
  screwsApartMm: ['Screws no further apart than', 'mm'],
  wedgesPerPiece: ['To a piece', 'pcs'],
  apartMm: ['No further apart than', 'mm'],
  m2PerDay: ['Laid in a day', 'm²'],
  kerfMm: ['Saw kerf', 'mm'],
  widthMm: ['Wide', 'mm'],
  faceMm: ['Face within the measured end', 'mm'],
  lPerM2: ['A coat', 'L/m²'],
  coats: ['Coats', ''],
  waterParts: ['Water to one part', 'parts'],
  kgPerM2Mm: ['For each mm of thickness', 'kg/m²'],
  sandParts: ['Sand to one of cement', 'parts'],
  bulking: ['Dry volume over laid', ''],
  kgPerM3: ['Loose cement', 'kg/m³'],
  longMm: ['Length of a board', 'mm'],
  wideMm: ['Width of a board', 'mm'],
  perM2: ['To a square metre', 'pcs'],
  coatKgPerM2: ['A coat', 'kg/m²'],
  restHours: ['What follows may begin after', 'h'],
  withinHours: ['What follows has to begin within', 'h'],
  coatLPerM2: ['A coat', 'L/m²'],
  overlapPercent: ['Overlaps', '%'],
};

/** What a figure is called. Throws where it has no words. */
export function figureName(figure: string): string {
  const words = FIGURES[figure];
  if (!words) throw new Error(`no words for this figure: ${figure}`);
  return words[0];
}

/** The unit behind a figure; none for what is a plain number. */
export const figureUnit = (figure: string): string => FIGURES[figure]?.[1] ?? '';

const SPEAKERS: Readonly<Record<Speaker, string>> = {
  sheet: 'from the data sheet',
  job: 'set for this job',
  habit: 'your own figure',
  typical: 'typical',
};

/** Who a figure in force comes from. */
export const speakerName = (from: Speaker): string => SPEAKERS[from];

/** A figure in force with who said it: "Weighs 1.6 kg/L (typical)". */
export const describeFigure = (figure: string, { value, from }: Spoken): string =>
  `${figureName(figure)} ${Math.round(value * 1000) / 1000}${figureUnit(figure) ? ` ${figureUnit(figure)}` : ''} (${speakerName(from)})`;

/** What can be chosen of a material: what the choice is called, and each value. */
export const CHOICES: Readonly<Record<string, { readonly label: string; readonly values: Readonly<Record<string, string>> }>> = {
  notchMm: { label: 'Trowel notch, mm', values: { byTile: 'By tile' } },
  backs: { label: 'Backs of the tiles', values: { byTile: 'As needed', none: 'Left dry', skim: 'Skimmed', notched: 'Notched too' } },
  mixedWith: { label: 'Stirred with', values: { water: 'Water', additive: 'Liquid additive' } },
  finish: { label: 'Finish', values: { aluminium: 'Aluminium', steel: 'Stainless steel', brass: 'Brass', plastic: 'Plastic' } },
  widthMm: { label: 'Clips keep a joint of, mm', values: { asJoint: 'As chosen' } },
};
