// npm run gallery: writes docs/patterns.md, every kind of pattern on the same skew surface, from the product's own output.
import { mkdirSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { build, install } from './build.mjs';

process.chdir(fileURLToPath(new URL('..', import.meta.url)));
install();
build(['cli']);

const at = (path) => import(`../core/dist/${path}.js`);
const { trialJob } = await at('samples/trialJob');
const { planSurface } = await at('plan');
const { PATTERNS, repeatOf } = await at('pattern/registry');
const { trialModule } = await at('pattern/trialModule');
const { jointShare } = await at('pattern/jointShare');
const { PATTERN_NAMES, PATTERN_SUITS, SHAPE_NAMES } = await at('messages/en/patterns');
const { forEachPiece } = await at('setout/fields/eachPiece');
const { boxOf } = await at('geometry/ring');
const { cellShift } = await at('pattern/repeat');

/** Small patterns on a smaller surface, so that joints are seen. */
const SCALES = { sheet: 0.55, pennyRound: 0.75, ashlar: 0.9, wovenDots: 1.15, chevron: 1.1, cubes: 0.9, diamond: 0.9 };
const WIDTH_PX = 460;
const MARGIN_MM = 18;
const JOINT = '#d9d4c8';
const SHADES = ['#a9bcc4', '#8fa6b1', '#c3d0d3'];
const PARTS = { dot: '#3a4a55', small: '#c8a36f', half: '#b98f63', large: '#7d939d' };

/** The colour of a piece: by its part, else by the way it lies. */
function colourOf(piece, turns) {
  if (piece.colour) return piece.colour;
  if (piece.part !== null) return PARTS[piece.part] ?? '#c8a36f';
  return SHADES[turns.indexOf(Math.round(piece.turnDeg)) % SHADES.length];
}

function picture(kind) {
  const scale = SCALES[kind] ?? 1;
  const job = trialJob(PATTERNS[kind].defaults, scale);
  const plan = planSurface(job, job.surfaces[0]);
  const { layout, traced, cuts, totals } = plan;
  const { pieces, sheetEdges } = layout.repeat;
  const turns = [...new Set(pieces.map(({ turnDeg }) => Math.round(turnDeg)))];
  const box = boxOf(traced.outline);
  const [left, top] = [box.minX - MARGIN_MM * scale, box.maxY + MARGIN_MM * scale];
  const px = WIDTH_PX / (box.maxX - box.minX + 2 * MARGIN_MM * scale);
  const height = Math.round((box.maxY - box.minY + 2 * MARGIN_MM * scale) * px);
  const trace = (ring) => {
    const places = ring.map(([x, y]) => [(x - left) * px, (top - y) * px]);
    // Corners of an arc that fall on the same place are left out.
    const seen = places.filter(([x, y], k) => k % 2 === 0 || Math.hypot(x - places[k - 1][0], y - places[k - 1][1]) > 1);
    return `M${seen.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`;
  };
  const fills = new Map();
  const add = (colour, d) => fills.set(colour, (fills.get(colour) ?? '') + d);
  const cells = new Set();
  let hatch = '';
  forEachPiece(plan.fields[0], ({ address, piece, polygons, isCut }) => {
    cells.add(`${address.i}/${address.j}`);
    const d = polygons.flat().map(trace).join('');
    add(colourOf(piece, turns), d);
    if (isCut) hatch += d;
  });
  const region = traced.region.flat().map(trace).join('');
  const [ox, oy] = layout.placement.origin;
  const seams = [...cells].flatMap((cell) => {
    const [dx, dy] = cellShift(layout.repeat, ...cell.split('/').map(Number));
    return (sheetEdges ?? []).map((ring) => trace(ring.map(([x, y]) => [x + dx + ox, y + dy + oy])));
  });
  const svg = [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH_PX} ${height}" role="img" aria-label="${PATTERN_NAMES[kind]}">`,
    `<defs><pattern id="h" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><path d="M0 0V6" stroke="#14202b" stroke-opacity=".45"/></pattern><clipPath id="r"><path d="${region}" clip-rule="evenodd"/></clipPath></defs>`,
    `<rect width="100%" height="100%" fill="#fbfbf9"/>`,
    `<path d="${region}" fill="${JOINT}" fill-rule="evenodd"/>`,
    ...[...fills].map(([colour, d]) => `<path d="${d}" fill="${colour}" fill-rule="evenodd"/>`),
    `<path d="${hatch}" fill="url(#h)" fill-rule="evenodd"/>`,
    ...(seams.length > 0 ? [`<path d="${seams.join('')}" fill="none" stroke="#14202b" stroke-width="1.6" clip-path="url(#r)"/>`] : []),
    `<path d="${trace(traced.outline)}" fill="none" stroke="#14202b" stroke-width="2"/>`,
    '</svg>\n',
  ].join('\n');
  const module = trialModule(PATTERNS[kind].defaults, 3);
  return {
    svg,
    pieces: totals.pieces,
    whole: totals.whole,
    cut: cuts.length,
    share: 100 * jointShare(repeatOf(PATTERNS[kind].defaults, module)),
  };
}

mkdirSync('docs/patterns', { recursive: true });
const sections = Object.keys(PATTERNS).map((kind) => {
  const { svg, pieces, whole, cut, share } = picture(kind);
  writeFileSync(`docs/patterns/${kind}.svg`, svg);
  const takes = PATTERNS[kind].takes.map((shape) => SHAPE_NAMES[shape].toLowerCase()).join(', ');
  return `## ${PATTERN_NAMES[kind]}

![${PATTERN_NAMES[kind]}](patterns/${kind}.svg)

${PATTERN_SUITS[kind]}

Outline: ${takes}. Here ${pieces} pieces, ${whole} whole and ${cut} cut; joints ${share.toFixed(2)} % of the area at 3 mm. \`core/pattern/kinds/${kind}.ts\`
`;
});
writeFileSync(
  'docs/patterns.md',
  `# Patterns

Every kind of pattern on the same skew surface, with a hole, a pipe and a rounded side, as the product sets it out: hatched pieces are cut, the joint is 3 mm. \`npm run gallery\` draws this page anew from the product's own output. Any of these can be turned by any angle, mirrored, mixed from several tiles, framed by a border, parted by bands, or laid within another as an inset.

${sections.join('\n')}`,
);
console.log(`docs/patterns.md: ${sections.length} kinds`);
