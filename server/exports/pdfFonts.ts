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

/** A stretch of text that one font has all letters of. */
export interface FontRun {
  readonly text: string;
  readonly font: PdfFont;
}

/** Letters the western fonts hold: Latin-1, and the dashes, quotes and signs of print. */
const WESTERN = /[\u0020-\u007e\u00a0-\u00ff\u2013\u2014\u2018-\u201e\u2022\u2026\u20ac\u2122]/;
const EXTENDED = /[\u0100-\u024f]/;

/**
 * Parts a text into stretches by the font that has their letters: names may use letters beyond western Europe. A
 * letter that no shipped font has is shown as a question mark.
 */
export function fontRuns(text: string, font: PdfFont): FontRun[] {
  const runs: { text: string; font: PdfFont }[] = [];
  for (const letter of text.normalize('NFC')) {
    const own = EXTENDED.test(letter) ? 'textExt' : font;
    const shown = own === 'textExt' || WESTERN.test(letter) ? letter : '?';
    const last = runs.at(-1);
    if (last?.font === own) last.text += shown;
    else runs.push({ text: shown, font: own });
  }
  return runs;
}
