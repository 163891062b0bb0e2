import type { Finding } from '@azulejo/core/advice/finding';
import type { SurfaceStep } from './surfaceSteps.ts';

/** The step where a finding is mended, and what the link there says. */
export function stepOfFinding({ path }: Finding): { readonly name: SurfaceStep; readonly label: string } {
  switch (path[2]) {
    case 'measured':
      return { name: 'measure', label: 'Change the gap' };
    case 'setout':
      return { name: 'setout', label: 'Move the setout' };
    case 'jointMm':
      return { name: 'tile', label: 'Change the joint' };
    case 'pattern':
      return { name: 'tile', label: 'Change the pattern' };
    default:
      return { name: 'tile', label: 'Measure the tile' };
  }
}
