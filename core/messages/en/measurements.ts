import { CARRIED_NAMES } from './lines.ts';
import { edgeName } from './names.ts';
import { SHAPE_FIELDS } from './shapes.ts';
import type { Measurement } from '../../surface/measurements.ts';
import type { Measured } from '../../surface/surface.ts';

const DOORWAY_FIELDS: Readonly<Record<string, string>> = {
  fromStartMm: 'from the corner',
  widthMm: 'clear width',
  depthMm: 'into the wall',
};

/** What one length measures, as one would ask for it. */
export function measurementTitle({ key, of, name }: Measurement, measured: Measured): string {
  const steps = key.split('.');
  switch (of) {
    case 'shape': {
      const { kind } = measured.shape;
      const fields = kind === 'walls' ? [] : SHAPE_FIELDS[kind];
      return fields.find(([field]) => field === steps[1])?.[1] ?? name;
    }
    case 'wall':
      return `Wall ${name}`;
    case 'check':
      return `Corner to corner, ${name}`;
    case 'doorway':
      return `${measured.doorways[Number(steps[1])]?.id ?? ''}, ${DOORWAY_FIELDS[steps[2]] ?? steps[2]}`;
    case 'carried': {
      const joint = measured.carriedJoints?.[Number(steps[1])];
      if (!joint) return name;
      return `${CARRIED_NAMES[joint.kind]} from ${edgeName(joint.edge)}, ${steps[2] === 'fromStartMm' ? 'where it starts' : 'where it ends'}`;
    }
    case 'fixture': {
      const fixture = measured.fixtures[Number(steps[1])];
      return `${fixture.name} from ${edgeName(fixture.from[Number(steps[3])].edge)}`;
    }
    case 'base':
      return `Down to the base at ${name}`;
    case 'level':
      return `Down to the substrate at ${name}`;
  }
}
