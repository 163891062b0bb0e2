/** Colours of the drawing, on screen. */
export interface DrawingPalette {
  readonly ground: string;
  readonly joint: string;
  readonly pieceLine: string;
  /** Which way up a tile lies. */
  readonly arrow: string;
  readonly hatch: string;
  readonly label: string;
  readonly labelHalo: string;
  readonly outline: string;
  readonly fixture: string;
  readonly fixtureText: string;
  /** The strokes of symbols. */
  readonly fixtureLine: string;
  /** Low and high ground, as #rrggbb, and the lines between bands. */
  readonly levelLow: string;
  readonly levelHigh: string;
  readonly levelLine: string;
  readonly chalk: string;
  readonly dimension: string;
  /** Under a dimension that is written over the drawing. */
  readonly dimensionGround: string;
  readonly chosen: string;
  readonly profile: string;
  /** Laid over pieces that are cut or laid, and the ticks on them. */
  readonly done: string;
  readonly doneInk: string;
  /** A number on a badge in the colour of what is chosen. */
  readonly badgeInk: string;
}

/** The drawing on paper. */
export const LIGHT_DRAWING: DrawingPalette = {
  ground: '#eef1f3',
  joint: '#7d868d',
  pieceLine: 'rgba(20,32,43,0.28)',
  arrow: 'rgba(20,32,43,0.6)',
  hatch: 'rgba(20,32,43,0.42)',
  label: '#14202b',
  labelHalo: 'rgba(255,255,255,0.72)',
  outline: '#14202b',
  fixture: '#fbfcfc',
  fixtureText: '#33404b',
  fixtureLine: '#8494a1',
  levelLow: '#7f9cc2',
  levelHigh: '#f6ecd0',
  levelLine: 'rgba(20,32,43,0.35)',
  chalk: '#b03a24',
  dimension: '#14202b',
  dimensionGround: 'rgba(255,255,255,0.82)',
  chosen: '#1c4f9c',
  profile: '#b07d00',
  done: '#dfe9e2',
  doneInk: '#14613a',
  badgeInk: '#ffffff',
};

/** The drawing on a dark ground; tiles keep their own colour, a little dimmed. */
export const DARK_DRAWING: DrawingPalette = {
  ground: '#10161c',
  joint: '#4c565e',
  pieceLine: 'rgba(8,14,19,0.5)',
  arrow: 'rgba(8,14,19,0.7)',
  hatch: 'rgba(8,14,19,0.55)',
  label: '#0b131a',
  labelHalo: 'rgba(255,255,255,0.6)',
  outline: '#cdd6dd',
  fixture: '#202b35',
  fixtureText: '#e8edf1',
  fixtureLine: '#5d6e7b',
  levelLow: '#1d3350',
  levelHigh: '#8d7f56',
  levelLine: 'rgba(232,237,241,0.35)',
  chalk: '#ff7a5c',
  dimension: '#e8edf1',
  dimensionGround: 'rgba(16,22,28,0.82)',
  chosen: '#8fb8ee',
  profile: '#f2c12e',
  done: '#2a3d33',
  doneInk: '#8fd3a8',
  badgeInk: '#0b131a',
};
