import { productName, type Job } from '@azulejo/core/job/job';
import { placesOf } from '@azulejo/core/job/placesOf';
import { patternForClient, tilesOfPlace } from '@azulejo/core/messages/en/client';
import { quoteRows, TASK_NAMES } from '@azulejo/core/messages/en/money';
import { rateInForce } from '@azulejo/core/money/planMoney';
import type { TaskId } from '@azulejo/core/labour/tasks';
import type { Plan } from '@azulejo/core/plan';
import type { SurfacePlan } from '@azulejo/core/plan/planned';
import { drawFinished } from './finishedLook.ts';
import { dateWords, startJobPaper, writeHeading, writeTable, writeText, type JobPaper } from './jobPaper.ts';
import { FAINT, INK, MARGIN, write } from './paper.ts';
import { formatCoins } from '@azulejo/core/units/currency';

const DAY_MS = 86_400_000;
/** Pictures beside each other, points apart. */
const PICTURES = { across: 3, high: 118, gap: 12 };

/** The quote to the client: how it will look, what is done, what it costs, how long it stands. */
export function writeQuote(job: Job, plan: Plan, today = new Date()): Promise<Buffer> {
  const { quote } = plan.money;
  const valid = new Date(today.getTime() + (job.charging?.validDays ?? 30) * DAY_MS);
  const paper = startJobPaper(job, 'Quote', dateWords(today), `stands until ${dateWords(valid)}`);
  writePictures(paper, job, plan);
  writeHeading(paper, 'What is included');
  for (const line of includedIn(job, plan)) writeText(paper, line);
  writeHeading(paper, 'What is not');
  const excludes = job.charging?.excludes ?? '';
  writeText(
    paper,
    excludes === ''
      ? 'Work on electricity, water, structure and waterproofing where the law asks for a licensed trade; what is found once old work is off.'
      : excludes,
  );
  writeHeading(paper, 'Price', 120);
  const rates = rateInForce(job);
  const rows = [
    ...quoteRows(job, quote).map(({ name, cents }) => [name, formatCoins(cents, job.currency)]),
    ...(quote.discountCents > 0 ? [[`Discount, ${rates.discountPercent} %`, `-${formatCoins(quote.discountCents, job.currency)}`]] : []),
    ...quote.taxes.map(({ percent, baseCents, taxCents }) => [
      `Tax, ${percent} % of ${formatCoins(baseCents, job.currency)}`,
      formatCoins(taxCents, job.currency),
    ]),
    ['To pay', formatCoins(quote.totalCents, job.currency)],
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
  writeText(
    paper,
    'Quantities follow from the measurements taken; tiles are counted piece by piece. Spare tiles stay with the client.',
    8.5,
    FAINT,
  );
  paper.room(60);
  writeSigns(paper);
  return paper.finish();
}

/** A picture of each room, by the largest of its surfaces. */
function writePictures(paper: JobPaper, job: Job, plan: Plan): void {
  const { across, high, gap } = PICTURES;
  const width = (paper.width - gap * (across - 1)) / across;
  const shown = placesOf(job).flatMap(({ name, surfaces }) => {
    const own = plan.surfaces.filter(({ surfaceId }) => surfaces.some(({ id }) => id === surfaceId));
    const planned = [...own].sort((a, b) => b.extent.areaMm2 - a.extent.areaMm2)[0] as SurfacePlan | undefined;
    const surface = surfaces.find(({ id }) => id === planned?.surfaceId);
    return planned && surface ? [{ name, surface, planned }] : [];
  });
  shown.forEach(({ name, surface, planned }, k) => {
    if (k % across === 0) paper.room(high + 42);
    const x = MARGIN + (k % across) * (width + gap);
    drawFinished(paper.pdf, { job, surface, planned }, { x, y: paper.y, width, height: high });
    const below = write(paper.pdf, name, 'bold', 9.5, INK, x, paper.y + high + 4, width);
    write(paper.pdf, `${productName(job, surface.productId)}, ${patternForClient(surface.pattern)}`, 'text', 8.5, FAINT, x, below, width);
    if (k % across === across - 1 || k === shown.length - 1) paper.y += high + 42;
  });
}

/** All of laying tiles that a client takes for one work. */
const LAYING: ReadonlySet<TaskId> = new Set(['setOut', 'cut', 'ledger', 'lay', 'ledgerOff', 'bottomRow']);

/** What is done, from the plan: what is laid room by room, then the other work there is. */
function includedIn(job: Job, plan: Plan): string[] {
  const places = placesOf(job);
  const laid = places.map(({ name, surfaces }) => `${name}: ${tilesOfPlace(job, surfaces, plan.surfaces).join('; ')}.`);
  const tasks = [...new Set(plan.money.work.map(({ task }) => task))].filter((task) => !LAYING.has(task));
  const works = tasks.map((task) => {
    const done = new Set(plan.money.work.filter((one) => one.task === task).map(({ surfaceId }) => surfaceId));
    const where = places.filter(({ surfaces }) => surfaces.some(({ id }) => done.has(id))).map(({ name }) => name);
    return `${TASK_NAMES[task]}: ${where.length === places.length ? 'everywhere' : where.join(', ')}.`;
  });
  const includes = job.charging?.includes ?? '';
  return [...laid, ...works, ...(includes === '' ? [] : [includes])];
}

function writeSigns(paper: JobPaper): void {
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
  line(MARGIN, 'Date and signature of the client');
  line(MARGIN + width / 2 + 20, 'Date and signature of the installer');
}
