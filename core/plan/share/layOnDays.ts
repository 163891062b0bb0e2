import type { Job } from '../../job/job.ts';
import { placesOf } from '../../job/placesOf.ts';
import type { WorkHours } from '../../labour/workHours.ts';
import { planProgramme, type Programme } from '../../programme/programme.ts';
import type { SurfaceFigures } from '../../takeoff/figures.ts';
import { DRINKS } from '../../takeoff/materials/primer.ts';

/** The first day of a programme that nobody has dated. */
const ANY_MONDAY = '2001-01-01';

/** The work of a job on days: its waits as its air and its grounds have them. */
export function layOnDays(job: Job, work: readonly WorkHours[], figures: readonly SurfaceFigures[]): Programme {
  const substrates = new Map(figures.map(({ surfaceId, works }) => [surfaceId, works.substrate]));
  return planProgramme(work, placesOf(job), {
    ...job,
    climate: { temperatureC: job.mixing?.temperatureC ?? 20, humidityPercent: job.mixing?.humidityPercent ?? 50 },
    drinks: (surfaceId) => DRINKS[substrates.get(surfaceId) ?? 'screed'],
    today: ANY_MONDAY,
  });
}
