import type { CutPiece } from '../cuts/cutPiece.ts';
import { SHAPED_KINDS } from '../cuts/cutKind.ts';
import { MATERIALS, saidFor, type MaterialId, type MaterialRules } from '../takeoff/registry.ts';
import { entriesOf, type Entry } from './entry.ts';

/** What was reckoned with and what was used of one material. */
export interface UseFact {
  readonly item: MaterialId;
  readonly unit: string;
  readonly planned: number;
  readonly used: number;
}

/** What was written down as used, against the plan, by material; only what was used at all. */
export function useFacts(
  materials: readonly { readonly item: MaterialId; readonly unit: string; readonly quantity: number }[],
  entries: readonly Entry[],
): UseFact[] {
  const used = new Map<string, number>();
  for (const { data } of entriesOf(entries, 'used')) used.set(data.item, (used.get(data.item) ?? 0) + data.packs * data.size);
  return [...used].flatMap(([item, amount]): UseFact[] => {
    const own = materials.filter((line) => line.item === item);
    const planned = own.reduce((sum, { quantity }) => sum + quantity, 0);
    return planned > 0 && amount > 0 ? [{ item: own[0].item, unit: own[0].unit, planned, used: amount }] : [];
  });
}

/** A figure of a material that a job taught. */
export interface LearntFigure {
  readonly item: MaterialId;
  readonly figure: 'kgPerLitre';
  readonly value: number;
  readonly before: number;
}

/** More or less than this many times what was planned is a slip of the pen, no habit. */
const BELIEVED = { least: 0.5, most: 2 };

/**
 * What a litre of bed or of joint takes by what was used: the figure in force times used over planned. Only of a job that
 * is laid to the end, as what is used on the way teaches nothing, and only within what can be believed.
 */
export function learntUse(facts: readonly UseFact[], rules: MaterialRules, isLaid: boolean): LearntFigure[] {
  if (!isLaid) return [];
  return facts.flatMap(({ item, planned, used }): LearntFigure[] => {
    const said = saidFor(item, rules).figures;
    const ratio = used / planned;
    if (!('kgPerLitre' in said) || ratio < BELIEVED.least || ratio > BELIEVED.most) return [];
    const before = said['kgPerLitre'].value;
    const { min, max } = (MATERIALS[item].figures as Record<string, { readonly min: number; readonly max: number }>)['kgPerLitre'];
    const value = Math.min(max, Math.max(min, Math.round(before * ratio * 1000) / 1000));
    return value === before ? [] : [{ item, figure: 'kgPerLitre', value, before }];
  });
}

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
  cuts: readonly { readonly surfaceId: string; readonly piece: Pick<CutPiece, 'label' | 'kind'>; readonly isCut: boolean }[],
  entries: readonly Entry[],
  before: Readonly<Record<'straight' | 'shaped', number>>,
): BreakageFact[] {
  const kindOf = new Map(
    cuts.map(({ surfaceId, piece }) => [`${surfaceId} ${piece.label}`, SHAPED_KINDS.has(piece.kind) ? 'shaped' : 'straight'] as const),
  );
  return (['straight', 'shaped'] as const).flatMap((kind): BreakageFact[] => {
    const made = cuts.filter(({ surfaceId, piece, isCut }) => isCut && kindOf.get(`${surfaceId} ${piece.label}`) === kind).length;
    const broken = entriesOf(entries, 'breakage')
      .filter(({ surfaceId, data }) => kindOf.get(`${surfaceId ?? ''} ${data.label}`) === kind)
      .reduce((sum, { data }) => sum + data.pieces, 0);
    if (made === 0) return [];
    const share = (broken + (WEIGHT_OF_BEFORE * before[kind]) / 100) / (made + WEIGHT_OF_BEFORE);
    return [{ kind, cuts: made, broken, before: before[kind], percent: Math.round(1000 * share) / 10 }];
  });
}
