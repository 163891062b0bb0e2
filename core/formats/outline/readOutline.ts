import { ringArea } from '../../geometry/ring.ts';
import { issue, refused, type Result } from '../../result.ts';
import { pathPoints, type DrawnPath, type OutlineFile } from './drawnPath.ts';
import { MOST_CORNERS, TooManyCorners } from './drawnBudget.ts';
import { joinPaths, type JoinedPaths } from './joinPaths.ts';
import { trimCrossings } from './trimCrossings.ts';
import { readDxf } from './readDxf.ts';
import { readSvg } from './readSvg.ts';

/** Reads a drawing by what it looks like: SVG starts with a tag, DXF with a number. Issues as for readDxf and readSvg; `outline/not-a-drawing`, `outline/too-many`. */
export function readOutline(text: string): Result<OutlineFile> {
  try {
    const head = text.replace(/^\uFEFF/, '').trimStart();
    if (head.startsWith('<')) return readSvg(head);
    return /^(\d+)/.test(head) ? readDxf(text.replace(/^\uFEFF/, '')) : refused(issue('outline/not-a-drawing'));
  } catch (error) {
    // Too many corners, or nested so deep that a library runs out of stack.
    if (error instanceof TooManyCorners || error instanceof RangeError)
      return refused(issue('outline/too-many', [], { most: MOST_CORNERS }));
    throw error;
  }
}

/** What the paths of a drawing come to, and how many lines were cut back where they cross. */
export interface Outlines extends JoinedPaths {
  readonly trimmed: number;
}

/** The closed outlines of one layer (or of all), the largest first. Where nothing closes, lines drawn past their corners are cut back. */
export function outlinesOf({ paths }: OutlineFile, layer: string | null, tolerance: number): Outlines {
  const own = layer === null ? paths : paths.filter((path) => path.layer === layer);
  const plain = { ...joinPaths(own, tolerance), trimmed: 0 };
  const cut = plain.outlines.length > 0 ? null : trimCrossings(own);
  const joined = cut && cut.trimmed > 0 ? { ...joinPaths(cut.paths, tolerance), trimmed: cut.trimmed } : plain;
  const size = (path: DrawnPath): number => Math.abs(ringArea(pathPoints(path)));
  return { ...joined, outlines: [...joined.outlines].filter((path) => size(path) > 0).sort((a, b) => size(b) - size(a)) };
}

/** The layers of a drawing, in the order they appear. */
export const layersOf = ({ paths }: OutlineFile): string[] => [...new Set(paths.map(({ layer }) => layer))];
