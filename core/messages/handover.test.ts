import { expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { checkJob } from '../job/checkJob.ts';
import { repeatJob } from '../job/repeatJob.ts';
import { demoJob, demoPlan } from '../../testing/demoJob.ts';
import { plan } from '../plan.ts';
import { siteRecordsSchema } from '../site/siteRecords.ts';
import { entriesInForce } from '../site/entry.ts';
import { measurementsOf } from '../surface/measurements.ts';
import { tapeOf } from '../job/job.ts';
import { areasLaid } from './areasLaid.ts';
import { describeLaid } from './en/client.ts';
import { describeHandover } from './en/handover.ts';
import { describeZoneMixes } from './en/mixes.ts';
import { METRIC_TAPE } from '../units/tape.ts';

const recordsOf = (name: string) =>
  siteRecordsSchema.parse(JSON.parse(readFileSync(new URL(`../../demo/${name}.site.json`, import.meta.url), 'utf8')));

test.each(['ferry-kiosk', 'tidewater-bakehouse'] as const)(
  'what was ticked and written down in %s is about pieces and surfaces that it has',
  (name) => {
    const job = demoJob(name);
    const planned = demoPlan(name);
    const { ticks, entries } = recordsOf(name);
    const labels = new Set(planned.surfaces.flatMap(({ surfaceId, cuts }) => cuts.map(({ label }) => `${surfaceId} ${label}`)));
    expect(ticks.filter(({ surfaceId, label }) => !labels.has(`${surfaceId} ${label}`))).toEqual([]);
    expect(entries.filter(({ surfaceId }) => surfaceId !== null && !job.surfaces.some(({ id }) => id === surfaceId))).toEqual([]);
    for (const { surfaceId, data } of entries)
      if (data.kind === 'breakage') expect(labels.has(`${surfaceId ?? ''} ${data.label}`)).toBe(true);
  },
);

test('the note that stays with the client says what was laid, its lots, what is spare and what is still to be done', () => {
  const job = demoJob('ferry-kiosk');
  const { entries } = recordsOf('ferry-kiosk');
  const linesOf = (heading: string, log = entriesInForce(entries)): readonly string[] =>
    describeHandover(job, demoPlan('ferry-kiosk'), log).find((part) => part.heading === heading)?.lines ?? [];
  expect(linesOf('What was laid')).toHaveLength(job.surfaces.length);
  expect(linesOf('Lots')).toEqual(['Quay grey 300: lot 7Q-114.']);
  expect(linesOf('Spare tiles')).toEqual(['3 of Quay grey 300, 297.5 x 297.5 mm.']);
  expect(linesOf('Spare tiles', [])[0]).toBe('Quay grey 300: 2 pieces.');
  expect(linesOf('Spare tiles', []).at(-1)).toMatch(/^Keep them/);
  expect(linesOf('Still to be done')).toEqual([]);
  const open = entries.map((one) => (one.data.kind === 'snag' ? { ...one, data: { ...one.data, done: false } } : one));
  expect(linesOf('Still to be done', open)).toEqual(['Sealant by the hatch pulled off the frame']);
  // Stone and what drinks are spoken of only where they were laid.
  expect(linesOf('Care').join(' ')).not.toMatch(/acid|drink/);
  const stone = { ...job, products: job.products.map((one) => ({ ...one, material: 'natural stone' as const, porous: true })) };
  const care = describeHandover(stone, plan(stone), []).find(({ heading }) => heading === 'Care');
  expect(care?.lines.join(' ')).toMatch(/Nothing acid on Quay grey 300.*Quay grey 300 drink/);
});

test('care is told of what is laid, and what is laid is told as its own tape reads', () => {
  const job = demoJob('tidewater-bakehouse');
  const note = describeHandover(job, demoPlan('tidewater-bakehouse'), []);
  const linesOf = (heading: string): string => note.find((part) => part.heading === heading)?.lines.join(' ') ?? '';
  // Brick and the risers' stone are laid; the counter, whose joints are sealed, and the floors are not.
  expect(linesOf('Care')).toMatch(/Nothing acid on Kelp strip mosaic:/);
  expect(linesOf('Care')).not.toMatch(/Sluice stone|grout .*was sealed/);
  expect(linesOf('Not laid yet')).toMatch(/Splashback: [^.]*, joints 1\/16" in white, 22\.84 ft²/);
});

test('small mixes are weighed in grams: a tenth of a kilogram is a third of them', () => {
  const side = { number: 1, areaM2: 0.03, powderKg: 0.0432, waterL: 0.0115, liquid: 'water' };
  expect(describeZoneMixes([side as never], METRIC_TAPE)).toEqual(['zone 1: 50 g to 10 ml of water']);
  expect(describeZoneMixes([{ ...side, powderKg: 0.996, waterL: 0.27 } as never], METRIC_TAPE)).toEqual([
    'zone 1: 1.0 kg to 270 ml of water',
  ]);
});

test('a job that is repeated elsewhere asks for every length again and takes nothing of the old place along', () => {
  const job = demoJob('tidewater-bakehouse');
  const again = repeatJob(job, 'again', 'Harbour Bakehouse');
  expect(checkJob(again)).toEqual([]);
  expect([again.id, again.name, again.client, again.variants, again.blanks]).toEqual([
    'again',
    'Harbour Bakehouse',
    '',
    undefined,
    undefined,
  ]);
  for (const surface of again.surfaces) {
    expect([surface.laid, surface.counted]).toEqual([false, undefined]);
    expect(surface.measured.again).toEqual(measurementsOf(surface.measured).map(({ key }) => key));
  }
  expect(again.products).toBe(job.products);
  expect(job.surfaces.some(({ laid }) => laid)).toBe(true);
});

test('a client reads each tile of a room with its own area, in the unit of its tape, and a pattern by its name alone', () => {
  const job = demoJob('tidewater-bakehouse');
  const told = (begins: string): string[] => {
    const own = job.surfaces.filter(({ id }) => id.startsWith(begins));
    return areasLaid(own, demoPlan('tidewater-bakehouse').surfaces).map((area) => describeLaid(job, area, tapeOf(job, own[0])));
  };
  expect(told('washroom')).toEqual(['4.51 m² of Pier octagon 150, octagon and dot', '5.27 m² of Loaf brick 200 x 100, running bond']);
  expect(told('splashback')[0]).toMatch(/^22\.84 ft² of /);
});
