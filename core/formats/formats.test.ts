import { describe, expect, test } from '@jest/globals';
import { demoJob, demoPlan, demoText } from '../../testing/demoJob.ts';
import fc from 'fast-check';
import Papa from 'papaparse';
import { polygonsArea, ringArea, ringLength, type Ring } from '../geometry/ring.ts';
import { sharedArea } from '../geometry/clip.ts';
import { plan } from '../plan.ts';
import { describeIssue } from '../messages/en/issues.ts';
import { madeUpTiles } from '../madeUp/tiles.ts';
import type { Product } from '../tile/product.ts';
import { productsCsv, readProductsCsv } from './productsCsv.ts';
import { parseAmount } from '../units/parseAmount.ts';
import { jobOfOne } from '../samples/testJob.ts';
import { cutsCsv, orderCsv } from './csv.ts';
import { readJobFile, writeJobFile } from './jobFile.ts';
import { planJson } from './planJson.ts';

const fileOfDemo = demoText('tidewater-bakehouse');
const demo = demoJob('tidewater-bakehouse');

interface PieceJson {
  label: string;
  whole: boolean;
  tileIndex: number;
  rings: Ring[];
  tileRings: Ring[];
  cut: null | { kind: string; marks: object[]; tool: string; edgeShows: boolean };
}
interface SurfaceJson {
  region: { polygons: Ring[][] };
  areaMm2: number;
  tiledAreaMm2: number;
  jointAreaMm2: number;
  droppedAreaMm2: number;
  pieces: PieceJson[];
  totals: Record<string, number>;
  edges: { id: string; smallestCutMm: number | null; largestCutMm: number | null }[];
  setout: { reasons: string[]; jointMm: number; origin: number[] };
}

describe('the plan as JSON, held against its own drawing', () => {
  const json = planJson(demo, demoPlan('tidewater-bakehouse')) as {
    surfaces: SurfaceJson[];
    advice: { message: string; path: unknown[] }[];
    materials: { packs: { count: number }[]; cost: number }[];
    money: { total: number };
  };
  test.each(demo.surfaces.map(({ name }, k) => [name, k] as const))('%s', (_, k) => {
    const surface = json.surfaces[k];
    expect(polygonsArea(surface.region.polygons)).toBeCloseTo(surface.areaMm2, 3);
    expect(surface.pieces.reduce((sum, { rings }) => sum + rings.reduce((area, ring) => area + ringArea(ring), 0), 0)).toBeCloseTo(
      surface.tiledAreaMm2,
      1,
    );
    expect(surface.tiledAreaMm2 + surface.jointAreaMm2).toBeCloseTo(surface.areaMm2, 3);
    for (const { rings, tileRings, whole, cut } of surface.pieces) {
      expect(whole).toBe(cut === null);
      expect(sharedArea([rings], [tileRings])).toBeCloseTo(polygonsArea([rings]), -1);
      // What would lose less than half a millimetre is laid whole.
      const over = polygonsArea([rings]) - sharedArea([rings], surface.region.polygons);
      expect([over > -1, over < 5 + 0.5 * rings.reduce((sum, ring) => sum + ringLength(ring), 0)]).toEqual([true, true]);
    }
    const { pieces, whole, cut, opened, lowerBound, boxes } = surface.totals;
    expect([pieces, whole]).toEqual([surface.pieces.length, surface.pieces.filter((piece) => piece.whole).length]);
    expect(whole + cut).toBe(pieces);
    expect(lowerBound).toBeLessThanOrEqual(opened);
    expect(boxes).toBeGreaterThan(0);
    expect(surface.setout.reasons.length).toBeGreaterThan(0);
    for (const reason of surface.setout.reasons) expect(reason.length).toBeLessThanOrEqual(140);
  });
  test('costs add up', () => expect(json.materials.reduce((sum, { cost }) => sum + cost, 0)).toBeCloseTo(json.money.total, 2));
});

describe('the job file', () => {
  test('reads back to the same job', () => {
    expect(readJobFile(writeJobFile(demo))).toEqual({ ok: true, value: demo });
    expect(writeJobFile(demo)).toBe(fileOfDemo);
  });
  test('a file cut short, or with any value spoilt, is refused or read, never thrown over', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: fileOfDemo.length - 2 }), (at) => expect(readJobFile(fileOfDemo.slice(0, at)).ok).toBe(false)),
      { numRuns: 60 },
    );
    fc.assert(
      fc.property(fc.constantFrom(...Object.keys(demo)), fc.jsonValue(), (key, value) => {
        const read = readJobFile(JSON.stringify({ ...demo, [key]: value }));
        if (!read.ok) expect(read.issues.every(({ code }) => code.includes('/'))).toBe(true);
      }),
      { numRuns: 200 },
    );
  });
  test('a misspelt key is noticed', () => {
    const read = readJobFile(fileOfDemo.replace('"client"', '"cliant"'));
    expect(!read.ok && read.issues[0]).toMatchObject({ code: 'field/unknown', figures: { keys: 'cliant' } });
  });
});

describe('CSV', () => {
  const parse = (text: string) => Papa.parse<Record<string, string>>(text.trim(), { header: true });
  test('has a line for every cut piece, with the figures of the plan', () => {
    const { surfaces } = demoPlan('tidewater-bakehouse');
    surfaces.forEach((planned, k) => {
      const { data, errors } = parse(cutsCsv(demo, demo.surfaces[k], planned));
      expect(errors).toEqual([]);
      expect(data.map(({ Piece }) => Piece).sort()).toEqual(planned.toCut.map(({ label }) => label).sort());
      expect(data.every((row) => Number(row['Off']) === data.filter(({ Group }) => Group === row['Group']).length)).toBe(true);
    });
  });
  test('orders what is planned, and a name can not become a formula', () => {
    const job = jobOfOne({ size: [2000, 1000], tile: [200, 200], jointMm: 3 });
    const nasty = { ...job, products: [{ ...job.products[0], name: '=2+5' }] };
    const { data } = parse(orderCsv(nasty, plan(nasty)));
    expect(data[0]['Item']).toBe("'=2+5");
    expect(data.map(({ Cost }) => Number(Cost)).reduce((a, b) => a + b, 0)).toBeCloseTo(plan(nasty).money.total, 2);
  });
});

describe('a list of tiles as CSV', () => {
  test('written and read back it is the same list; sheets, whose chips no table holds, are named', () => {
    const kept = (product: Product) => ({ ...product, backArrow: false, sample: [], lots: [], massKg: null, picture: null });
    const { products, issues } = readProductsCsv(productsCsv(madeUpTiles()));
    const isSheet = ({ shape }: Product): boolean => shape.kind === 'sheet';
    expect(products).toEqual(
      madeUpTiles()
        .filter((product) => !isSheet(product))
        .map(kept),
    );
    expect(issues.map(({ code, path }) => [code, ...path])).toEqual(
      madeUpTiles().flatMap((product, k) => (isSheet(product) ? [['csv/sheet', 'row', k + 2, 'outline']] : [])),
    );
  });
  test('another unit is read where the head names it, tape lengths as they are written', () => {
    const { products, issues } = readProductsCsv(
      'Name,Material,Width in,Height in,Thickness (mm),Pieces a box,Price a box\nLoaf,ceramic,12,11 13/16",8,10,30\n',
    );
    expect(issues).toEqual([]);
    expect(products[0].nominal).toEqual({ widthMm: expect.closeTo(304.8, 6), heightMm: expect.closeTo(300.0375, 6) });
  });
  test('a bad cell is named by row and column, and the good rows are kept', () => {
    const head = 'name,material,width mm,height mm,thickness mm,pieces a box,price a box';
    const { products, issues } = readProductsCsv(
      `${head}\nOne,ceramic,100,100,8,10,20\nTwo,cheese,100,wide,8,10,20\nThree,glass,100,100,8,0.5,20\n`,
    );
    expect(products.map(({ name }) => name)).toEqual(['One']);
    expect(issues.map(({ path }) => path.join(' '))).toEqual(['row 3 material', 'row 3 height mm', 'row 4 pieces a box']);
    for (const found of issues) expect(describeIssue(found)).toMatch(/Expected|can't be read/);
  });
  test('missing and unknown columns and units are refused before any row is read', () => {
    const codes = (text: string): string[] => readProductsCsv(text).issues.map(({ code }) => code);
    expect(codes('')).toEqual(['csv/empty']);
    expect(codes('name,material,width yards,height mm,thickness mm,pieces a box\na,glass,1,1,1,1')).toEqual([
      'csv/unknown-unit',
      'csv/missing-column',
      'csv/missing-column',
    ]);
    const heads = 'name,material,width mm,height mm,thickness mm,pieces a box,price a box';
    expect(codes(`${heads}\na,glass,1.200,90,6,1,1`)).toEqual(['csv/mm-or-m']);
    expect(codes(`id,${heads}\nx,a,glass,90,90,6,1,1\nx,b,glass,90,90,6,1,1`)).toEqual(['job/repeated-id']);
  });
  test('a column that says nothing of a tile is left out and named; a line that tells the separator is read; two of one name are two', () => {
    const text =
      'sep=;\r\nname;taste;material;width mm;height mm;thickness mm;pieces a box;price a box\nQuay;salt;glass;90;90,5;6;10;12\nQuay;sour;glass;45;45;6;10;12\n';
    const { products, ignored, issues } = readProductsCsv(text);
    expect([issues, ignored]).toEqual([[], ['taste']]);
    expect(products.map(({ id, name, nominal }) => [id, name, nominal.heightMm])).toEqual([
      ['quay', 'Quay', 90.5],
      ['quay-2', 'Quay', 45],
    ]);
  });
  test('a name that begins as a formula is text in the table that is written', () => {
    const [tile] = madeUpTiles();
    expect(productsCsv([{ ...tile, name: '=1+1' }])).toContain("'=1+1");
  });
  test('every figure of the product is read alike: three figures after a comma are asked about', () => {
    for (const text of ['1,250', '12,500', '1,250,000'])
      expect(parseAmount(text)).toMatchObject({ ok: false, issues: [{ code: 'number/ambiguous-comma' }] });
    for (const [text, value] of [
      ['1,25', 1.25],
      ['0,125', 0.125],
      ['1.250', 1.25],
      ['12,5', 12.5],
    ] as const)
      expect(parseAmount(text)).toEqual({ ok: true, value });
  });
});
