import type { Laying } from '../pattern/laying.ts';
import type { EdgeRole, Gaps } from '../surface/edge.ts';
import { outlineOf } from '../surface/shapes/registry.ts';
import type { Surface } from './job.ts';

/** What surfaces are given alike, in one go. */
export interface Alike {
  readonly laying: Laying;
  /** Of the grout, #rrggbb. */
  readonly jointColour: string;
  /** By role, mm; roles left out keep the gap that each surface has. */
  readonly gapsMm: Partial<Gaps>;
  /** By the name of an edge; edges left out keep their role. */
  readonly roles: Readonly<Record<string, EdgeRole>>;
}

/**
 * A surface laid as others are. Edges that it does not have are passed over, and so are those that continue on
 * another surface. Pieces that were given a colour by hand lay elsewhere in the other, so none is taken over.
 */
export function layAlike(surface: Surface, { laying, jointColour, gapsMm, roles }: Alike): Surface {
  const { measured } = surface;
  const own = new Set(outlineOf(measured.shape).edgeIds);
  const given = Object.entries(roles).filter(([edge]) => own.has(edge) && measured.roles[edge] !== 'continues');
  const partColours = Object.fromEntries(Object.entries(laying.partColours).map(([part, colours]) => [part, { ...colours, byHand: {} }]));
  return {
    ...surface,
    productId: laying.productId,
    parts: { ...laying.parts },
    jointMm: laying.jointMm,
    pattern: laying.pattern,
    turnDeg: laying.turnDeg,
    mirrored: laying.mirrored,
    colours: { ...laying.colours, byHand: {} },
    partColours,
    jointColour,
    measured: { ...measured, roles: { ...measured.roles, ...Object.fromEntries(given) }, gapsMm: { ...measured.gapsMm, ...gapsMm } },
  };
}
