/** Kinds of things that stand on, hang on or come through a surface. */
export const FIXTURE_KINDS = [
  'socket',
  'doubleSocket',
  'switch',
  'pipe',
  'waste',
  'valve',
  'sink',
  'hob',
  'tray',
  'bath',
  'cabinet',
  'island',
  'applianceBay',
  'door',
  'window',
  'column',
  'radiatorBracket',
  'shelf',
  'nicheOpening',
  'cutOut',
] as const;

/** One of the kinds of fixture. */
export type FixtureKind = (typeof FIXTURE_KINDS)[number];

/** Kinds that are boxes with wires in them, under a plate. */
export const WIRED: ReadonlySet<FixtureKind> = new Set<FixtureKind>(['socket', 'doubleSocket', 'switch']);

/** What a kind of fixture usually is; every figure can be changed, lengths in mm. */
export interface FixtureDefaults {
  readonly outline:
    | { readonly kind: 'rectangle'; readonly widthMm: number; readonly heightMm: number }
    | { readonly kind: 'round'; readonly diameterMm: number };
  readonly tiledUnder: boolean;
  readonly clearanceMm: number;
  readonly cover: { readonly widthMm: number; readonly heightMm: number } | null;
  /** Whether it stands on the foot of a wall, in a corner, or anywhere. */
  readonly stands: 'anywhere' | 'atFoot' | 'inCorner';
  /** Where it is met: on walls, on floors, on countertops. */
  readonly on: readonly ('wall' | 'floor' | 'countertop')[];
}

const box = (widthMm: number, heightMm: number): FixtureDefaults['outline'] => ({ kind: 'rectangle', widthMm, heightMm });
const round = (diameterMm: number): FixtureDefaults['outline'] => ({ kind: 'round', diameterMm });

/** Usual sizes (common boxes, pipes and fittings; to be measured on site). */
export const FIXTURE_CATALOGUE: Readonly<Record<FixtureKind, FixtureDefaults>> = {
  socket: {
    outline: box(71, 71),
    tiledUnder: false,
    clearanceMm: 2,
    cover: { widthMm: 86, heightMm: 86 },
    stands: 'anywhere',
    on: ['wall'],
  },
  doubleSocket: {
    outline: box(142, 71),
    tiledUnder: false,
    clearanceMm: 2,
    cover: { widthMm: 157, heightMm: 86 },
    stands: 'anywhere',
    on: ['wall'],
  },
  switch: {
    outline: box(71, 71),
    tiledUnder: false,
    clearanceMm: 2,
    cover: { widthMm: 86, heightMm: 86 },
    stands: 'anywhere',
    on: ['wall'],
  },
  pipe: {
    outline: round(22),
    tiledUnder: false,
    clearanceMm: 3,
    cover: { widthMm: 60, heightMm: 60 },
    stands: 'anywhere',
    on: ['wall', 'floor', 'countertop'],
  },
  waste: { outline: round(110), tiledUnder: false, clearanceMm: 3, cover: null, stands: 'anywhere', on: ['floor', 'wall', 'countertop'] },
  valve: {
    outline: round(120),
    tiledUnder: false,
    clearanceMm: 3,
    cover: { widthMm: 170, heightMm: 170 },
    stands: 'anywhere',
    on: ['wall'],
  },
  sink: { outline: box(480, 380), tiledUnder: false, clearanceMm: 2, cover: null, stands: 'anywhere', on: ['countertop'] },
  hob: {
    outline: box(560, 490),
    tiledUnder: false,
    clearanceMm: 3,
    cover: { widthMm: 590, heightMm: 520 },
    stands: 'anywhere',
    on: ['countertop'],
  },
  tray: { outline: box(900, 900), tiledUnder: false, clearanceMm: 5, cover: null, stands: 'inCorner', on: ['floor'] },
  bath: { outline: box(1700, 700), tiledUnder: false, clearanceMm: 5, cover: null, stands: 'inCorner', on: ['floor', 'wall'] },
  cabinet: { outline: box(600, 600), tiledUnder: false, clearanceMm: 0, cover: null, stands: 'inCorner', on: ['floor', 'wall'] },
  island: { outline: box(1800, 900), tiledUnder: false, clearanceMm: 5, cover: null, stands: 'anywhere', on: ['floor'] },
  applianceBay: { outline: box(600, 600), tiledUnder: true, clearanceMm: 0, cover: null, stands: 'anywhere', on: ['floor'] },
  door: { outline: box(900, 2050), tiledUnder: false, clearanceMm: 3, cover: null, stands: 'atFoot', on: ['wall'] },
  window: { outline: box(900, 700), tiledUnder: false, clearanceMm: 3, cover: null, stands: 'anywhere', on: ['wall'] },
  column: { outline: box(300, 300), tiledUnder: false, clearanceMm: 8, cover: null, stands: 'anywhere', on: ['floor'] },
  radiatorBracket: { outline: box(40, 160), tiledUnder: true, clearanceMm: 0, cover: null, stands: 'anywhere', on: ['wall'] },
  shelf: { outline: box(600, 25), tiledUnder: false, clearanceMm: 3, cover: null, stands: 'anywhere', on: ['wall'] },
  nicheOpening: { outline: box(600, 300), tiledUnder: false, clearanceMm: 0, cover: null, stands: 'anywhere', on: ['wall'] },
  cutOut: {
    outline: box(150, 150),
    tiledUnder: false,
    clearanceMm: 3,
    cover: null,
    stands: 'anywhere',
    on: ['wall', 'floor', 'countertop'],
  },
};
