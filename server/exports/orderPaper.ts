import ExcelJS from 'exceljs';
import type { Job } from '@azulejo/core/job/job';
import { describePacks, describeQuantity, materialName } from '@azulejo/core/messages/en/materials';
import { packName, UNIT_NAMES } from '@azulejo/core/messages/en/materialNames';
import { SAFETY } from '@azulejo/core/messages/en/safety';
import type { Plan } from '@azulejo/core/plan';
import { dateWords, startJobPaper, writeTable, writeText } from './jobPaper.ts';
import { FAINT } from './paper.ts';
import { coinDigits, formatMoney, roundMoney } from '@azulejo/core/units/currency';

/** The order for the shop: what, how many packs, what they cost. Tiles of one product from one lot. */
export function writeOrderPaper(job: Job, { materials, money }: Plan): Promise<Buffer> {
  const paper = startJobPaper(job, 'Order', dateWords(new Date()));
  const rows = materials
    .filter(({ packs }) => packs.length > 0)
    .map((line) => [materialName(job, line), describeQuantity(line, job.tape), describePacks(line), formatMoney(line.cost, job.currency)]);
  rows.push(['Together, before tax', '', '', formatMoney(money.total, job.currency)]);
  writeTable(
    paper,
    [
      { title: 'What', width: 190 },
      { title: 'Needed', width: 75, right: true },
      { title: 'To buy', width: paper.width - 190 - 75 - 75 },
      { title: job.currency, width: 75, right: true },
    ],
    rows,
    (row) => row === rows.length - 1,
  );
  paper.y += 10;
  writeText(paper, 'All boxes of one tile from one lot, please: shade and calibre as on the first.', 9, FAINT);
  writeText(paper, SAFETY.mixing, 8, FAINT);
  return paper.finish();
}

/** The same as a spreadsheet: a line for each size of pack, costs as formulas. */
export async function writeOrderSheet(job: Job, { materials }: Plan): Promise<Buffer> {
  const book = new ExcelJS.Workbook();
  const sheet = book.addWorksheet('Order', { views: [{ state: 'frozen', ySplit: 1 }] });
  sheet.columns = [
    { header: 'What', key: 'what', width: 36 },
    { header: 'Needed', key: 'needed', width: 12 },
    { header: 'Unit', key: 'unit', width: 9 },
    { header: 'Packs', key: 'packs', width: 8 },
    { header: 'Pack', key: 'pack', width: 11 },
    { header: 'Holds', key: 'holds', width: 9 },
    { header: `Price, ${job.currency}`, key: 'price', width: 12 },
    { header: `Cost, ${job.currency}`, key: 'cost', width: 12 },
  ];
  sheet.getRow(1).font = { bold: true };
  const coins = (0).toFixed(coinDigits(job.currency));
  for (const line of materials)
    line.packs.forEach(({ count, size, price }, k) => {
      const row = sheet.addRow({
        what: materialName(job, line),
        needed: k === 0 ? Math.round(line.quantity * 100) / 100 : null,
        unit: UNIT_NAMES[line.unit],
        packs: count,
        pack: packName(line.item, count),
        holds: size,
        price,
      });
      row.getCell('cost').value = { formula: `D${row.number}*G${row.number}`, result: roundMoney(count * price, job.currency) };
      for (const key of ['price', 'cost']) row.getCell(key).numFmt = coins;
    });
  const last = sheet.rowCount;
  const total = materials.reduce((sum, { cost }) => sum + cost, 0);
  const sum = sheet.addRow({ what: 'Together, before tax' });
  sum.font = { bold: true };
  sum.getCell('cost').value = { formula: `SUM(H2:H${last})`, result: roundMoney(total, job.currency) };
  sum.getCell('cost').numFmt = coins;
  return Buffer.from(await book.xlsx.writeBuffer());
}
