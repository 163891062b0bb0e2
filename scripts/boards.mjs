// npm run boards: writes demo/sample-boards.json, every kind of pattern on boards of one size.
import { writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { build, install } from './build.mjs';

process.chdir(fileURLToPath(new URL('..', import.meta.url)));
install();
build(['cli']);

const at = (path) => import(`../core/dist/${path}.js`);
const { startJob, startSurface } = await at('job/startJob');
const { writeJobFile } = await at('formats/jobFile');
const { layingOfKind } = await at('pattern/suitLaying');
const { PATTERNS } = await at('pattern/registry');
const { PATTERN_NAMES } = await at('messages/en/patterns');
const { METRIC_TAPE } = await at('units/tape');

const BOARD = { widthMm: 1200, heightMm: 900 };
const ROOMS = {
  straight: { name: 'Straight courses', kinds: ['stack', 'runningBond', 'randomStagger', 'corridor', 'modularSet', 'ashlar'] },
  woven: {
    name: 'Woven and turned',
    kinds: ['herringbone', 'chevron', 'basketWeave', 'turnedSquares', 'wovenDots', 'windmill', 'pinwheel'],
  },
  cornered: { name: 'Cornered', kinds: ['hexagon', 'octagonDot', 'diamond', 'cubes', 'triangle'] },
  round: { name: 'Round and in sheets', kinds: ['arabesque', 'scallop', 'pennyRound', 'sheet'] },
};
/** The tile that shows a kind best; any that suits where none is named. */
const TILES = {
  stack: 'salt-square',
  runningBond: 'loaf-brick',
  randomStagger: 'deck-plank',
  corridor: 'salt-square',
  herringbone: 'oven-brick',
  basketWeave: 'weave-strip',
  turnedSquares: 'mooring-print',
  hexagon: 'honey-hex',
  ashlar: 'sluice-large',
  modularSet: 'sluice-large',
  sheet: 'foam-hex',
};
/** Joints of tiles that ask for another than 2 mm. */
const JOINTS = { modularSet: 5, ashlar: 5, octagonDot: 3, hexagon: 3, randomStagger: 3, basketWeave: 2, pinwheel: 3, windmill: 2 };
const MIXES = {
  cubes: { rule: { kind: 'byTurn' }, others: ['sail-diamond', 'sail-diamond-mid', 'sail-diamond-dark'], byHand: {} },
  triangle: { rule: { kind: 'byTurn' }, others: ['pennant', 'pennant-pale'], byHand: {} },
};

const job = startJob('sample-boards', 'Sample boards', METRIC_TAPE);
const dot = job.products.find(({ id }) => id === 'pier-dot');
job.products = [...job.products, { ...dot, id: 'pier-dot-rust', name: 'Pier dot 60 rust', colour: '#9c5a3c' }];

function board(id, name, roomId, laying) {
  const plain = startSurface(job, id, name, 'wall', BOARD.widthMm, BOARD.heightMm);
  const roles = { left: 'exposed', right: 'exposed', top: 'exposed', bottom: 'exposed' };
  return { ...plain, roomId, measured: { ...plain.measured, roles }, ...laying };
}
function layingOf(kind) {
  const start = startSurface(job, 'x', 'x', 'wall', BOARD.widthMm, BOARD.heightMm);
  const { productId, parts, pattern, turnDeg, mirrored, colours, partColours } = start;
  const jointMm = JOINTS[kind] ?? 2;
  const current = { productId: TILES[kind] ?? productId, parts, jointMm, pattern, turnDeg, mirrored, colours, partColours };
  const laying = layingOfKind(kind, current, job.products, job.consumption.kerfMm);
  const mix = MIXES[kind];
  return mix ? { ...laying, colours: { ...mix, others: mix.others.filter((id) => id !== laying.productId) } } : laying;
}

const missing = Object.keys(PATTERNS).filter((kind) => !Object.values(ROOMS).some(({ kinds }) => kinds.includes(kind)));
if (missing.length > 0) throw new Error(`expected a board for every kind of pattern, none for: ${missing.join(', ')}`);

job.rooms = Object.entries(ROOMS).map(([id, { name }]) => ({ id, name }));
job.surfaces = Object.entries(ROOMS).flatMap(([roomId, { kinds }]) =>
  kinds.map((kind) => board(kind, PATTERN_NAMES[kind], roomId, layingOf(kind))),
);
job.surfaces.push(
  board('checkers', 'Checkers at 45°', 'straight', {
    ...layingOf('stack'),
    turnDeg: 45,
    colours: { rule: { kind: 'checkers' }, others: ['rye-square'], byHand: {} },
  }),
  board('double-herringbone', 'Double herringbone', 'woven', {
    ...layingOf('herringbone'),
    productId: 'loaf-brick',
    pattern: { kind: 'herringbone', lay: 'lying', strips: 2 },
  }),
  board('two-dots', 'Dots in two colours', 'cornered', {
    ...layingOf('octagonDot'),
    partColours: { dot: { rule: { kind: 'checkers' }, others: ['pier-dot-rust'], byHand: {} } },
  }),
);
writeFileSync('demo/sample-boards.json', writeJobFile(job));
process.stdout.write(`demo/sample-boards.json: ${job.surfaces.length} boards\n`);
