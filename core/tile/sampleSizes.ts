import type { Size } from './product.ts';

/** What a handful of measured pieces comes to, mm. */
export interface SampleFigures {
  readonly count: number;
  readonly mean: Size;
  /** Largest less smallest, each way. */
  readonly range: Size;
}

/** Mean and range of measured pieces; null without any. */
export function sampleFigures(sample: readonly Size[]): SampleFigures | null {
  if (sample.length === 0) return null;
  const of = (side: keyof Size): { mean: number; range: number } => {
    const sides = sample.map((piece) => piece[side]);
    return { mean: sides.reduce((sum, mm) => sum + mm, 0) / sides.length, range: Math.max(...sides) - Math.min(...sides) };
  };
  const [width, height] = [of('widthMm'), of('heightMm')];
  return {
    count: sample.length,
    mean: { widthMm: width.mean, heightMm: height.mean },
    range: { widthMm: width.range, heightMm: height.range },
  };
}

/** A joint under this many times the variation of the pieces can't take it up (accepted minimum of the trade). */
export const JOINT_TO_VARIATION = 3;

/** The smallest joint that takes up the variation of measured pieces, mm. */
export const jointForSample = ({ range }: SampleFigures): number => JOINT_TO_VARIATION * Math.max(range.widthMm, range.heightMm);
