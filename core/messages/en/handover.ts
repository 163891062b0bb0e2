import { productName, tapeOf, type Job } from '../../job/job.ts';
import type { Plan } from '../../plan.ts';
import type { Entry } from '../../site/entry.ts';
import { formatArea } from '../../units/formatArea.ts';
import { formatLengthWithUnit } from '../../units/formatLength.ts';
import { handoverFacts, type CareFacts, type HandoverFacts, type HandoverPart, type NotedSurface } from '../handoverFacts.ts';
import { patternForClient } from './client.ts';
import { dateWords } from './figures.ts';
import { colourName, itemName, variantName } from './materialNames.ts';
import { describeAmount, materialName } from './materials.ts';

/** What stays with the client: what was laid and used, what is spare, how it is looked after, what is still to be done. */
export function describeHandover(job: Job, plan: Plan, entries: readonly Entry[]): HandoverPart[] {
  const facts = handoverFacts(job, plan, entries);
  const laid = (surfaces: readonly NotedSurface[]): string[] => surfaces.map((one) => laidLine(job, one));
  return [
    { heading: 'What was laid', lines: laid(facts.laid) },
    { heading: 'Not laid yet', lines: laid(facts.notLaid) },
    {
      heading: 'What was used',
      lines: facts.used.map(({ item, variant }) => `${itemName(item)}${variant ? `, ${variantName(item, variant)}` : ''}.`),
    },
    { heading: 'Done otherwise than planned', lines: facts.changes.map(({ place, text }) => (place ? `${place}: ${text}` : text)) },
    { heading: 'Lots', lines: [...new Set(facts.lots.map(({ productId, code }) => `${productName(job, productId)}: lot ${code}.`))] },
    { heading: 'Spare tiles', lines: spareLines(job, facts) },
    { heading: 'When it may be used', lines: useLines(facts) },
    { heading: 'Care', lines: careLines(facts.care) },
    { heading: 'Still to be done', lines: facts.snags },
  ].filter(({ lines }) => lines.length > 0);
}

function laidLine(job: Job, { surface, areaMm2 }: NotedSurface): string {
  const tape = tapeOf(job, surface);
  const joint = `joints ${formatLengthWithUnit(surface.jointMm, tape)} in ${colourName(surface.jointColour)}`;
  return `${surface.name}: ${productName(job, surface.productId)}, ${patternForClient(surface.pattern)}, ${joint}, ${formatArea(areaMm2, tape)}.`;
}

function spareLines(job: Job, { keptTiles, spareTiles }: HandoverFacts): string[] {
  const kept = keptTiles.map(({ pieces, name, widthMm, heightMm }) => `${pieces} of ${name}, ${widthMm} x ${heightMm} mm.`);
  const left = spareTiles.map(({ line, count }) => `${materialName(job, line)}: ${describeAmount(count, line.unit, job.tape)}.`);
  return [...kept, ...left, ...(left.length > 0 ? ['Keep them: another lot never matches.'] : [])];
}

const useLines = ({ days }: HandoverFacts): string[] =>
  days === null
    ? []
    : [`Done by ${dateWords(days.done)}; heavy things from ${dateWords(days.fullLoad)}. Wash it for the first time with clean water only.`];

function careLines({ stones, porous, groutSealedOn }: CareFacts): string[] {
  const grout = groutSealedOn === null ? 'The grout' : `The grout of ${groutSealedOn.join(', ')}`;
  return [
    'A neutral cleaner and clean water, as little of both as will do.',
    ...(stones.length > 0 ? [`Nothing acid on ${stones.join(', ')}: no vinegar, no descaler; it etches at once.`] : []),
    ...(porous.length > 0
      ? [
          `${porous.join(', ')} drink: where a drop of water no longer beads, seal again. The sealer's sheet says how often, as a rule every one to three years.`,
        ]
      : []),
    ...(groutSealedOn?.length === 0 ? [] : [`${grout} was sealed: seal it again when water darkens it.`]),
    'The soft joints in corners and at walls wear: look at them once a year and have them redone where they part.',
  ];
}
