import { describe, expect, test } from '@jest/globals';
import { DxfWriter, LWPolylineFlags, point3d, Units } from '@tarikjabiri/dxf';
import makerjs from 'makerjs';
import { ringArea } from '../../geometry/ring.ts';
import { checkMeasured } from '../../surface/checkMeasured.ts';
import { outlineOf } from '../../surface/shapes/registry.ts';
import { startMeasured } from '../../job/startJob.ts';
import type { OutlineFile } from './drawnPath.ts';
import { outlineShape } from './outlineShape.ts';
import { layersOf, outlinesOf, readOutline } from './readOutline.ts';

const read = (text: string): OutlineFile => {
  const result = readOutline(text);
  if (!result.ok) throw new Error(JSON.stringify(result.issues));
  return result.value;
};
/** The largest outline of a drawing as walls, with its area; it must pass every check of a measured surface. */
function wallsOf(
  text: string,
  { layer = null, tolerance = 0.5, unit = 1 }: { layer?: string | null; tolerance?: number; unit?: number } = {},
) {
  const file = read(text);
  const joined = outlinesOf(file, layer, tolerance);
  const shape = outlineShape(joined.outlines[0], file.mmPerUnit ?? unit);
  expect(checkMeasured(startMeasured(shape))).toEqual([]);
  return { file, joined, shape, areaMm2: ringArea(outlineOf(shape).ring) };
}

/** A counter of 1800 x 640 with a half-round end, from a drawing library. */
function counter(): makerjs.IModel {
  const { Line, Arc } = makerjs.paths;
  return {
    units: makerjs.unitType.Millimeter,
    paths: {
      front: new Line([0, 0], [1800, 0]),
      end: new Arc([1800, 320], 320, 270, 90),
      back: new Line([1800, 640], [0, 640]),
      left: new Line([0, 640], [0, 0]),
    },
  };
}
const COUNTER_MM2 = 1800 * 640 + (Math.PI * 320 ** 2) / 2;

describe('drawings that other programs wrote', () => {
  test('DXF of lines and an arc: joined to one outline, the arc kept', () => {
    const { shape, areaMm2, file } = wallsOf(makerjs.exporter.toDXF(counter(), { units: 'mm' }));
    expect(file.unit).toBe('mm');
    expect(areaMm2).toBeCloseTo(COUNTER_MM2, -2);
    expect(shape.walls.filter(({ curve }) => curve !== null).length).toBeGreaterThanOrEqual(1);
    expect(shape.walls.length).toBeLessThanOrEqual(5);
  });

  test('SVG of the same: its arc, drawn out is an arc again', () => {
    const svg = makerjs.exporter.toSVG(counter(), { units: 'mm' });
    const { shape, areaMm2, file } = wallsOf(svg);
    expect(file.mmPerUnit).not.toBeNull();
    expect(areaMm2).toBeCloseTo(COUNTER_MM2, -3);
    const arcs = shape.walls.filter(({ curve }) => curve !== null);
    expect(arcs.length).toBeGreaterThanOrEqual(1);
    expect(shape.walls.length).toBeLessThanOrEqual(6);
  });

  test('DXF by another library: layers to choose from, inches, a polyline that is closed', () => {
    const dxf = new DxfWriter();
    dxf.setUnits(Units.Inches);
    dxf.addLayer('floor', 7, 'CONTINUOUS');
    dxf.setCurrentLayerName('floor');
    const corners = [
      [0, 0],
      [120, 0],
      [120, 60],
      [70, 60],
      [70, 96],
      [0, 96],
    ];
    dxf.addLWPolyline(
      corners.map(([x, y]) => ({ point: { x, y } })),
      { flags: LWPolylineFlags.Closed },
    );
    dxf.addLayer('notes', 3, 'CONTINUOUS');
    dxf.setCurrentLayerName('notes');
    dxf.addLine(point3d(0, 0), point3d(500, 500));
    dxf.addText(point3d(0, 0), 5, 'hall');
    const text = dxf.stringify();
    expect(layersOf(read(text))).toEqual(['floor', 'notes']);
    const { areaMm2, shape, file } = wallsOf(text, { layer: 'floor' });
    expect(file.unit).toBe('in');
    expect(areaMm2).toBeCloseTo((120 * 60 + 70 * 36) * 25.4 ** 2, 3);
    expect(shape.walls.map(({ turnDeg }) => Math.round(turnDeg))).toEqual([90, 90, -90, 90, 90, 90].slice(0, 6));
  });

  test('a skew outline drawn clockwise with gaps comes out counter-clockwise, and the widest gap is told', () => {
    const dxf = new DxfWriter();
    const at = [
      [0, 0],
      [-30, 4200],
      [5180, 4240],
      [5240, 20],
    ];
    at.forEach(([x, y], k) => {
      const [x2, y2] = at[(k + 1) % 4];
      dxf.addLine(point3d(x, y), point3d(x2 + (k === 2 ? 1.8 : 0), y2));
    });
    expect(outlinesOf(read(dxf.stringify()), null, 1)).toMatchObject({ outlines: [], open: [{}, {}] });
    const { joined, areaMm2 } = wallsOf(dxf.stringify(), { tolerance: 2 });
    expect(joined.widestGap).toBeCloseTo(1.8, 6);
    const shoelace = Math.abs(at.reduce((sum, [x, y], k) => sum + x * at[(k + 1) % 4][1] - at[(k + 1) % 4][0] * y, 0) / 2);
    expect(Math.abs(areaMm2 / shoelace - 1)).toBeLessThan(0.001);
  });

  test('SVG: what is hidden is no outline; what is used again is, where it is put; shares and units are lengths', () => {
    const svg = (inner: string): string =>
      `<svg xmlns="http://www.w3.org/2000/svg" width="2000mm" height="1000mm" viewBox="0 0 2000 1000">${inner}</svg>`;
    const hidden =
      '<rect width="900" height="900" style="fill:none; display:none"/><g visibility="hidden"><rect width="800" height="9"/></g>';
    const { file, areaMm2 } = wallsOf(svg(`${hidden}<rect x="10%" y="5%" width="50%" height="60%"/>`));
    expect(file.paths).toHaveLength(1);
    expect(file.passedOver).toEqual(['what is hidden']);
    expect(areaMm2).toBeCloseTo(1000 * 600, 3);

    const bench = '<defs><g id="b" transform="translate(5 0)"><rect id="r" width="300" height="20"/></g></defs>';
    const used = read(svg(`${bench}<use href="#b" x="100" y="50"/><use xlink:href="#r" transform="scale(2)"/><use href="#none"/>`));
    expect(used.paths.map(({ corners }) => Math.min(...corners.map(({ at }) => at[0])))).toEqual([105, 0]);
    expect(used.paths.map(({ corners }) => Math.max(...corners.map(({ at }) => at[0])))).toEqual([405, 600]);
    expect(used.passedOver).toEqual(['use of what is not there']);

    // Within itself, and in inches without a view box.
    const round = read(svg('<g id="a"><rect width="7" height="7"/><use href="#a"/></g>'));
    expect(round.paths.length).toBeLessThan(10);
    expect(round.passedOver).toEqual(['uses nested too deep']);
    const inch = read('<svg xmlns="http://www.w3.org/2000/svg" width="10in" height="5in"><rect width="2in" height="50%"/></svg>');
    expect(Math.max(...inch.paths[0].corners.map(({ at }) => at[0]))).toBeCloseTo(192, 6);
    expect(Math.min(...inch.paths[0].corners.map(({ at }) => at[1]))).toBeCloseTo(-240, 6);
  });

  test('DXF: hatching, heights, paper space and hidden layers are told', () => {
    const line = (from: readonly number[], to: readonly number[], more = ''): string =>
      `0\nLINE\n8\nwalls\n${more}10\n${from[0]}\n20\n${from[1]}\n30\n${from[2]}\n11\n${to[0]}\n21\n${to[1]}\n31\n${to[2]}\n`;
    const off = '0\nSECTION\n2\nTABLES\n0\nTABLE\n2\nLAYER\n70\n1\n0\nLAYER\n2\noff\n70\n0\n62\n-7\n0\nENDTAB\n0\nENDSEC\n';
    const file = read(
      `${off}0\nSECTION\n2\nENTITIES\n${line([0, 0, 0], [900, 0, 40])}${line([0, 0, 0], [5, 5, 0], '67\n1\n')}` +
        `${line([0, 0, 0], [7, 7, 0]).replace('walls', 'off')}0\nHATCH\n8\nwalls\n10\n0\n20\n0\n0\nENDSEC\n0\nEOF\n`,
    );
    expect(file.paths).toHaveLength(1);
    expect([...file.passedOver].sort()).toEqual(['hatch', 'heights, drawn flat', 'what is hidden', 'what lies in paper space']);
  });

  test('walls drawn past their corners are cut back to where they cross; what closes by itself is left alone', () => {
    const lines = (...all: readonly (readonly number[])[]): string =>
      `<svg xmlns="http://www.w3.org/2000/svg" width="4000mm" height="4000mm" viewBox="0 0 4000 4000">${all
        .map(([x1, y1, x2, y2]) => `<line x1="${x1}" y1="${y1}" x2="${x2}" y2="${y2}"/>`)
        .join('')}</svg>`;
    const past = lines([-50, 100, 2050, 100], [2000, 40, 2000, 1300], [2100, 1200, -30, 1200], [0, 1260, 0, 20]);
    const { joined, areaMm2 } = wallsOf(past);
    expect(joined.trimmed).toBe(4);
    expect(areaMm2).toBeCloseTo(2000 * 1100, 3);
    // An L, its six walls each past both corners.
    const ell = wallsOf(
      lines(
        [-9, 0, 2009, 0],
        [2000, -9, 2000, 809],
        [2009, 800, 991, 800],
        [1000, 791, 1000, 1509],
        [1009, 1500, -9, 1500],
        [0, 1509, 0, -9],
      ),
    );
    expect(ell.areaMm2).toBeCloseTo(2000 * 800 + 1000 * 700, 3);
    expect(wallsOf(lines([0, 0, 900, 0], [900, 0, 900, 700], [900, 700, 0, 700], [0, 700, 0, 0])).joined.trimmed).toBe(0);
  });

  test('a full circle, an ellipse and a transformed rectangle', () => {
    const circle = makerjs.exporter.toDXF({ paths: { c: new makerjs.paths.Circle([50, 50], 450) } }, { units: 'mm' });
    expect(wallsOf(circle).areaMm2 / (Math.PI * 450 ** 2)).toBeCloseTo(1, 4);
    const svg = (body: string, wide = 100): string =>
      `<svg xmlns="http://www.w3.org/2000/svg" width="${wide}mm" viewBox="0 0 1000 800">${body}</svg>`;
    expect(wallsOf(svg('<ellipse cx="500" cy="400" rx="400" ry="200"/>', 4000)).areaMm2 / (Math.PI * 1600 * 800)).toBeCloseTo(1, 3);
    const turned = wallsOf(svg('<g id="room" transform="translate(100 50)"><rect width="600" height="300" transform="rotate(20)"/></g>'));
    expect(turned.areaMm2).toBeCloseTo(60 * 30, 6);
    expect(turned.joined.outlines[0].layer).toBe('room');
  });
});

describe('drawings that can not be read say where', () => {
  const codes = (text: string): unknown[] => {
    const result = readOutline(text);
    return result.ok
      ? []
      : result.issues.map(({ code, figures }) => [code, figures['line'] ?? figures['element'] ?? figures['passedOver'] ?? null]);
  };
  const good = makerjs.exporter.toDXF(counter(), { units: 'mm' });
  const lines = good.split('\n');
  test.each<[string, string, unknown[]]>([
    ['neither', 'hello', [['outline/not-a-drawing', null]]],
    ['a DXF with a word for a code', [...lines.slice(0, 40), 'x', ...lines.slice(41)].join('\n'), [['dxf/not-a-code', 41]]],
    ['a DXF cut short', lines.slice(0, 60).join('\n'), [['dxf/cut-short', null]]],
    ['an SVG that is not XML', '<svg>\n<path d="M0 0"\n</svg>', [['svg/not-xml', 3]]],
    ['an SVG with a broken path', '<svg><path id="wall" d="M0 0 L 10 abc"/></svg>', [['svg/bad-path', 'path "wall"']]],
    ['an SVG of words', '<svg><text>hall</text></svg>', [['outline/nothing', 'text']]],
    ['another XML', '<html></html>', [['svg/no-svg', null]]],
  ])('%s', (_, text, expected) => expect(codes(text)).toEqual(expected));
});

describe('drawings that would never be done are refused in words, at once', () => {
  const svg = (inside: string): string => `<svg xmlns="http://www.w3.org/2000/svg" width="100mm" viewBox="0 0 100 100">${inside}</svg>`;
  const dxf = (...pairs: readonly (readonly [number, string | number])[]): string =>
    [...pairs, [0, 'EOF'] as const].map(([code, value]) => `${code}\n${value}`).join('\n');
  const section = (name: string, ...pairs: readonly (readonly [number, string | number])[]) =>
    [[0, 'SECTION'], [2, name], ...pairs, [0, 'ENDSEC']] as const;
  const codes = (text: string): string[] => {
    const read = readOutline(text);
    return read.ok ? [] : read.issues.map(({ code }) => code);
  };
  const nested = ['a', 'b', 'c', 'd', 'e'].flatMap((name, k, all) => [
    [0, 'BLOCK'] as const,
    [2, name] as const,
    ...Array.from({ length: 30 }, () =>
      k + 1 < all.length
        ? ([
            [0, 'INSERT'],
            [2, all[k + 1]],
            [10, 0],
            [20, 0],
          ] as const)
        : ([
            [0, 'LINE'],
            [10, 0],
            [20, 0],
            [11, 1],
            [21, 1],
          ] as const),
    ).flat(),
    [0, 'ENDBLK'] as const,
  ]);

  test.each([
    ['a path of a million corners', svg(`<path d="M0 0${'L1 1L0 2'.repeat(250_000)}z"/>`), ['outline/too-many']],
    [
      'groups in groups in groups',
      svg('<g>'.repeat(30_000) + '<rect width="5" height="5"/>' + '</g>'.repeat(30_000)),
      ['outline/too-many'],
    ],
    [
      'blocks of blocks of blocks',
      dxf(...section('BLOCKS', ...nested), ...section('ENTITIES', [0, 'INSERT'], [2, 'a'], [10, 0], [20, 0])),
      ['outline/too-many'],
    ],
    [
      'a spline of an endless degree',
      dxf(...section('ENTITIES', [0, 'SPLINE'], [71, 1_000_000_000], [40, 0], [40, 1], [10, 0], [20, 0], [10, 1], [20, 1])),
      ['outline/nothing'],
    ],
    ['a circle without a middle', dxf(...section('ENTITIES', [0, 'CIRCLE'], [40, 5])), ['outline/nothing']],
  ])('%s', (_, text, expected) => expect(codes(text)).toEqual(expected));

  test('thousands of loose lines join in one go, to the outline they were cut from', () => {
    const corners = Array.from({ length: 1900 }, (_, k) => [
      50 + 40 * Math.cos((k * Math.PI) / 950),
      50 + 40 * Math.sin((k * Math.PI) / 950),
    ]);
    const lines = corners.map(([x, y], k) => {
      const [a, b] = corners[(k + 1) % corners.length];
      return { k: (k * 7919) % corners.length, text: `<line x1="${x}" y1="${y}" x2="${a}" y2="${b}"/>` };
    });
    const read = readOutline(
      svg(
        lines
          .sort((a, b) => a.k - b.k)
          .map(({ text }) => text)
          .join(''),
      ),
    );
    if (!read.ok) throw new Error(JSON.stringify(read.issues));
    const { outlines, open } = outlinesOf(read.value, null, 0.01);
    expect([outlines.length, open.length, outlines[0].corners.length]).toEqual([1, 0, 1900]);
  });
});
