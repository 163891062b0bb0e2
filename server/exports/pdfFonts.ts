import { createRequire } from 'node:module';
import { readFileSync } from 'node:fs';

const locate = createRequire(import.meta.url);

/** The shipped fonts as WOFF files; the PDF library reads those without fault. */
const FILES = {
  text: '@fontsource/barlow/files/barlow-latin-400-normal.woff',
  bold: '@fontsource/barlow/files/barlow-latin-600-normal.woff',
  figure: '@fontsource/barlow-condensed/files/barlow-condensed-latin-500-normal.woff',
  textExt: '@fontsource/barlow/files/barlow-latin-ext-400-normal.woff',
} as const;

/** A font of the sheets. */
export type PdfFont = keyof typeof FILES;

/** Registers the fonts with a document under their names. */
export function registerFonts(document: PDFKit.PDFDocument): void {
  for (const [name, file] of Object.entries(FILES)) document.registerFont(name, readFileSync(locate.resolve(file)));
}

/** The text font that has every letter of a text: names may use letters beyond western Europe. */
export const fontFor = (text: string, otherwise: PdfFont): PdfFont => (/[\u0100-\u024f]/.test(text) ? 'textExt' : otherwise);
