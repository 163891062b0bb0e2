import type { CalendarEntry } from '@azulejo/core/programme/takeCalendar';

/** A larger file is no calendar of a job, bytes. */
const LARGEST_FILE = 4 * 1024 * 1024;

/** The entries of an iCalendar file. Rejects with words for the person where it is none. */
export async function readCalendar(file: Blob): Promise<CalendarEntry[]> {
  if (file.size > LARGEST_FILE) throw new Error('The file is over 4 MB. Expected a calendar file (.ics).');
  const { default: ICAL } = await import('ical.js');
  try {
    const calendar = new ICAL.Component(ICAL.parse(await file.text()) as ConstructorParameters<typeof ICAL.Component>[0]);
    return calendar.getAllSubcomponents('vevent').flatMap((part) => {
      const { uid, startDate } = new ICAL.Event(part);
      return uid && startDate ? [{ uid, day: startDate.toString().slice(0, 10) }] : [];
    });
  } catch {
    throw new Error('The file is no calendar that can be read. Expected one that was taken from here (.ics).');
  }
}
