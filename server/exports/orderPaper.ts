import ExcelJS from 'exceljs';
import type { JobSource } from './exportKind.ts';
import { startJobPaper, writeTable, writeText } from './jobPaper.ts';
import { FAINT } from './paper.ts';
import { coinDigits, formatMoney, roundMoney } from '@azulejo/core/units/currency';

/** The order for the shop: what, how many packs, what they cost. Tiles of one product from one lot. */
export function writeOrderPaper(source: JobSource): Promise<Buffer> {
  const { job, plan, words } = source;
  const { say } = words;
  const { materials, money } = plan();
  const paper = startJobPaper(source, say('paper/order'), words.dateWords(new Date()));
  const rows = materials
    .filter(({ packs }) => packs.length > 0)
    .map((line) => [
      words.materialName(job, line),
      words.describeQuantity(line, words.read(job.tape)),
      words.describePacks(line),
      words.money(formatMoney(line.cost, job.currency)),
    ]);
  rows.push([say('paper/beforeTax'), '', '', words.money(formatMoney(money.total, job.currency))]);
  writeTable(
    paper,
    [
      { title: say('paper/what'), width: 190 },
      { title: say('paper/needed'), width: 75, right: true },
      { title: say('paper/toBuy'), width: paper.width - 190 - 75 - 75 },
      { title: job.currency, width: 75, right: true },
    ],
    rows,
    (row) => row === rows.length - 1,
  );
  paper.y += 10;
  writeText(paper, say('paper/oneLot'), 9, FAINT);
  writeText(paper, words.SAFETY.mixing, 8, FAINT);
  return paper.finish();
}

/** The same as a spreadsheet: a line for each size of pack, costs as formulas. */
export async function writeOrderSheet({ job, plan, words }: JobSource): Promise<Buffer> {
  const { say } = words;
  const { materials } = plan();
  const book = new ExcelJS.Workbook();
  const sheet = book.addWorksheet(say('paper/order'), { views: [{ state: 'frozen', ySplit: 1 }] });
  sheet.columns = [
    { header: say('paper/what'), key: 'what', width: 36 },
    { header: say('paper/needed'), key: 'needed', width: 12 },
    { header: say('paper/unit'), key: 'unit', width: 9 },
    { header: say('paper/packs'), key: 'packs', width: 8 },
    { header: say('paper/pack'), key: 'pack', width: 11 },
    { header: say('paper/holds'), key: 'holds', width: 9 },
    { header: say('paper/priceIn', job), key: 'price', width: 12 },
    { header: say('paper/costIn', job), key: 'cost', width: 12 },
  ];
  sheet.getRow(1).font = { bold: true };
  const coins = (0).toFixed(coinDigits(job.currency));
  for (const line of materials)
    line.packs.forEach(({ count, size, litres, price }, k) => {
      const row = sheet.addRow({
        what: words.materialName(job, line),
        needed: k === 0 ? Math.round(line.quantity * 100) / 100 : null,
        unit: words.UNIT_NAMES[line.unit],
        packs: count,
        pack: [words.packName(line.item, count), ...(litres === undefined ? [] : [`${words.figure(litres)} L`])].join(', '),
        holds: Math.round(size * 100) / 100,
        price,
      });
      row.getCell('cost').value = { formula: `D${row.number}*G${row.number}`, result: roundMoney(count * price, job.currency) };
      for (const key of ['price', 'cost']) row.getCell(key).numFmt = coins;
    });
  const last = sheet.rowCount;
  const total = materials.reduce((sum, { cost }) => sum + cost, 0);
  const sum = sheet.addRow({ what: say('paper/beforeTax') });
  sum.font = { bold: true };
  sum.getCell('cost').value = { formula: `SUM(H2:H${last})`, result: roundMoney(total, job.currency) };
  sum.getCell('cost').numFmt = coins;
  return Buffer.from(await book.xlsx.writeBuffer());
}
