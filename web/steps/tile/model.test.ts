import { describe, expect, test } from '@jest/globals';
import { acceptChange } from '@azulejo/core/job/acceptChange';
import { editJob } from '@azulejo/core/job/edit/editJob';
import type { Surface } from '@azulejo/core/job/job';
import { moduleOf } from '@azulejo/core/pattern/laying';
import { ONE_COLOUR, type Colours } from '@azulejo/core/pattern/colours';
import { partsOf, PATTERNS, type PatternId } from '@azulejo/core/pattern/registry';
import { actualSize } from '@azulejo/core/tile/product';
import { METRIC_TAPE } from '@azulejo/core/units/tape';
import { readProductsCsv, productsCsv } from '@azulejo/core/formats/productsCsv';
import { demoJob } from '../../../testing/demoJob.ts';
import { plannedOnce } from '../../../testing/plannedOnce.ts';
import {
  findTiles,
  layingsByKind,
  offerText,
  partRows,
  samePlace,
  startArea,
  startBand,
  startRule,
  takeOffer,
  takeRows,
  withCount,
  withoutTile,
  withPart,
  withTile,
} from './model.ts';

const job = demoJob('tidewater-bakehouse');
const { products } = job;
const kerfMm = job.consumption.kerfMm;

describe('the list of tiles', () => {
  test('finds by name, material, shape and size, all words at once', () => {
    expect(findTiles(products, '', METRIC_TAPE)).toEqual(products);
    const [first] = products;
    expect(findTiles(products, first.name.toUpperCase(), METRIC_TAPE)).toContain(first);
    const round = Math.round(actualSize(first).widthMm);
    for (const found of findTiles(products, `${first.material} ${round}`, METRIC_TAPE)) expect(found.material).toBe(first.material);
    expect(findTiles(products, `${first.name} nothingofthekind`, METRIC_TAPE)).toEqual([]);
  });

  test('takes price and lots of a supplier, in pieces', () => {
    const [product] = products;
    const lots = [{ code: 'K7', shade: 'B', calibre: '2', boxes: 3 }];
    const offer = { productId: product.id, boxPrice: 31.5, stockBoxes: 3, lots, leadDays: 4 };
    const { job: after } = editJob(job, 'supplierPrice', (draft) => takeOffer(draft, offer));
    expect(after.products[0]).toMatchObject({ boxPrice: 31.5, lots: [{ code: 'K7', pieces: 3 * product.piecesPerBox }] });
    expect(after.products.slice(1)).toEqual(products.slice(1));
    expect(offerText(offer, 'EUR')).toMatch(/31\.50.* a box, 3 boxes in one lot, more in 4 days/);
    expect(offerText({ ...offer, stockBoxes: 0, lots: [] }, 'EUR')).toContain('none in stock');
    expect(offerText(undefined, 'EUR')).toBe('not carried');
    expect(editJob(job, 'supplierPrice', (draft) => takeOffer(draft, { ...offer, productId: 'gone' })).change.edits).toEqual([]);
  });

  test('a table read back changes nothing; a row without an id is one more tile, a known one is changed in what the table says', () => {
    const table = readProductsCsv(productsCsv(products));
    const again = editJob(job, 'readTiles', (draft) => takeRows(draft, table, () => 'new'));
    expect(again.job.products).toEqual(products);
    const [first] = products;
    const rows = [
      { ...first, id: '', name: 'Another' },
      { ...first, boxPrice: 99, name: 'Not given' },
    ];
    const { job: after } = editJob(job, 'readTiles', (draft) =>
      takeRows(draft, { products: rows, given: [[], ['boxPrice']] }, () => 'new'),
    );
    expect(after.products.at(-1)).toMatchObject({ id: 'new', name: 'Another' });
    expect(after.products[0]).toEqual({ ...first, boxPrice: 99 });
  });
});

describe('what is laid', () => {
  const [surface] = job.surfaces;

  test('a part lists the tiles by how near they come, and says the size it asks for', () => {
    const kinds = (Object.keys(PATTERNS) as PatternId[]).flatMap((kind) => layingsByKind(surface, products, kerfMm).get(kind) ?? []);
    const withParts = kinds.filter((laying) => partRows(laying, products, METRIC_TAPE).length > 0);
    expect(withParts.length).toBeGreaterThan(1);
    for (const laying of withParts) {
      const ideals = partsOf(laying.pattern, moduleOf({ ...laying, parts: {} }, products));
      for (const { part, tiles } of partRows(laying, products, METRIC_TAPE)) {
        const off = tiles.map((tile) => {
          const { widthMm, heightMm } = actualSize(tile);
          return Math.abs(widthMm - ideals[part].widthMm) + Math.abs(heightMm - ideals[part].heightMm);
        });
        expect(off).toEqual([...off].sort((a, b) => a - b));
        expect(tiles.every(({ shape }) => shape.kind === 'rectangle')).toBe(true);
      }
    }
  });

  test('a part in another tile forgets a mix that it can not be part of, and no other', () => {
    const [tile] = products.filter(({ shape }) => shape.kind === 'rectangle');
    const odd = products.find(({ thicknessMm, id }) => id !== tile.id && thicknessMm !== tile.thicknessMm);
    if (!odd) throw new Error('the demo has tiles of one thickness only');
    const mix: Colours = { rule: { kind: 'checkers' }, others: [tile.id], byHand: {} };
    const laying = { ...surface, parts: { dot: tile.id, strip: tile.id }, partColours: { dot: mix, strip: mix } };
    const after = withPart(laying, 'dot', odd.id, products);
    expect(after).toEqual({ parts: { dot: odd.id, strip: tile.id }, partColours: { strip: mix } });
    expect(withPart(laying, 'dot', tile.id, products).partColours).toEqual(laying.partColours);
  });

  test('what is set in to begin with is taken by the job, and lies within the surface', () => {
    const { surfaces } = plannedOnce(job);
    for (const one of job.surfaces.filter(({ kind }) => kind === 'floor' || kind === 'wall')) {
      const plan = surfaces.find(({ surfaceId }) => surfaceId === one.id);
      if (!plan) continue;
      const area = startArea(one, plan);
      const band = startBand(job, one, plan);
      const { maxY, minY, maxX, minX } = plan.traced.limits;
      expect(area.outline).toMatchObject({ widthMm: Math.round((maxX - minX) / 2), heightMm: Math.round((maxY - minY) / 2) });
      expect(band?.productId).not.toBe(one.productId);
      expect(band && band.atMm > 0 && band.atMm < maxY - minY).toBe(true);
    }
    const [plain] = job.surfaces.filter(({ insets, measured }) => insets.length === 0 && measured.shape.kind === 'rectangle');
    const plan = surfaces.find(({ surfaceId }) => surfaceId === plain.id);
    if (!plan) throw new Error('a plain surface is not planned');
    const put = (write: (target: Surface) => void) =>
      acceptChange(
        job,
        editJob(job, 'addAnInset', (draft) => write(draft.surfaces.find(({ id }) => id === plain.id) ?? draft.surfaces[0])).job,
      );
    expect(put((target) => void target.insets.push(startArea(plain, plan)))).toMatchObject({ ok: true });
    expect(startBand({ products: products.filter(({ id }) => id === plain.productId) }, plain, plan)).toBeNull();
  });
});

describe('tiles that are mixed', () => {
  test('the first that joins is laid by turns; the last that goes leaves one tile, and what was coloured by hand is left to the rule', () => {
    const two = withTile(ONE_COLOUR, 'b');
    expect(two).toMatchObject({ others: ['b'], rule: { kind: 'checkers' } });
    const three = withTile({ ...two, rule: { kind: 'byTurn' }, byHand: { '0/0/0': 1 } }, 'c');
    expect(three).toMatchObject({ others: ['b', 'c'], rule: { kind: 'byTurn' } });
    expect(withoutTile(three, 1)).toMatchObject({ others: ['c'], byHand: {} });
    expect(withoutTile(two, 1)).toEqual(ONE_COLOUR);
  });

  test('a rule begins alike for all; a count is set for one, the others keep theirs', () => {
    expect(startRule('rows', 3)).toEqual({ kind: 'rows', rows: [1, 1, 1] });
    expect(startRule('random', 4)).toEqual({ kind: 'random', shares: [25, 25, 25, 25], seed: 1 });
    expect(startRule('checkers', 2)).toEqual({ kind: 'checkers' });
    const mix: Colours = { rule: { kind: 'rows', rows: [2] }, others: ['b', 'c'], byHand: {} };
    expect(withCount(mix, 2, 5, 3)?.rule).toEqual({ kind: 'rows', rows: [2, 1, 5] });
    expect(withCount({ ...mix, rule: startRule('random', 3) }, 0, 60, 3)?.rule).toMatchObject({ shares: [60, 33, 33] });
    expect(withCount({ ...mix, rule: { kind: 'checkers' } }, 0, 2, 3)).toBeNull();
  });
});

test('a room shares where it is and what it carries, not what it is laid in', () => {
  const own = { place: 'wet', load: 'foot', heated: false, adhesive: 'epoxy' } as unknown as Parameters<typeof samePlace>[0];
  const other = { grout: 'cement', heated: true } as unknown as Parameters<typeof samePlace>[1];
  expect(samePlace(own, other)).toEqual({ place: 'wet', load: 'foot', heated: false, grout: 'cement' });
  expect(samePlace(undefined, other)).toEqual(other);
});
