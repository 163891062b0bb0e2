import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { planSurface } from '../plan.ts';
import { standing } from '../samples/standing.ts';
import { jobOfOne } from '../samples/testJob.ts';
import { cutTrips, fenceOf, fenceSettings, orderFor, settingsOf, tripsFor } from './cutOrder.ts';

const skewRoom = (shift: number, fixtureMm: number) => {
  const job = jobOfOne({
    size: [2400 + shift, 1700],
    tile: [300, 200],
    jointMm: 3,
    surface: { setout: { x: { rule: 'free', offsetMm: 40 + shift }, y: { rule: 'free', offsetMm: 60 } } },
    measured: {
      fixtures: [standing('tray', { kind: 'rectangle', widthMm: fixtureMm, heightMm: 180 }, 420, 510)],
    },
  });
  return planSurface(job, job.surfaces[0]);
};

describe('the order of cuts', () => {
  test('every piece is cut once, none before its trip, and no trip is larger than what can be carried', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 250 }),
        fc.integer({ min: 90, max: 700 }),
        fc.option(fc.integer({ min: 1, max: 30 })),
        (shift, size, perTrip) => {
          const { cuts, groups } = skewRoom(shift, size);
          const trips = cutTrips(cuts, groups, { order: 'hardestLast', perTrip });
          const labels = trips.map((trip) => trip.settings.flatMap(({ pieces }) => pieces.map(({ label }) => label)));
          expect(labels.flat().sort()).toEqual(cuts.map(({ label }) => label).sort());
          expect(new Set(settingsOf(trips).map(({ id }) => id)).size).toBe(settingsOf(trips).length);
          if (perTrip !== null)
            labels.forEach((own, k) =>
              expect(own.sort()).toEqual(
                cuts
                  .slice(k * perTrip, (k + 1) * perTrip)
                  .map(({ label }) => label)
                  .sort(),
              ),
            );
        },
      ),
      { numRuns: 12 },
    );
  });

  test('the hardest come last or first, and the fence is never set twice to the same among equally hard cuts', () => {
    const { cuts, groups } = skewRoom(130, 400);
    const minutes = (order: 'hardestFirst' | 'hardestLast') =>
      cutTrips(cuts, groups, { order, perTrip: null })[0].settings.map(({ group }) => group.first.minutes);
    expect(minutes('hardestLast')).toEqual([...minutes('hardestLast')].sort((a, b) => a - b));
    expect(minutes('hardestFirst')).toEqual([...minutes('hardestFirst')].sort((a, b) => b - a));
    const trips = cutTrips(cuts, groups, { order: 'hardestLast', perTrip: null });
    const settings = trips[0].settings.flatMap(({ group: { first } }) => {
      const fence = fenceOf(first);
      return fence ? [`${first.minutes} ${fence.tool} ${fence.mm.toFixed(1)}`] : [];
    });
    const straight = trips.map((trip) => ({ ...trip, settings: trip.settings.filter(({ group }) => fenceOf(group.first)) }));
    expect(fenceSettings(straight)).toBeLessThanOrEqual(new Set(settings).size);
    expect(fenceSettings([straight[0], { zone: null, settings: straight[0].settings.slice(-1) }])).toBe(fenceSettings(straight));
  });

  test('a piece with two straight cuts sets the fence twice, but for what it stands at', () => {
    const settings = (widthMm: number) => {
      const start = { rule: 'fullFromStart' } as const;
      const job = jobOfOne({ size: [widthMm, 1000], tile: [300, 300], jointMm: 3, surface: { setout: { x: start, y: start } } });
      const { cuts, groups } = planSurface(job, job.surfaces[0]);
      return fenceSettings(cutTrips(cuts, groups, { order: 'hardestLast', perTrip: null }));
    };
    // 990 inside the gaps: three of 300 and 81 both ways. All strips and the corner are cut at 81.
    expect(settings(1000)).toBe(1);
    // 1090 = three of 300 and 181 across, 81 up: 181, 81, and for the corner 81 as it stands and 181 anew.
    expect(settings(1100)).toBe(3);
  });

  test('cuts follow the laying zones: those of a zone before those of the next, each once', () => {
    const plan = skewRoom(130, 400);
    expect(plan.zones.zones.length).toBeGreaterThan(1);
    const trips = tripsFor(plan, { kind: 'stack', lay: 'lying' }, { order: null, perTrip: 4, byZone: true });
    const walked = trips.map(({ zone, settings }) => ({
      zone,
      labels: settings.flatMap(({ pieces }) => pieces.map(({ label }) => label)),
    }));
    expect(walked.every(({ labels }) => labels.length > 0 && labels.length <= 4)).toBe(true);
    for (const { number, cuts } of plan.zones.zones) {
      const own = walked.filter(({ zone }) => zone === number).flatMap(({ labels }) => labels);
      expect(own.sort()).toEqual([...cuts].sort());
    }
    expect(walked.map(({ zone }) => zone)).toEqual(walked.map(({ zone }) => zone).sort((a, b) => Number(a) - Number(b)));
  });

  test('lanterns are cut hardest first unless the job says otherwise', () => {
    const lantern = { kind: 'arabesque' } as Parameters<typeof orderFor>[0];
    expect(orderFor(lantern, undefined)).toBe('hardestFirst');
    expect(orderFor(lantern, { order: 'hardestLast', perTrip: null })).toBe('hardestLast');
    expect(orderFor({ kind: 'stack' } as Parameters<typeof orderFor>[0], undefined)).toBe('hardestLast');
  });
});
