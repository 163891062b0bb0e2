import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { demoJob, demoPlan } from '../../testing/demoJob.ts';
import { seenFromBack } from '../cuts/backView.ts';
import { CUT_CARES } from '../cuts/cutMethod.ts';
import { fenceSettings, tripsFor } from '../cuts/cutOrder.ts';
import { nearCuts } from '../cuts/nearCuts.ts';
import { sharedHoles } from '../cuts/sharedHoles.ts';
import { tapeOf, type Job } from '../job/job.ts';
import { quoteRows } from '../job/quoteRows.ts';
import { PATTERNS, type Pattern } from '../pattern/registry.ts';
import { areasLaid } from './areasLaid.ts';
import type { Plan } from '../plan.ts';
import { entriesInForce } from '../site/entry.ts';
import { siteRecordsSchema } from '../site/siteRecords.ts';
import { zoneMixes } from '../takeoff/mixes/zoneMixes.ts';
import { LANGUAGES, languageFor } from './language.ts';
import { thingNamesOf } from './thingNames.ts';
import { wordsIn, type Words } from './words.ts';

test('the first language of a browser that is spoken is taken, else English', () => {
  expect(languageFor(['pt-BR', 'de-AT', 'en'])).toBe('de');
  expect(languageFor(['EN-us', 'de'])).toBe('en');
  expect(languageFor(['pt', 'den', ''])).toBe('en');
  expect(languageFor([])).toBe('en');
});

/** Every name that people gave to something in a job, the longest first. */
function namesIn(job: Job): readonly string[] {
  const names = new Set<string>();
  JSON.stringify(job, (key, value: unknown) => {
    if (['name', 'client', 'from', 'label'].includes(key) && typeof value === 'string' && value !== '') names.add(value);
    return value;
  });
  return [...names].sort((x, y) => y.length - x.length);
}

/** All that is said of a plan on site and on its papers, each under what it is said of. */
function allSaid(words: Words, job: Job, planned: Plan, log: Parameters<Words['describeHandover']>[2]): [string, string][] {
  const said: [string, string][] = [];
  const add = (of: string, ...texts: readonly string[]): void => texts.forEach((text, k) => said.push([`${of} ${k}`, text]));
  for (const surfacePlan of planned.surfaces) {
    const surface = job.surfaces.find(({ id }) => id === surfacePlan.surfaceId);
    if (!surface) continue;
    const { id } = surface;
    const tape = words.read(tapeOf(job, surface));
    const names = thingNamesOf(surfacePlan.traced);
    add(`${id} setout`, ...words.describeSetout(surfacePlan.advice.reasons, names, tape));
    add(`${id} lines`, ...words.describeLines(surfacePlan.struck, names, tape));
    if (surfacePlan.ledger) add(`${id} ledger`, ...words.describeLedger(surfacePlan.ledger, tape));
    add(`${id} pattern`, words.describePattern(surface.pattern));
    add(`${id} zones`, words.describeZones(surfacePlan.zones, names));
    add(`${id} zone`, ...surfacePlan.zones.zones.map((zone) => words.describeZone(zone, tape)));
    const trips = tripsFor(surfacePlan, surface.pattern, job.cutting);
    add(`${id} cutting`, words.describeCutting(surfacePlan.cuts, trips, fenceSettings(trips)));
    trips.forEach((trip, k) => add(`${id} trip`, words.tripName(trip, k + 1)));
    for (const trip of trips) add(`${id} near`, ...nearCuts(trip.settings).map((near) => words.describeNear(near, tape)));
    for (const holes of sharedHoles(surfacePlan.traced, surfacePlan.cuts).values())
      add(`${id} hole`, ...holes.map((hole) => words.describeSharedHole(hole)));
    for (const { first } of surfacePlan.groups) {
      add(`${id} ${first.label}`, words.kindName(first.kind), words.toolName(first.tool));
      add(`${id} ${first.label} marks`, ...first.marks.map((mark) => words.describeMark(mark, tape)));
      add(`${id} ${first.label} back`, ...seenFromBack(first).marks.map((mark) => words.describeMark(mark, tape)));
      const source = surfacePlan.offCuts.sources.get(first.label);
      if (source) add(`${id} ${first.label} source`, words.describeSource(first.label, source, job, id));
    }
    for (const edge of surfacePlan.edges) add(`${id} edge`, words.edgeName(names.edges[edge.id] ?? edge.id));
    for (const sheets of surfacePlan.sheets) {
      add(`${id} sheets`, words.describeSheets(sheets));
      add(`${id} part`, ...sheets.parts.map((part) => words.describeSheetPart(part, tape)));
    }
  }
  const tape = words.read(job.tape);
  for (const line of planned.materials)
    add('order', words.materialName(job, line), words.describeQuantity(line, tape), words.describePacks(line));
  for (const mix of planned.mixes) {
    const stirred = zoneMixes(mix, planned.surfaces);
    add('mix', words.mixName(mix), words.describeStirred(mix, stirred, tape), ...words.explainMix(mix, stirred, tape));
    for (const { zones } of stirred) add('zones', ...words.describeZoneMixes(zones, tape));
  }
  for (const row of quoteRows(job, planned.money.quote)) add('quote', words.quoteRowName(row));
  for (const area of areasLaid(job.surfaces, planned.surfaces)) add('laid', words.describeLaid(job, area, tape));
  for (const task of planned.programme.tasks) add('work', words.workName(task), words.describeHeld(task, planned.programme));
  for (const { heading, lines } of words.describeHandover(job, planned, log)) add('handover', heading, ...lines);
  return said;
}

/** The figures of a text from three on, and those with tenths, in their order of size; the small ones may be words. */
const figuresIn = (text: string): readonly number[] =>
  [...text.matchAll(/\d+(?:[.,]\d+)?/g)]
    .map(([figure]) => Number(figure.replace(',', '.')))
    .filter((figure) => figure > 2 || !Number.isInteger(figure))
    .sort((a, b) => a - b);

/** What is left of English in a text of another language. */
const ENGLISH =
  /\b(the|of|and|from|with|each|piece|pieces|tile|tiles|left|right|top|bottom|edge|side|cut|cuts|joint|bag|bags|box|boxes|zone|whole|lying|upright|sanded|grey|white|cross|less|about)\b/i;

describe.each(['tidewater-bakehouse', 'ferry-kiosk', 'sample-boards'] as const)('%s', (name) => {
  const job = demoJob(name);
  const planned = demoPlan(name);
  // Names are of no language.
  const names = namesIn(job);
  const bare = (text: string): string => names.reduce((left, one) => left.replaceAll(one, 'Xq'), text);
  const site = new URL(`../../demo/${name}.site.json`, import.meta.url);
  const log = name === 'sample-boards' ? [] : entriesInForce(siteRecordsSchema.parse(JSON.parse(readFileSync(site, 'utf8'))).entries);
  const english = allSaid(wordsIn('en'), job, planned, log);

  test.each(LANGUAGES.filter((language) => language !== 'en'))('%s says all that English says, with the same figures', (language) => {
    const said = allSaid(wordsIn(language), job, planned, log);
    expect(said.map(([of]) => of)).toEqual(english.map(([of]) => of));
    const others = said.flatMap(([of, text], k) =>
      String(figuresIn(text)) === String(figuresIn(english[k][1])) ? [] : [[of, text, english[k][1]]],
    );
    expect(others).toEqual([]);
    // What people wrote down themselves is theirs.
    const own = log.flatMap(({ data }) => ('text' in data ? [data.text] : []));
    const isForeign = (text: string): boolean => ENGLISH.test(bare(text)) && !own.some((one) => text.includes(one));
    expect(said.filter(([, text]) => isForeign(text) || /undefined|NaN/.test(text))).toEqual([]);
  });
});

test('patterns and cares that no demo shows are said too', () => {
  for (const language of LANGUAGES.filter((one) => one !== 'en')) {
    const words = wordsIn(language);
    const said = [
      ...Object.values(PATTERNS).map(({ defaults }) => words.describePattern(defaults as Pattern)),
      ...words.describeCares(CUT_CARES),
    ];
    expect(said.filter((text) => ENGLISH.test(text) || /undefined/.test(text))).toEqual([]);
    expect(new Set(said).size).toBe(said.length);
  }
});

test('a figure has the mark of its language before its tenths', () => {
  const tape = wordsIn('de').read({ system: 'metric', metricStepMm: 0.5, fraction: 16, lightHeavy: false });
  expect(wordsIn('de').describeMark({ type: 'line', from: 'left', mm: [80.5, 80.5] }, tape)).toBe('80,5 von der linken Kante');
  expect(wordsIn('de').money('1 234.50')).toBe('1 234,50');
  expect(wordsIn('de').say('cuts/pieces', { count: 1 })).toBe('1 Stück');
});
