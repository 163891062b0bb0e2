/** The steps of a surface, in the order of the work. */
export const SURFACE_STEPS = [
  { name: 'measure', label: 'Measure' },
  { name: 'tile', label: 'Tile' },
  { name: 'setout', label: 'Set out' },
  { name: 'cuts', label: 'Cuts' },
] as const;

/** One of the steps of a surface. */
export type SurfaceStep = (typeof SURFACE_STEPS)[number]['name'];
