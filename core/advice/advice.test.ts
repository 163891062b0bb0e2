import { describe, expect, test } from '@jest/globals';
import { describeFinding, describeMend, explainFinding } from '../messages/en/advice.ts';
import { plan as planAnew } from '../plan.ts';
import { Memory } from '../memory.ts';
import { checkJob } from '../job/checkJob.ts';
import type { Job } from '../job/job.ts';
import type { Fixture } from '../surface/fixture.ts';
import { IMPERIAL_TAPE, METRIC_TAPE } from '../units/tape.ts';
import { good, inSheets, laid, measuredAs, withTile } from '../samples/provoked.ts';
import { PROVOKED } from '../samples/provokedAll.ts';
import { DRAWN_PLANKS } from '../samples/provokedTile.ts';
import { standing } from '../samples/standing.ts';
import type { Finding } from './finding.ts';
import { mendedJob, mendHolds } from './mendHolds.ts';
import { openFindings } from './registry.ts';
import { worstFirst } from './worstFirst.ts';

const memory = new Memory();
/** The findings of one job are asked for again and again: what stayed as it was is not laid out again. */
const plan = (job: Job) => planAnew(job, memory);

const codes = (job: Job): string[] => plan(job).findings.map(({ code }) => code);
const found = (job: Job, code: string): Finding | undefined => plan(job).findings.find((finding) => finding.code === code);

/** Words of a sentence, figures with their units counted as one. */
const wordsIn = (said: string): number =>
  said
    .replace(/(\d) (mm|m²|m|kg|%|h|min)\b/g, '$1$2')
    .replace(/(\d['"]?) (?=\d)/g, '$1')
    .split(/\s+/).length;

test('a sound surface sets off nothing', () => {
  for (const job of [laid({}), laid({ kind: 'floor' })]) expect(codes(job)).toEqual([]);
});

describe.each(Object.entries(PROVOKED))('%s', (code, { job, beside, path }) => {
  test('is found and names its field, and is not found in the job just beside', () => {
    expect([checkJob(job), checkJob(beside)]).toEqual([[], []]);
    expect(found(job, code)?.path.join('.')).toBe(path);
    expect(found(beside, code)).toBeUndefined();
  });
  test('is said in one breath in both tapes, and what more there is in sentences', () => {
    const finding = found(job, code);
    if (!finding) throw new Error(`${code} is not found`);
    for (const tape of [METRIC_TAPE, IMPERIAL_TAPE]) {
      const said = describeFinding(finding, tape);
      expect(said).toMatch(/^[A-Z"\d].{25,}\.$/s);
      expect([said, wordsIn(said) <= 20]).toEqual([said, true]);
      for (const more of explainFinding(finding, tape)?.split(/(?<=\.) /) ?? []) expect([more, wordsIn(more) <= 20]).toEqual([more, true]);
    }
  });
  test('a press that mends it says what it does, and with it the finding is gone and no warning new', () => {
    const finding = found(job, code);
    const words = finding && describeMend(finding, METRIC_TAPE);
    expect([Boolean(finding?.mend), /^[A-Z].*\w/.test(words ?? '')]).toEqual(finding?.mend ? [true, true] : [false, false]);
    if (!finding?.mend) return;
    const mended = mendedJob(job, finding);
    if (!mended) throw new Error(`${code} is mended: got a refusal`);
    const [before, after] = [job, mended].map((one) => plan(one).findings);
    expect(after.map((one) => one.code)).not.toContain(code);
    expect(mendHolds(finding, before, after)).toBe(true);
  });
});

const withFixture = (fixture: Fixture): Job => measuredAs({ fixtures: [fixture] });

test('the brothers of a finding: other things that stand fast, other pipes, ends drawn by chance, an edge with a gap of its own', () => {
  const column = standing('column', { kind: 'rectangle', widthMm: 300, heightMm: 300 }, 1000, 400);
  expect(found(withFixture(column), 'advice/no-perimeter-joint')?.mend?.value).toBe(8);
  expect(codes(withFixture(standing('waste', { kind: 'round', diameterMm: 60 }, 1051, 155)))).toContain('advice/tight-pipe');
  expect(found(DRAWN_PLANKS, 'advice/long-offset')?.mend).toBeUndefined();
  const bath = { ...standing('bath', { kind: 'rectangle', widthMm: 900, heightMm: 300 }, 1465, 0), clearanceMm: 5 };
  expect(found(withFixture(bath), 'advice/stands-off')?.figures).toMatchObject({ edge: 'right', offMm: 40 });
  const own = measuredAs({ edgeGapsMm: { left: 0 } });
  const finding = found(own, 'advice/no-perimeter-joint');
  expect(finding?.mend).toMatchObject({ path: ['surfaces', 0, 'measured', 'edgeGapsMm', 'left'], value: 5 });
});

test('a mend is none where it would leave another warning, and none where what it mends is gone', () => {
  // A sample that asks for more than clips of 2 mm keep.
  const job = withTile(
    { sample: [299, 300].map((widthMm) => ({ widthMm, heightMm: 300 })) },
    { ...good, jointMm: 6, surface: { ...good.surface, works: { does: { clips: true } } } },
  );
  const clips = found(job, 'advice/clip-width');
  const mended = clips && mendedJob(job, clips);
  expect(mended && mendHolds(clips, plan(job).findings, plan(mended).findings)).toBe(true);
  const fine = { ...job, materials: { levellingClips: { choices: { widthMm: 2 } } } };
  const joint = { ...(found(fine, 'advice/clip-width') as Finding), mend: { path: ['surfaces', 0, 'jointMm'], value: 2 } };
  const narrower = mendedJob(fine, joint);
  expect(narrower && mendHolds(joint, plan(fine).findings, plan(narrower).findings)).toBe(false);
  const { job: piped } = PROVOKED['advice/tight-pipe'];
  const tight = found(piped, 'advice/tight-pipe') as Finding;
  const [surface] = piped.surfaces;
  const gone = { ...piped, surfaces: [{ ...surface, measured: { ...surface.measured, fixtures: [] } }] };
  expect(mendedJob(gone, tight)).toBeNull();
});

test('what is said of glass holds in an inset, and grout stays as its face wants it', () => {
  const strip = { ...laid({}).products[0], id: 'glass', name: 'Brine glass', material: 'glass', measured: null } as const;
  const [surface] = laid({ works: { grout: 'sanded', mortar: 'grey' } }).surfaces;
  const inset = {
    id: 'i',
    name: 'Strip',
    outline: { kind: 'rectangle', widthMm: 900, heightMm: 300 } as const,
    from: standing('tray', { kind: 'rectangle', widthMm: 900, heightMm: 300 }, 600, 400).from,
    productId: 'glass',
    parts: {},
    jointMm: 2,
    pattern: { kind: 'stack', lay: 'lying' } as const,
    turnDeg: 0,
    mirrored: false,
    colours: surface.colours,
    partColours: {},
    setout: surface.setout,
    border: null,
  };
  const job = { ...laid({}), products: [laid({}).products[0], strip], surfaces: [{ ...surface, insets: [inset] }] };
  expect(codes(job)).toEqual(
    expect.arrayContaining(['advice/sanded-glass', 'advice/dark-mortar', 'advice/glass-bed', 'advice/nominal-size']),
  );
  const fine = { ...job, surfaces: [{ ...job.surfaces[0], works: { grout: 'fine', mortar: 'white' } as const }] };
  expect(codes(fine).filter((code) => /grout|sand|mortar/.test(code))).toEqual([]);
});

test('a sixteenth of an inch is no narrow joint, an eighth keeps clips of 3 mm, and what is asked for can be read off the tape', () => {
  const inches: Job = { ...laid({}, { jointMm: 25.4 / 16 }), practice: 'northAmerican', tape: IMPERIAL_TAPE };
  expect(codes(inches)).not.toContain('advice/narrow-joint');
  expect(codes({ ...inches, practice: 'european' })).toContain('advice/narrow-joint');
  expect(codes(laid({ works: { does: { clips: true } } }, { jointMm: 25.4 / 8 }))).not.toContain('advice/clip-width');
  const uneven = withTile({ sample: [299.5, 300.7].map((widthMm) => ({ widthMm, heightMm: 300 })) });
  expect(found({ ...uneven, tape: IMPERIAL_TAPE }, 'advice/uneven-pieces')?.figures.neededMm).toBeCloseTo((3 * 25.4) / 16, 6);
});

test('the worst comes first: what is untrue of a stored job, then warnings by harm, then notes', () => {
  const of = (code: Finding['code'], severity: Finding['severity'] = 'warning'): Pick<Finding, 'code' | 'severity'> => ({ code, severity });
  const found = [
    of('advice/sliver'),
    of('advice/fragile-ear', 'note'),
    of('advice/wet-open'),
    of('surface/no-such-room'),
    of('advice/not-flat'),
  ];
  const codesNow = worstFirst(found).map(({ code }) => code);
  expect(codesNow).toEqual(['surface/no-such-room', 'advice/wet-open', 'advice/not-flat', 'advice/sliver', 'advice/fragile-ear']);
});

test('a lot has to hold a whole room; each room may have its own', () => {
  const job = withTile({ lots: [40, 40].map((pieces, k) => ({ id: `l${k}`, code: `T${k}`, shade: '', calibre: '', pieces })) });
  const [wall] = job.surfaces;
  const twice = [wall, { ...wall, id: 'b', name: 'Other' }];
  const rooms = ['r', 'q'].map((id) => ({ id, name: id }));
  const lotted = (...roomIds: string[]): Job => ({ ...job, rooms, surfaces: twice.map((one, k) => ({ ...one, roomId: roomIds[k] })) });
  expect(codes(lotted('r', 'r'))).toContain('advice/mixed-lots');
  expect(codes(lotted('r', 'q'))).toEqual([]);
});

test('what is known of is quiet, and says what was noted', () => {
  const { job } = PROVOKED['advice/narrow-joint'];
  const known = { ...job, surfaces: [{ ...job.surfaces[0], known: { 'advice/narrow-joint': 'rectified, tried on a board' } }] };
  expect(openFindings(plan(known).findings)).toEqual([]);
  expect(plan(known).findings[0].known).toBe('rectified, tried on a board');
  // A job that was stored when a large bay was told as a long one; one that knows of what is found no more.
  const { job: large } = PROVOKED['advice/bay-too-large'];
  const stored = { ...large, surfaces: [{ ...large.surfaces[0], known: { 'advice/bay-too-long': '', 'advice/was-once': 'so' } }] };
  expect(openFindings(plan(stored).findings).map(({ code }) => code)).not.toContain('advice/bay-too-large');
});

test('a hidden edge may keep its sliver; sheets of two chips beside each other show their seams either way', () => {
  const { job } = PROVOKED['advice/sliver'];
  const [surface] = job.surfaces;
  const hidden = { ...surface, measured: { ...surface.measured, roles: { right: 'hidden' } as const } };
  expect(codes({ ...job, surfaces: [hidden] })).not.toContain('advice/sliver');
  expect(codes(inSheets([905, 905], 1.4))).toContain('advice/sheet-seam');
});

test('a strip behind a sink is told at what stays of it, not at what the whole tile would leave', () => {
  const behind = (fromTopMm: number): Job => {
    const sink = standing('tray', { kind: 'rectangle', widthMm: 700, heightMm: 300 }, 250, 0);
    const from: Fixture['from'] = [
      { edge: 'top', mm: fromTopMm },
      { edge: 'left', mm: 250 },
    ];
    return laid(
      { setout: { x: { rule: 'jointCentred' }, y: { rule: 'free', offsetMm: 495 } } },
      { size: [1205, 640], measured: { fixtures: [{ ...sink, from }] } },
    );
  };
  const top = (job: Job) => plan(job).surfaces[0].edges.find(({ id }) => id === 'top');
  expect(top(behind(45))?.smallestCutMm).toBeCloseTo(40);
  expect(top(behind(45))?.largestCutMm).toBeCloseTo(135);
  const slivers = plan(behind(45)).findings.filter(({ code }) => code === 'advice/sliver');
  expect(slivers.map(({ figures }) => figures.edge)).toContain('top');
  expect(top(behind(300))?.smallestCutMm).toBeCloseTo(135);
});

test('set stones stay as they are when the saw changes', () => {
  const { job, beside } = PROVOKED['advice/under-kerf'];
  expect(plan(beside).surfaces[0].layout).toEqual(plan(job).surfaces[0].layout);
});
