import { productName, tapeOf, type Job } from '../../job/job.ts';
import type { Plan } from '../../plan.ts';
import type { Entry } from '../../site/entry.ts';
import { formatArea } from '../../units/formatArea.ts';
import { formatLengthWithUnit } from '../../units/formatLength.ts';
import { handoverFacts, type CareFacts, type HandoverFacts, type HandoverPart, type NotedSurface } from '../handoverFacts.ts';
import { patternForClient } from './client.ts';
import { dateWords, figure, read } from './figures.ts';
import { colourName, itemName, variantName } from './materialNames.ts';
import { describeAmount, materialName } from './materials.ts';

/** What stays with the client: what was laid and used, what is spare, how it is looked after, what is still to be done. */
export function describeHandover(job: Job, plan: Plan, entries: readonly Entry[]): HandoverPart[] {
  const facts = handoverFacts(job, plan, entries);
  const laid = (surfaces: readonly NotedSurface[]): string[] => surfaces.map((one) => laidLine(job, one));
  return [
    { heading: 'Was verlegt wurde', lines: laid(facts.laid) },
    { heading: 'Noch nicht verlegt', lines: laid(facts.notLaid) },
    {
      heading: 'Was verwendet wurde',
      lines: facts.used.map(({ item, variant }) => `${itemName(item)}${variant ? `, ${variantName(item, variant)}` : ''}.`),
    },
    { heading: 'Anders als geplant', lines: facts.changes.map(({ place, text }) => (place ? `${place}: ${text}` : text)) },
    { heading: 'Chargen', lines: [...new Set(facts.lots.map(({ productId, code }) => `${productName(job, productId)}: Charge ${code}.`))] },
    { heading: 'Übrige Fliesen', lines: spareLines(job, facts) },
    { heading: 'Ab wann es benutzt werden darf', lines: useLines(facts) },
    { heading: 'Pflege', lines: careLines(facts.care) },
    { heading: 'Noch zu tun', lines: facts.snags },
  ].filter(({ lines }) => lines.length > 0);
}

function laidLine(job: Job, { surface, areaMm2 }: NotedSurface): string {
  const tape = read(tapeOf(job, surface));
  const joint = `Fugen ${formatLengthWithUnit(surface.jointMm, tape)} in ${colourName(surface.jointColour)}`;
  return `${surface.name}: ${productName(job, surface.productId)}, ${patternForClient(surface.pattern)}, ${joint}, ${formatArea(areaMm2, tape)}.`;
}

function spareLines(job: Job, { keptTiles, spareTiles }: HandoverFacts): string[] {
  const kept = keptTiles.map(
    ({ pieces, name, widthMm, heightMm }) => `${pieces} von ${name}, ${figure(widthMm)} x ${figure(heightMm)} mm.`,
  );
  const left = spareTiles.map(({ line, count }) => `${materialName(job, line)}: ${describeAmount(count, line.unit, job.tape)}.`);
  return [...kept, ...left, ...(left.length > 0 ? ['Aufheben: Eine andere Charge passt nie genau.'] : [])];
}

const useLines = ({ days }: HandoverFacts): string[] =>
  days === null
    ? []
    : [`Fertig am ${dateWords(days.done)}; schwere Dinge ab ${dateWords(days.fullLoad)}. Beim ersten Mal nur mit klarem Wasser wischen.`];

function careLines({ stones, porous, groutSealedOn }: CareFacts): string[] {
  const grout = groutSealedOn === null ? 'Die Fugen' : `Die Fugen von ${groutSealedOn.join(', ')}`;
  return [
    'Neutraler Reiniger und klares Wasser, von beidem so wenig wie nötig.',
    ...(stones.length > 0 ? [`Nichts Saures auf ${stones.join(', ')}: kein Essig, kein Entkalker; es ätzt sofort.`] : []),
    ...(porous.length > 0
      ? [
          `${porous.join(', ')}: saugend. Wo ein Wassertropfen nicht mehr abperlt, neu imprägnieren. Wie oft, sagt das Datenblatt, in der Regel alle ein bis drei Jahre.`,
        ]
      : []),
    ...(groutSealedOn?.length === 0 ? [] : [`${grout} sind imprägniert: neu imprägnieren, wenn Wasser sie dunkel färbt.`]),
    'Die weichen Fugen in Ecken und an Wänden verschleißen: einmal im Jahr ansehen und erneuern lassen, wo sie sich lösen.',
  ];
}
