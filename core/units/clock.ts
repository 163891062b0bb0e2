import { accepted, issue, refused, type Result } from '../result.ts';

/** Reads a time of day as it is written, hours after midnight: 8, 8:30, 16.15, 7h45. Issue: `number/not-a-time`. */
export function parseClock(text: string): Result<number> {
  const [, hours, minutes = '0'] = /^\s*(\d{1,2})(?:\s*[:.h]\s*(\d{2})?)?\s*$/i.exec(text) ?? [];
  const time = Number(hours) + Number(minutes) / 60;
  return Number(minutes) < 60 && time <= 24 ? accepted(time) : refused(issue('number/not-a-time', [], { text }));
}

/** A time of day to the minute: "8:30". */
export function writeClock(hours: number): string {
  const minutes = Math.round(hours * 60);
  return `${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}`;
}
