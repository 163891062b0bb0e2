import { cutsCsv, orderCsv } from '@azulejo/core/formats/csv';
import { writeJobFile } from '@azulejo/core/formats/jobFile';
import { planJson } from '@azulejo/core/formats/planJson';
import type { ExportKind } from './exportKind.ts';

/** Every export. A new one is a file with its writer and a line here; a writer is read when it is first asked for. */
export const EXPORTS = {
  paper: {
    of: 'surface',
    label: 'Setout and cuts (PDF)',
    extension: 'pdf',
    mediaType: 'application/pdf',
    write: async (source) => (await import('./cutPaper.ts')).writeCutPaper(source),
  },
  back: {
    of: 'surface',
    label: 'Cuts, face down (PDF)',
    extension: 'pdf',
    mediaType: 'application/pdf',
    write: async (source) => (await import('./cutPaper.ts')).writeBackPaper(source),
  },
  templates: {
    of: 'surface',
    label: 'Full-size templates (PDF)',
    extension: 'pdf',
    mediaType: 'application/pdf',
    write: async (source) => (await import('./templates.ts')).writeTemplates(source),
  },
  stickers: {
    of: 'surface',
    label: 'Labels on stickers (PDF)',
    extension: 'pdf',
    mediaType: 'application/pdf',
    write: async (source) => (await import('./stickers.ts')).writeStickers(source),
  },
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
    write: ({ job, plan }) => orderCsv(job, plan()),
  },
  orderPaper: {
    of: 'job',
    label: 'Order (PDF)',
    extension: 'pdf',
    mediaType: 'application/pdf',
    write: async (source) => (await import('./orderPaper.ts')).writeOrderPaper(source),
  },
  orderSheet: {
    of: 'job',
    label: 'Order (XLSX)',
    extension: 'xlsx',
    mediaType: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet',
    write: async (source) => (await import('./orderPaper.ts')).writeOrderSheet(source),
  },
  quote: {
    of: 'job',
    label: 'Quote (PDF)',
    extension: 'pdf',
    mediaType: 'application/pdf',
    write: async (source) => (await import('./quotePaper.ts')).writeQuote(source),
  },
  handover: {
    of: 'job',
    label: 'Handover note (PDF)',
    extension: 'pdf',
    mediaType: 'application/pdf',
    write: async (source) => (await import('./handoverPaper.ts')).writeHandover(source),
  },
  snags: {
    of: 'job',
    label: 'Snag list (PDF)',
    withPhotos: true,
    extension: 'pdf',
    mediaType: 'application/pdf',
    write: async (source) => (await import('./handoverPaper.ts')).writeSnags(source),
  },
  mixes: {
    of: 'job',
    label: 'Card for the mixer (PDF)',
    extension: 'pdf',
    mediaType: 'application/pdf',
    write: async (source) => (await import('./mixCard.ts')).writeMixCard(source),
  },
  calendar: {
    of: 'job',
    label: 'Days (iCalendar)',
    extension: 'ics',
    mediaType: 'text/calendar; charset=utf-8',
    write: async (source) => (await import('./calendar.ts')).writeCalendar(source),
  },
  plan: {
    of: 'job',
    label: 'Plan with all figures (JSON)',
    extension: 'json',
    mediaType: 'application/json',
    write: ({ job, plan }) => JSON.stringify(planJson(job, plan())),
  },
  job: {
    of: 'job',
    label: 'Job file (JSON)',
    withPhotos: true,
    extension: 'json',
    mediaType: 'application/json',
    write: ({ job, records }) => writeJobFile(job, records),
  },
} as const satisfies Record<string, ExportKind>;
