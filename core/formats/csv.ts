import Papa from 'papaparse';
import { tapeOf, type Job, type Surface } from '../job/job.ts';
import { materialName } from '../messages/en/materials.ts';
import { UNIT_NAMES } from '../messages/en/materialNames.ts';
import { formatMoney } from '../units/currency.ts';
import { describeMark } from '../messages/en/marks.ts';
import { pieceBefore } from '../messages/en/offCuts.ts';
import { toolName } from '../messages/en/names.ts';
import { cutName, describeFinish } from '../messages/en/strips.ts';
import type { Plan } from '../plan.ts';
import type { SurfacePlan } from '../plan/planned.ts';
import { formatLength } from '../units/formatLength.ts';

/** The cut list of one surface as CSV: one line a piece, grouped as on screen. */
export function cutsCsv(job: Job, surface: Surface, planned: SurfacePlan): string {
  const tape = tapeOf(job, surface);
  const rows = planned.groups.flatMap((group) =>
    group.pieces.map((piece) => {
      const source = planned.offCuts.sources.get(piece.label);
      return {
        Surface: surface.name,
        Group: group.id,
        Off: group.pieces.length,
        Piece: piece.label,
        Kind: cutName(piece),
        Width: formatLength(piece.sizeMm.widthMm, tape),
        Height: formatLength(piece.sizeMm.heightMm, tape),
        Marks: [...piece.marks.map((mark) => describeMark(mark, tape)), ...(piece.strip ? describeFinish(piece.strip) : [])].join('; '),
        Tool: toolName(piece.tool),
        'Cut edge shows': piece.edgeShows ? 'yes' : 'no',
        'From tile': source?.tile ?? '',
        'Cut after': source?.offCutOf ? pieceBefore(source, job, surface.id) : '',
      };
    }),
  );
  return unparse(rows, [
    'Surface',
    'Group',
    'Off',
    'Piece',
    'Kind',
    'Width',
    'Height',
    'Marks',
    'Tool',
    'Cut edge shows',
    'From tile',
    'Cut after',
  ]);
}

/** The order of a whole job as CSV. */
export function orderCsv(job: Job, { materials }: Plan): string {
  // A line for each size of pack; what is needed stands on the first.
  const rows = materials.flatMap((material) =>
    material.packs.map(({ count, size, litres, price }, k) => ({
      Item: materialName(job, material),
      Quantity: k === 0 ? Math.round(material.quantity * 100) / 100 : '',
      Unit: UNIT_NAMES[material.unit],
      Packs: count,
      'Pack size': Math.round(size * 100) / 100,
      'Pack price': formatMoney(price, job.currency),
      Cost: formatMoney(count * price, job.currency),
      Currency: job.currency,
      'Pack litres': litres ?? '',
    })),
  );
  return unparse(rows, ['Item', 'Quantity', 'Unit', 'Packs', 'Pack size', 'Pack price', 'Cost', 'Currency', 'Pack litres']);
}

/** Cells that a spreadsheet would run as a formula are defused. */
const unparse = (rows: object[], columns: string[]): string => `${Papa.unparse(rows, { columns, newline: '\n', escapeFormulae: true })}\n`;
