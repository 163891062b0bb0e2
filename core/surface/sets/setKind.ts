import type { z } from 'zod';
import type { EdgeRole } from '../edge.ts';
import type { Link } from '../link.ts';
import type { Shape } from '../shapes/registry.ts';

/** One surface of a set. */
export interface SetFace {
  /** Its key within the set; the words for it live in messages/. */
  readonly key: string;
  readonly part: 'riser' | 'tread' | 'wall' | 'back' | 'leftSide' | 'rightSide' | 'sill' | 'head' | 'floor';
  /** Counts faces of the same part from 1; 0 where there is one. */
  readonly number: number;
  readonly kind: 'floor' | 'wall' | 'countertop';
  readonly shape: Shape;
  readonly roles: Readonly<Record<string, EdgeRole>>;
}

/** Two faces that meet, by key and edge. */
export interface SetJoin {
  readonly a: readonly [face: string, edge: string];
  readonly b: readonly [face: string, edge: string];
  readonly meets: Link['meets'];
  /** Which of the two runs through, where the trade has a usual way. */
  readonly through?: Link['through'];
}

/** Surfaces that are measured together, with the edges they share. */
export interface MeasuredSet {
  readonly faces: readonly SetFace[];
  readonly joins: readonly SetJoin[];
}

/** A quick form for several surfaces that belong together. */
export interface SetKind<Form extends { kind: string }> {
  readonly id: Form['kind'];
  readonly schema: z.ZodType<Form>;
  readonly defaults: Form;
  readonly faces: (form: Form) => MeasuredSet;
}
