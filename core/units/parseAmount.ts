import { accepted, issue, refused, type Result } from '../result.ts';

/** Reads a plain number, zero or more, with a point or a comma. Issue: `number/unreadable`. */
export function parseAmount(text: string): Result<number> {
  const plain = text.trim().replace(',', '.');
  return /^\d{1,15}(\.\d+)?$/.test(plain) ? accepted(Number(plain)) : refused(issue('number/unreadable', [], { text }));
}

/** Reads an angle of up to half a turn either way, degrees. Issue: `angle/unreadable`. */
export function parseAngle(text: string): Result<number> {
  const plain = text.trim().replace(',', '.').replace('°', '').replace('−', '-');
  const readable = /^[-+]?\d{1,15}(\.\d+)?$/.test(plain) && Math.abs(Number(plain)) <= 180;
  return readable ? accepted(Number(plain)) : refused(issue('angle/unreadable', [], { text }));
}
