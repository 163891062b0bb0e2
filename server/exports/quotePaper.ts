import { productName, tapeOf } from '@azulejo/core/job/job';
import { placesOf } from '@azulejo/core/job/placesOf';
import { quoteRows } from '@azulejo/core/job/quoteRows';
import { rateInForce } from '@azulejo/core/money/planMoney';
import type { Say } from '@azulejo/core/messages/say';
import type { TaskId } from '@azulejo/core/labour/tasks';
import { areasLaid } from '@azulejo/core/messages/areasLaid';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { surfaceSource, type JobSource } from './exportKind.ts';
import { drawFinished } from './finishedLook.ts';
import { startJobPaper, writeHeading, writeTable, writeText, type JobPaper } from './jobPaper.ts';
import { FAINT, INK, MARGIN, write } from './paper.ts';
import { formatCoins } from '@azulejo/core/units/currency';

const DAY_MS = 86_400_000;
/** Pictures beside each other, points apart. */
const PICTURES = { across: 3, high: 118, gap: 12 };

/** The quote to the client: how it will look, what is done, what it costs, how long it stands. */
export function writeQuote(source: JobSource, today = new Date()): Promise<Buffer> {
  const { job, plan, words } = source;
  const { say, dateWords } = words;
  const { quote } = plan().money;
  const coins = (cents: number): string => words.money(formatCoins(cents, job.currency));
  const valid = new Date(today.getTime() + (job.charging?.validDays ?? 30) * DAY_MS);
  const paper = startJobPaper(source, say('paper/quote'), dateWords(today), say('paper/standsUntil', { date: dateWords(valid) }));
  writePictures(paper, source);
  writeHeading(paper, say('paper/included'));
  for (const line of includedIn(source)) writeText(paper, line);
  writeHeading(paper, say('paper/excluded'));
  const excludes = job.charging?.excludes ?? '';
  writeText(paper, excludes === '' ? say('paper/usuallyExcluded') : excludes);
  writeHeading(paper, say('paper/price'), 120);
  const rates = rateInForce(job);
  const rows = [
    ...quoteRows(job, quote).map((row) => [words.quoteRowName(row), coins(row.cents)]),
    ...(quote.discountCents > 0 ? [[say('paper/discount', { percent: rates.discountPercent }), `-${coins(quote.discountCents)}`]] : []),
    ...quote.taxes.map(({ percent, baseCents, taxCents }) => [say('paper/tax', { percent, base: coins(baseCents) }), coins(taxCents)]),
    [say('paper/toPay'), coins(quote.totalCents)],
  ];
  writeTable(
    paper,
    [
      { title: '', width: paper.width - 110 },
      { title: job.currency, width: 110, right: true },
    ],
    rows,
    (row) => row === rows.length - 1,
  );
  paper.y += 14;
  writeText(paper, say('paper/counted'), 8.5, FAINT);
  paper.room(60);
  writeSigns(paper, words.say);
  return paper.finish();
}

/** A picture of each room, by the largest of its surfaces. */
function writePictures(paper: JobPaper, { job, plan, words }: JobSource): void {
  const { surfaces: plans } = plan();
  const { across, high, gap } = PICTURES;
  const width = (paper.width - gap * (across - 1)) / across;
  const shown = placesOf(job).flatMap(({ name, surfaces }) => {
    const own = plans.filter(({ surfaceId }) => surfaces.some(({ id }) => id === surfaceId));
    const planned = [...own].sort((a, b) => b.extent.areaMm2 - a.extent.areaMm2)[0] as SurfacePlan | undefined;
    const surface = surfaces.find(({ id }) => id === planned?.surfaceId);
    return planned && surface ? [{ name, surface, planned }] : [];
  });
  shown.forEach(({ name, surface, planned }, k) => {
    if (k % across === 0) paper.room(high + 42);
    const x = MARGIN + (k % across) * (width + gap);
    drawFinished(paper.pdf, surfaceSource({ job, surface, planned }, words), { x, y: paper.y, width, height: high });
    const below = write(paper.pdf, name, 'bold', 9.5, INK, x, paper.y + high + 4, width);
    write(
      paper.pdf,
      `${productName(job, surface.productId)}, ${words.patternForClient(surface.pattern)}`,
      'text',
      8.5,
      FAINT,
      x,
      below,
      width,
    );
    if (k % across === across - 1 || k === shown.length - 1) paper.y += high + 42;
  });
}

/** All of laying tiles that a client takes for one work. */
const LAYING: ReadonlySet<TaskId> = new Set(['setOut', 'cut', 'ledger', 'lay', 'ledgerOff', 'ledgerHoles', 'ledgerSeal', 'bottomRow']);

/** What is done, from the plan: what is laid room by room, then the other work there is. */
function includedIn({ job, plan, words }: JobSource): string[] {
  const { surfaces: plans, money } = plan();
  const places = placesOf(job);
  const laid = places.map(({ name, surfaces }) => {
    // One unit for a room: that of the tape it was measured with.
    const tape = words.read(surfaces.length > 0 ? tapeOf(job, surfaces[0]) : job.tape);
    return `${name}: ${areasLaid(surfaces, plans)
      .map((area) => words.describeLaid(job, area, tape))
      .join('; ')}.`;
  });
  const tasks = [...new Set(money.work.map(({ task }) => task))].filter((task) => !LAYING.has(task));
  const works = tasks.map((task) => {
    const done = new Set(money.work.filter((one) => one.task === task).map(({ surfaceId }) => surfaceId));
    const where = places.filter(({ surfaces }) => surfaces.some(({ id }) => done.has(id))).map(({ name }) => name);
    return `${words.TASK_NAMES[task]}: ${where.length === places.length ? words.say('paper/everywhere') : where.join(', ')}.`;
  });
  const includes = job.charging?.includes ?? '';
  return [...laid, ...works, ...(includes === '' ? [] : [includes])];
}

function writeSigns(paper: JobPaper, say: Say): void {
  const { pdf, width } = paper;
  const line = (x: number, label: string): void => {
    pdf
      .lineWidth(0.6)
      .strokeColor(INK)
      .moveTo(x, paper.y + 34)
      .lineTo(x + width / 2 - 20, paper.y + 34)
      .stroke();
    write(pdf, label, 'text', 8.5, FAINT, x, paper.y + 37, width / 2 - 20);
  };
  line(MARGIN, say('paper/signClient'));
  line(MARGIN + width / 2 + 20, say('paper/signInstaller'));
}
