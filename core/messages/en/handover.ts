import { isoDay, dayAt } from '../../programme/calendar.ts';
import type { Job } from '../../job/job.ts';
import { productName, tapeOf } from '../../job/job.ts';
import type { Plan } from '../../plan.ts';
import { entriesOf, type Entry } from '../../site/entry.ts';
import { leftOfTiles } from '../../site/leftOfTiles.ts';
import { formatArea } from '../../units/formatArea.ts';
import { formatLengthWithUnit } from '../../units/formatLength.ts';
import { patternForClient } from './client.ts';
import { colourName, itemName, variantName } from './materialNames.ts';
import { describeAmount, materialName } from './materials.ts';

/** A part of the note that stays with the client. */
export interface HandoverPart {
  readonly heading: string;
  readonly lines: readonly string[];
}

/** What stays with the client: what was laid and used, what is spare, how it is looked after, what is still to be done. */
export function describeHandover(job: Job, plan: Plan, entries: readonly Entry[]): HandoverPart[] {
  return [
    { heading: 'What was laid', lines: tiledLines(job, plan, true) },
    { heading: 'Not laid yet', lines: tiledLines(job, plan, false) },
    { heading: 'What was used', lines: job.surfaces.some(({ laid }) => laid) ? usedLines(job, plan) : [] },
    { heading: 'Done otherwise than planned', lines: changeLines(job, entries) },
    { heading: 'Lots', lines: lotLines(job, entries) },
    { heading: 'Spare tiles', lines: spareLines(job, plan, entries) },
    { heading: 'When it may be used', lines: useLines(job, plan) },
    { heading: 'Care', lines: careLines(job, plan) },
    { heading: 'Still to be done', lines: entriesOf(entries, 'snag').flatMap(({ data }) => (data.done ? [] : [data.text])) },
  ].filter(({ lines }) => lines.length > 0);
}

const tiledLines = (job: Job, plan: Plan, isLaid: boolean): string[] =>
  job.surfaces.flatMap((surface) => {
    const planned = plan.surfaces.find(({ surfaceId }) => surfaceId === surface.id);
    if (!planned || surface.laid !== isLaid) return [];
    const joint = `joints ${formatLengthWithUnit(surface.jointMm, tapeOf(job, surface))} in ${colourName(surface.jointColour)}`;
    return [
      `${surface.name}: ${productName(job, surface.productId)}, ${patternForClient(surface.pattern)}, ${joint}, ${formatArea(planned.extent.areaMm2, tapeOf(job, surface))}.`,
    ];
  });

/** What stays in the building besides tiles. */
const STAYS = new Set([
  'adhesive',
  'readyAdhesive',
  'grout',
  'readyGrout',
  'epoxyGrout',
  'sealant',
  'tileSealer',
  'groutSealer',
  'membrane',
]);

/** What went into the surfaces that are laid. */
const usedLines = (job: Job, { materials }: Plan): string[] =>
  materials.flatMap((line) =>
    STAYS.has(line.item) && isUsed(line, job)
      ? [`${itemName(line.item)}${line.variant ? `, ${variantName(line.item, line.variant)}` : ''}.`]
      : [],
  );

function isUsed({ how }: Plan['materials'][number], job: Job): boolean {
  if (!('surfaces' in how)) return true;
  const laid = new Set(job.surfaces.flatMap((surface) => (surface.laid ? [surface.id] : [])));
  return how.surfaces.some(({ surfaceId }) => laid.has(surfaceId));
}

const changeLines = (job: Job, entries: readonly Entry[]): string[] =>
  entriesOf(entries, 'change').map(({ surfaceId, data }) => {
    const place = job.surfaces.find(({ id }) => id === surfaceId)?.name;
    return place ? `${place}: ${data.text}` : data.text;
  });

const lotLines = (job: Job, entries: readonly Entry[]): string[] => [
  ...new Set(entriesOf(entries, 'lot').map(({ data }) => `${productName(job, data.productId)}: lot ${data.code}.`)),
];

/** What is left over was written down at the end; before that, what the order leaves. */
function spareLines(job: Job, plan: Plan, entries: readonly Entry[]): string[] {
  const kept = entriesOf(entries, 'leftOver');
  if (kept.length > 0) return kept.map(({ data }) => `${data.pieces} of ${data.name}, ${data.widthMm} x ${data.heightMm} mm.`);
  const left = plan.materials.flatMap((line) =>
    line.item === 'tiles' && leftOfTiles(line, entries) >= 1
      ? [`${materialName(job, line)}: ${describeAmount(Math.floor(leftOfTiles(line, entries)), line.unit, job.tape)}.`]
      : [],
  );
  return left.length > 0 ? [...left, 'Keep them: another lot never matches.'] : [];
}

function useLines(job: Job, { programme }: Plan): string[] {
  if (!job.programme?.startDay || programme.tasks.length === 0) return [];
  const day = (hours: number): string =>
    new Date(isoDay(programme.calendar, dayAt(hours))).toLocaleDateString('en-GB', {
      day: 'numeric',
      month: 'long',
      year: 'numeric',
    });
  return [
    `Done by ${day(programme.ends)}; heavy things from ${day(programme.fullLoad)}. Wash it for the first time with clean water only.`,
  ];
}

/** Care is for what is laid; for all of it in a note that is made before. */
function careLines(job: Job, plan: Plan): string[] {
  const isBegun = job.surfaces.some(({ laid }) => laid);
  const own = plan.surfaces.filter(({ surfaceId }) => !isBegun || job.surfaces.some(({ id, laid }) => id === surfaceId && laid));
  const ids = new Set(own.flatMap(({ figures }) => figures.tiles.map(({ productId }) => productId)));
  const tiles = job.products.filter(({ id }) => ids.has(id));
  const stones = tiles.filter(({ material }) => material === 'natural stone').map(({ name }) => name);
  const porous = tiles.filter((product) => product.porous).map(({ name }) => name);
  const sealed = own.filter(({ figures }) => figures.works.does.sealGrout);
  const names = job.surfaces.filter(({ id }) => sealed.some(({ surfaceId }) => surfaceId === id)).map(({ name }) => name);
  const grout = sealed.length === own.length ? 'The grout' : `The grout of ${names.join(', ')}`;
  return [
    'A neutral cleaner and clean water, as little of both as will do.',
    ...(stones.length > 0 ? [`Nothing acid on ${stones.join(', ')}: no vinegar, no descaler; it etches at once.`] : []),
    ...(porous.length > 0
      ? [
          `${porous.join(', ')} drink: where a drop of water no longer beads, seal again. The sealer's sheet says how often, as a rule every one to three years.`,
        ]
      : []),
    ...(sealed.length > 0 ? [`${grout} was sealed: seal it again when water darkens it.`] : []),
    'The soft joints in corners and at walls wear: look at them once a year and have them redone where they part.',
  ];
}
