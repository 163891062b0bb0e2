import { parse, stringify } from 'devalue';
import type { Memory } from '../../memory.ts';
import type { SurfaceLayout } from '../planned.ts';
import type { SurfaceBrief } from './briefOf.ts';
import { rememberFrom, textOf } from './knownLayouts.ts';

interface Kept {
  readonly from: string;
  readonly layout: SurfaceLayout;
}

/** A layout with all that it was made from, as a text that gives the very same back: for the same release of the core alone. */
export const writeKept = (brief: SurfaceBrief, layout: SurfaceLayout): string => stringify({ from: textOf(brief), layout } satisfies Kept);

/** Takes over a layout that was written so: it is found again by what it was made from, and by nothing else. Throws where the text is none. */
export function rememberKept(text: string, memory: Memory): void {
  const { from, layout } = parse(text) as Kept;
  if (typeof from !== 'string' || typeof layout !== 'object') throw new TypeError('expected a layout with what it was made from');
  rememberFrom(from, layout, memory);
}
