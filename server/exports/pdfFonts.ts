import { createRequire } from 'node:module';
import { readFileSync } from 'node:fs';
import * as fontkit from 'fontkit';

const locate = createRequire(import.meta.url);

/** The shipped fonts as WOFF files; the PDF library reads those without fault. */
const FILES = {
  text: '@fontsource/barlow/files/barlow-latin-400-normal.woff',
  bold: '@fontsource/barlow/files/barlow-latin-600-normal.woff',
  figure: '@fontsource/barlow-condensed/files/barlow-condensed-latin-500-normal.woff',
  textExt: '@fontsource/barlow/files/barlow-latin-ext-400-normal.woff',
  vietnamese: '@fontsource/noto-sans/files/noto-sans-vietnamese-400-normal.woff',
  cyrillic: '@fontsource/noto-sans/files/noto-sans-cyrillic-400-normal.woff',
  cyrillicExt: '@fontsource/noto-sans/files/noto-sans-cyrillic-ext-400-normal.woff',
  greek: '@fontsource/noto-sans/files/noto-sans-greek-400-normal.woff',
  greekExt: '@fontsource/noto-sans/files/noto-sans-greek-ext-400-normal.woff',
  signs: '@fontsource/noto-sans/files/noto-sans-latin-ext-400-normal.woff',
  print: '@fontsource/noto-sans/files/noto-sans-latin-400-normal.woff',
} as const;

/** A font of the sheets. */
export type PdfFont = keyof typeof FILES;

/** Those that letters are looked for in, in this order, where the one that is meant has them not. */
const OTHERS = (Object.keys(FILES) as PdfFont[]).filter((name) => name !== 'bold' && name !== 'figure');

const read = new Map<PdfFont, Buffer>();
const known = new Map<PdfFont, { hasGlyphForCodePoint: (code: number) => boolean }>();

function bytesOf(name: PdfFont): Buffer {
  const bytes = read.get(name) ?? readFileSync(locate.resolve(FILES[name]));
  read.set(name, bytes);
  return bytes;
}

/** Registers the fonts with a document under their names. */
export function registerFonts(document: PDFKit.PDFDocument): void {
  for (const name of Object.keys(FILES) as PdfFont[]) document.registerFont(name, bytesOf(name));
}

/** A stretch of text that one font has all letters of. */
export interface FontRun {
  readonly text: string;
  readonly font: PdfFont;
}

function has(name: PdfFont, letter: string): boolean {
  const font = known.get(name) ?? (fontkit.create(bytesOf(name)) as unknown as { hasGlyphForCodePoint: (code: number) => boolean });
  known.set(name, font);
  return font.hasGlyphForCodePoint(letter.codePointAt(0) ?? 0);
}

/** What stands for a sign that no shipped font has: a third as 1/3, a prime as a mark. */
const PLAIN: Readonly<Record<string, string>> = { '′': "'", '″': '"', '−': '-', '⁄': '/', '\u202f': ' ' };

function plainOf(letter: string): string {
  const apart =
    PLAIN[letter] ??
    letter
      .normalize('NFKD')
      .replace(/[\u0300-\u036f]/g, '')
      .replaceAll('⁄', '/');
  return apart !== letter && [...apart].every((one) => has('text', one)) ? apart : '?';
}

/**
 * Parts a text into stretches by the font that has their letters: names may be written in Latin, Greek or Cyrillic letters.
 * A letter that no shipped font has is written plainly, or as a question mark.
 */
export function fontRuns(text: string, font: PdfFont): FontRun[] {
  const runs: { text: string; font: PdfFont }[] = [];
  for (const letter of text.normalize('NFC')) {
    const own = has(font, letter) || /\s/.test(letter) ? font : OTHERS.find((name) => has(name, letter));
    const [shown, by] = own === undefined ? [plainOf(letter), font] : [letter, own];
    const last = runs.at(-1);
    if (last?.font === by) last.text += shown;
    else runs.push({ text: shown, font: by });
  }
  return runs;
}
