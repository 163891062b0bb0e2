import { cutsCsv, orderCsv } from '@azulejo/core/formats/csv';
import { writeJobFile } from '@azulejo/core/formats/jobFile';
import { planJson } from '@azulejo/core/formats/planJson';
import type { ExportKind } from './exportKind.ts';
import { writeCalendar } from './calendar.ts';
import { writeMixCard } from './mixCard.ts';
import { writeOrderPaper, writeOrderSheet } from './orderPaper.ts';
import { writeHandover, writeSnags } from './handoverPaper.ts';
import { writeQuote } from './quotePaper.ts';
import { writeBackPaper, writeCutPaper } from './cutPaper.ts';
import { writeStickers } from './stickers.ts';
import { writeTemplates } from './templates.ts';

/** Every export. A new one is a file with its writer and a line here. */
export const EXPORTS = {
  paper: { of: 'surface', label: 'Setout and cuts (PDF)', extension: 'pdf', mediaType: 'application/pdf', write: writeCutPaper },
  back: { of: 'surface', label: 'Cuts, face down (PDF)', extension: 'pdf', mediaType: 'application/pdf', write: writeBackPaper },
  templates: {
    of: 'surface',
    label: 'Full-size templates (PDF)',
    extension: 'pdf',
    mediaType: 'application/pdf',
    write: writeTemplates,
  },
  stickers: { of: 'surface', label: 'Labels on stickers (PDF)', extension: 'pdf', mediaType: 'application/pdf', write: writeStickers },
  cuts: {
    of: 'surface',
    label: 'Cut list (CSV)',
    extension: 'csv',
    mediaType: 'text/csv; charset=utf-8',
    write: ({ job, surface, planned }) => cutsCsv(job, surface, planned),
  },
  order: {
    of: 'job',
    label: 'Order (CSV)',
    extension: 'csv',
    mediaType: 'text/csv; charset=utf-8',
    write: (job, plan) => orderCsv(job, plan()),
  },
  orderPaper: {
    of: 'job',
    label: 'Order (PDF)',
    extension: 'pdf',
    mediaType: 'application/pdf',
    write: (job, plan) => writeOrderPaper(job, plan()),
  },
  orderSheet: {
    of: 'job',
    label: 'Order (XLSX)',
    extension: 'xlsx',
    mediaType: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
    write: (job, plan) => writeOrderSheet(job, plan()),
  },
  quote: { of: 'job', label: 'Quote (PDF)', extension: 'pdf', mediaType: 'application/pdf', write: (job, plan) => writeQuote(job, plan()) },
  handover: {
    of: 'job',
    label: 'Handover note (PDF)',
    extension: 'pdf',
    mediaType: 'application/pdf',
    write: (job, plan, log) => writeHandover(job, plan(), log),
  },
  snags: {
    of: 'job',
    label: 'Snag list (PDF)',
    withPhotos: true,
    extension: 'pdf',
    mediaType: 'application/pdf',
    write: (job, _plan, log) => writeSnags(job, log),
  },
  mixes: {
    of: 'job',
    label: 'Card for the mixer (PDF)',
    extension: 'pdf',
    mediaType: 'application/pdf',
    write: (job, plan) => writeMixCard(job, plan()),
  },
  calendar: {
    of: 'job',
    label: 'Days (iCalendar)',
    extension: 'ics',
    mediaType: 'text/calendar; charset=utf-8',
    write: (job, plan) => writeCalendar(job, plan()),
  },
  plan: {
    of: 'job',
    label: 'Plan with all figures (JSON)',
    extension: 'json',
    mediaType: 'application/json',
    write: (job, plan) => JSON.stringify(planJson(job, plan())),
  },
  job: {
    of: 'job',
    label: 'Job file (JSON)',
    withPhotos: true,
    extension: 'json',
    mediaType: 'application/json',
    write: (job, _plan, _log, records) => writeJobFile(job, records),
  },
} as const satisfies Record<string, ExportKind>;
