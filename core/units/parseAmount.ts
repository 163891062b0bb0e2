import { accepted, issue, refused, type Result } from '../result.ts';

/** Reads a plain number, zero or more, with a point or a comma. Issues: `number/unreadable`, `number/ambiguous-comma`. */
export function parseAmount(text: string): Result<number> {
  // Three figures after a comma are thousands to some and a fraction to others, as in a length.
  if (/^\s*[1-9]\d{0,2}(,\d{3})+\s*$/.test(text)) return refused(issue('number/ambiguous-comma', [], { text: text.trim() }));
  const plain = text.trim().replace(',', '.');
  return /^\d{1,15}(\.\d+)?$/.test(plain) ? accepted(Number(plain)) : refused(issue('number/unreadable', [], { text }));
}

/** Reads an angle of up to half a turn either way, degrees. Issue: `angle/unreadable`. */
export function parseAngle(text: string): Result<number> {
  const plain = text.trim().replace(',', '.').replace('°', '').replace('−', '-');
  const readable = /^[-+]?\d{1,15}(\.\d+)?$/.test(plain) && Math.abs(Number(plain)) <= 180;
  return readable ? accepted(Number(plain)) : refused(issue('angle/unreadable', [], { text }));
}
