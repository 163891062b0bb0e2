import { describe, expect, test } from '@jest/globals';
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import ExcelJS from 'exceljs';
import { tripsFor } from '@azulejo/core/cuts/cutOrder';
import { tapeOf } from '@azulejo/core/job/job';
import { quoteRows } from '@azulejo/core/job/quoteRows';
import { LANGUAGES } from '@azulejo/core/messages/language';
import { thingNamesOf } from '@azulejo/core/messages/thingNames';
import { wordsIn } from '@azulejo/core/messages/words';
import { entriesInForce } from '@azulejo/core/site/entry';
import { siteRecordsSchema } from '@azulejo/core/site/siteRecords';
import { zoneMixes } from '@azulejo/core/takeoff/mixes/zoneMixes';
import { formatCoins, formatMoney, fromCoins, roundMoney } from '@azulejo/core/units/currency';
import { demoJob, demoPlan } from '../../testing/demoJob.ts';
import { writeBackPaper, writeCutPaper } from './cutPaper.ts';
import { surfaceSource, type JobSource } from './exportKind.ts';
import { writeHandover, writeSnags } from './handoverPaper.ts';
import { writeMixCard } from './mixCard.ts';
import { writeOrderPaper, writeOrderSheet } from './orderPaper.ts';
import { writeQuote } from './quotePaper.ts';
import { writeStickers } from './stickers.ts';

const job = demoJob('tidewater-bakehouse');
const plan = demoPlan('tidewater-bakehouse');
const site = new URL('../../demo/tidewater-bakehouse.site.json', import.meta.url);
const records = siteRecordsSchema.parse(JSON.parse(readFileSync(site, 'utf8')));
const log = entriesInForce(records.entries);

/** What stands on a paper, without the spaces that its lines are broken at. */
const read = (pdf: Buffer): string => bare(execFileSync('pdftotext', ['-raw', '-', '-'], { input: pdf, encoding: 'utf8' }));
const bare = (text: string): string => text.replace(/[\s\u00a0]+/g, '');
/** Texts that a paper does not have. */
const missing = (paper: string, texts: readonly string[]): string[] => texts.filter((text) => !paper.includes(bare(text)));

describe.each(LANGUAGES)('papers in %s', (language) => {
  const words = wordsIn(language);
  const source: JobSource = { job, plan: () => plan, log, records, words };

  test('the order has every line that is bought, with what is needed, its packs and what it costs, and their sum', async () => {
    const paper = read(await writeOrderPaper(source));
    const bought = plan.materials.filter(({ packs }) => packs.length > 0);
    expect(bought.length).toBeGreaterThan(20);
    const lines = bought.flatMap((line) => [
      words.materialName(job, line),
      words.describeQuantity(line, words.read(job.tape)),
      words.describePacks(line),
      words.money(formatMoney(line.cost, job.currency)),
    ]);
    expect(missing(paper, [...lines, words.money(formatMoney(plan.money.total, job.currency)), words.SAFETY.mixing])).toEqual([]);
  });

  test('the order as a spreadsheet reckons what the plan does', async () => {
    const book = new ExcelJS.Workbook();
    await book.xlsx.load((await writeOrderSheet(source)) as unknown as ArrayBuffer);
    const [sheet] = book.worksheets;
    const costs: number[] = [];
    sheet.eachRow((row, at) => {
      if (at === 1 || at === sheet.rowCount) return;
      const [count, price, cost] = ['D', 'G', 'H'].map((column) => row.getCell(column));
      const { formula, result } = cost.value as ExcelJS.CellFormulaValue;
      expect([formula, result]).toEqual([`D${at}*G${at}`, roundMoney(Number(count.value) * Number(price.value), job.currency)]);
      costs.push(Number(result));
    });
    expect(costs).toHaveLength(plan.materials.reduce((sum, { packs }) => sum + packs.length, 0));
    const { formula, result } = sheet.getCell(`H${sheet.rowCount}`).value as ExcelJS.CellFormulaValue;
    expect(formula).toBe(`SUM(H2:H${sheet.rowCount - 1})`);
    expect(result).toBeCloseTo(plan.money.total, 2);
    expect(costs.reduce((sum, cost) => sum + cost, 0)).toBeCloseTo(plan.money.total, 2);
  });

  test('the quote has its rows, taxes and what is to pay, adds up, and stands as long as it says', async () => {
    const today = new Date(2026, 1, 1, 12);
    const paper = read(await writeQuote(source, today));
    const { quote } = plan.money;
    const coins = (cents: number): string => words.money(formatCoins(cents, job.currency));
    const rows = quoteRows(job, quote);
    expect(
      missing(
        paper,
        rows.flatMap((row) => [words.quoteRowName(row), coins(row.cents)]),
      ),
    ).toEqual([]);
    expect(
      missing(
        paper,
        quote.taxes.map(({ taxCents }) => coins(taxCents)),
      ),
    ).toEqual([]);
    const sum =
      rows.reduce((all, { cents }) => all + cents, 0) - quote.discountCents + quote.taxes.reduce((all, { taxCents }) => all + taxCents, 0);
    expect(sum).toBe(quote.totalCents);
    expect(fromCoins(sum, job.currency)).toBeGreaterThan(1000);
    const valid = new Date(2026, 1, 1 + (job.charging?.validDays ?? 30), 12);
    expect(missing(paper, [coins(sum), words.dateWords(today), words.dateWords(valid)])).toEqual([]);
  });

  test('the card for the mixer has each mix, what is stirred for every zone, and the caution', async () => {
    const paper = read(await writeMixCard(source));
    const tape = words.read(job.tape);
    const texts = plan.mixes.flatMap((mix) => {
      const stirred = zoneMixes(mix, plan.surfaces);
      const zones = stirred.flatMap((one) => words.describeZoneMixes(one.zones, tape));
      return [words.mixName(mix), words.describeStirred(mix, stirred, tape), ...words.explainMix(mix, stirred, tape), ...zones];
    });
    expect(texts.length).toBeGreaterThan(10);
    expect(missing(paper, [...texts, words.SAFETY.mixing])).toEqual([]);
  });

  test('the note for the client has every line of what was laid, used, left and is still to be done; the list of snags each of them', async () => {
    const note = read(await writeHandover(source, new Date(2026, 1, 1)));
    const parts = words.describeHandover(job, plan, log);
    expect(parts.length).toBeGreaterThan(4);
    expect(
      missing(
        note,
        parts.flatMap(({ heading, lines }) => [heading, ...lines]),
      ),
    ).toEqual([]);
    const snags = log.flatMap(({ data }) => (data.kind === 'snag' ? [data.text] : []));
    expect(missing(read(await writeSnags(source)), snags)).toEqual([]);
  });

  test.each(['washroom-side', 'oven-wall', 'flat-kitchen', 'splashback'])(
    'the paper of %s says why it starts there, its lines, every cut with its marks, and its zones',
    async (id) => {
      const surface = job.surfaces.find((one) => one.id === id);
      const planned = plan.surfaces.find(({ surfaceId }) => surfaceId === id);
      if (!surface || !planned) throw new Error(id);
      const own = surfaceSource({ job, surface, planned, mixes: plan.mixes }, words);
      const paper = read(await writeCutPaper(own));
      const tape = words.read(tapeOf(job, surface));
      const names = thingNamesOf(planned.traced);
      const said = [...words.describeSetout(planned.advice.reasons, names, tape), ...words.describeLines(planned.struck, names, tape)];
      expect(
        missing(paper, [...said, ...(planned.ledger ? [...words.describeLedger(planned.ledger, tape), words.SAFETY.drilling] : [])]),
      ).toEqual([]);
      const settings = tripsFor(planned, surface.pattern, job.cutting).flatMap((trip) => trip.settings);
      for (const { group, pieces } of settings) {
        const marks = group.first.marks.map((mark) => words.describeMark(mark, tape));
        expect([group.id, missing(paper, [...marks, ...pieces.map(({ label }) => label)])]).toEqual([group.id, []]);
      }
      if (planned.zones.zones.length > 1)
        expect(
          missing(
            paper,
            planned.zones.zones.map((zone) => words.describeZone(zone, tape)),
          ),
        ).toEqual([]);
      expect(missing(paper, settings.length > 0 ? [words.SAFETY.cutting] : [])).toEqual([]);
    },
  );

  test('face down the sides change; a sticker has the label and size of every piece', async () => {
    const surface = job.surfaces.find(({ id }) => id === 'washroom-side');
    const planned = plan.surfaces.find(({ surfaceId }) => surfaceId === 'washroom-side');
    if (!surface || !planned) throw new Error('washroom-side');
    const own = surfaceSource({ job, surface, planned }, words);
    const [face, back] = [read(await writeCutPaper(own)), read(await writeBackPaper(own))];
    const sided = planned.groups.flatMap(({ first: { marks } }) => marks).filter((mark) => mark.type === 'line' && mark.from === 'left');
    expect(sided.length).toBeGreaterThan(0);
    for (const mark of sided) {
      if (mark.type !== 'line') continue;
      expect(missing(face, [words.describeMark(mark, own.tape)])).toEqual([]);
      expect(missing(back, [words.describeMark({ ...mark, from: 'right' }, own.tape)])).toEqual([]);
    }
    expect(
      missing(
        read(await writeStickers(own)),
        planned.toCut.map(({ label }) => label),
      ),
    ).toEqual([]);
  });
});
