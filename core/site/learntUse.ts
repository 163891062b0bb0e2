import { isShaped, type CutPiece } from '../cuts/cutPiece.ts';
import { MATERIALS, saidFor, type MaterialId, type MaterialRules } from '../takeoff/registry.ts';
import { isBelieved } from './believed.ts';
import { entriesOf, type Entry } from './entry.ts';

/** What was reckoned with and what was used of one material. */
export interface UseFact {
  readonly item: MaterialId;
  readonly unit: string;
  readonly planned: number;
  readonly used: number;
  /** Whether backs of pieces are skimmed with it somewhere. */
  readonly isSkimmed: boolean;
}

/** What was written down as used, against the plan, by material; only what was used at all. */
export function useFacts(
  materials: readonly { readonly item: MaterialId; readonly unit: string; readonly quantity: number; readonly how?: object }[],
  entries: readonly Entry[],
): UseFact[] {
  const used = new Map<string, number>();
  for (const { data } of entriesOf(entries, 'used')) used.set(data.item, (used.get(data.item) ?? 0) + data.packs * data.size);
  return [...used].flatMap(([item, amount]): UseFact[] => {
    const own = materials.filter((line) => line.item === item);
    const planned = own.reduce((sum, { quantity }) => sum + quantity, 0);
    return planned > 0 && amount > 0
      ? [{ item: own[0].item, unit: own[0].unit, planned, used: amount, isSkimmed: own.some(isSkimmed) }]
      : [];
  });
}

function isSkimmed({ how = {} }: { readonly how?: object }): boolean {
  const { surfaces = [] } = how as { surfaces?: readonly { readonly backs?: string }[] };
  return surfaces.some(({ backs }) => backs === 'skim');
}

/** Figures that use is reckoned from: of a litre, of the back of a piece, of a square metre as the data sheet has it. */
const USED_BY = ['kgPerM2', 'kgPerLitre', 'backKgPerM2'] as const;

/** A figure of a material that a job taught. */
export interface LearntFigure {
  readonly item: MaterialId;
  readonly figure: (typeof USED_BY)[number];
  readonly value: number;
  readonly before: number;
}

/**
 * What use really is by what was used: the figures it was reckoned from, times used over planned. Where the sheet says what
 * a square metre takes it is that figure; else what a litre takes, and what a back takes where backs are skimmed. Only of a
 * job that is laid to the end, as what is used on the way teaches nothing, and only within what can be believed.
 */
export function learntUse(facts: readonly UseFact[], rules: MaterialRules, isLaid: boolean): LearntFigure[] {
  if (!isLaid) return [];
  return facts.flatMap(({ item, planned, used, isSkimmed }): LearntFigure[] => {
    const { figures, stated } = saidFor(item, rules);
    const ratio = used / planned;
    if (!isBelieved(ratio)) return [];
    const bySheet = stated['kgPerM2'];
    const kind = MATERIALS[item] as { figures: Limits; stated?: Limits };
    const names = USED_BY.filter((name) => (bySheet ? name === 'kgPerM2' : name in figures && (name !== 'backKgPerM2' || isSkimmed)));
    return names.flatMap((figure): LearntFigure[] => {
      const before = (bySheet ?? figures[figure]).value;
      const { min, max } = (bySheet ? kind.stated : kind.figures)?.[figure] ?? { min: 0, max: Infinity };
      const value = Math.min(max, Math.max(min, Math.round(before * ratio * 1000) / 1000));
      return value === before ? [] : [{ item, figure, value, before }];
    });
  });
}

type Limits = Readonly<Record<string, { readonly min: number; readonly max: number }>>;

/** How often one kind of cut broke. */
export interface BreakageFact {
  readonly kind: 'straight' | 'shaped';
  /** Cuts that were made, and pieces that broke on the way. */
  readonly cuts: number;
  readonly broken: number;
  /** What was reckoned with, percent. */
  readonly before: number;
  /** Own share, percent: between what was reckoned with and what was seen, by how many cuts there were. */
  readonly percent: number;
}

/** Cuts that weigh as much as what was reckoned with: fewer teach little. */
const WEIGHT_OF_BEFORE = 40;

/**
 * Breakage by kind of cut: what broke under a label that is straight or shaped, over the cuts that are made, drawn towards
 * what was reckoned with as if that had been seen on forty cuts (the mean of a beta prior).
 */
export function breakageFacts(
  cuts: readonly { readonly surfaceId: string; readonly piece: Pick<CutPiece, 'label' | 'marks'>; readonly isCut: boolean }[],
  entries: readonly Entry[],
  before: Readonly<Record<'straight' | 'shaped', number>>,
): BreakageFact[] {
  const kindOf = new Map(
    cuts.map(({ surfaceId, piece }) => [`${surfaceId} ${piece.label}`, isShaped(piece) ? 'shaped' : 'straight'] as const),
  );
  // What broke without a label is shared out as breaking was reckoned with.
  const expected = { straight: 0, shaped: 0 };
  for (const kind of kindOf.values()) expected[kind] += before[kind];
  const all = expected.straight + expected.shaped;
  const unlabelled = entriesOf(entries, 'breakage')
    .filter(({ data }) => data.label === '')
    .reduce((sum, { data }) => sum + data.pieces, 0);
  return (['straight', 'shaped'] as const).flatMap((kind): BreakageFact[] => {
    const made = cuts.filter(({ surfaceId, piece, isCut }) => isCut && kindOf.get(`${surfaceId} ${piece.label}`) === kind).length;
    const labelled = entriesOf(entries, 'breakage')
      .filter(({ surfaceId, data }) => kindOf.get(`${surfaceId ?? ''} ${data.label}`) === kind)
      .reduce((sum, { data }) => sum + data.pieces, 0);
    const broken = labelled + (all > 0 ? Math.round((unlabelled * expected[kind]) / all) : 0);
    if (made === 0) return [];
    const share = (broken + (WEIGHT_OF_BEFORE * before[kind]) / 100) / (made + WEIGHT_OF_BEFORE);
    return [{ kind, cuts: made, broken, before: before[kind], percent: Math.round(1000 * share) / 10 }];
  });
}
