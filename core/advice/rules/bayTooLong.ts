import type { AdviceRule } from '../finding.ts';

/** A field longer than a bay may be is parted by movement joints. */
export const bayTooLong: AdviceRule = ({ surfaceIndex, plan: { figures } }) =>
  figures.bays.joints.length > 0
    ? [
        {
          code: 'advice/bay-too-long',
          severity: 'note',
          path: ['surfaces', surfaceIndex, 'works', 'heated'],
          figures: { count: figures.bays.joints.length, limitMm: figures.bays.limitMm },
        },
      ]
    : [];
