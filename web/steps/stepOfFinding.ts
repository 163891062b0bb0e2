import type { Finding } from '@azulejo/core/advice/finding';
import type { SurfaceStep } from './surfaceSteps.ts';

/** What mends a finding about a measurement, by the part it is in. */
const LABELS: Readonly<Record<string, string>> = {
  gapsMm: 'Change the gap',
  levels: 'Look at the levels',
  buildUp: 'Change the build-up',
  again: 'Measure them',
  fixtures: 'Look at it',
  roles: 'Change the edge',
};

/** The step where a finding is mended, and what the link there says. */
export function stepOfFinding({ path }: Finding): { readonly name: SurfaceStep; readonly label: string } {
  switch (path[2]) {
    case 'measured':
      return { name: 'measure', label: LABELS[String(path[3])] ?? 'Measure again' };
    case 'setout':
      return { name: 'setout', label: 'Move the setout' };
    case 'cuts':
      return { name: 'cuts', label: 'See the cut' };
    case 'works':
      return { name: 'tile', label: 'Change place and works' };
    case 'jointMm':
      return { name: 'tile', label: 'Change the joint' };
    case 'pattern':
      return { name: 'tile', label: 'Change the pattern' };
    default:
      return { name: 'tile', label: 'Measure the tile' };
  }
}
