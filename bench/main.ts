import { benchChanges } from './changeBench.ts';
import { benchFrames } from './framesBench.ts';
import { benchKinds } from './kindsBench.ts';
import { benchOffCuts } from './offCutsBench.ts';
import { benchPlans } from './planBench.ts';
import { benchReconciling } from './reconcileBench.ts';
import { benchSearch } from './searchBench.ts';
import { benchServer } from './serverBench.ts';

const say = (text: string): void => {
  process.stdout.write(`${text}\n`);
};
const ms = (value: number): string => value.toFixed(value < 10 ? 2 : 0);

say('Plan of a floor, against clipping every piece with the same library (one run, ms)');
say(
  'pieces | place | drawing | whole plan (set out + cuts + tiles opened and figures) | clip all | pieces/s | times faster | whole plan to placing',
);
for (const row of benchPlans()) {
  say(
    [
      row.pieces,
      ms(row.placeMs),
      ms(row.drawMs),
      `${ms(row.planMs)} (${[row.stages.setOutMs, row.stages.cutsMs, row.stages.sharedMs].map(ms).join(' + ')})`,
      ms(row.clipAllMs),
      Math.round(row.piecesPerSecond),
      Math.round(row.ratio),
      Math.round(row.planMs / row.placeMs),
    ].join(' | '),
  );
}
const change = benchChanges();
say('\nA job of many surfaces, and a change in it where its other layouts are known (ms, and times faster than anew)');
say('job | surfaces | planned anew | the same again | after a reload | a wall moved | only prices changed');
const faster = (of: number): string => `${ms(of)} (${Math.round(change.anewMs / of)})`;
say(
  [change.job, change.surfaces, ms(change.anewMs), ...[change.againMs, change.reopenedMs, change.wallMs, change.priceMs].map(faster)].join(
    ' | ',
  ),
);
say('\nEvery kind of pattern on one skew surface with holes and a rounded side (one run, ms)');
say('kind | pieces | place | times faster than clipping all | whole plan | whole plan to placing');
for (const row of benchKinds()) {
  const { kind, pieces, placeMs, ratio, planMs } = row;
  say([kind, pieces, ms(placeMs), Math.round(ratio), ms(planMs), Math.round(planMs / placeMs)].join(' | '));
}

say('\nSearching for a start, beside laying one (one run, ms)');
say('room | pieces | 10 000 trials | lay one | trials in that time | start of a plan | first answer | end of the comparison');
for (const row of benchSearch()) {
  const { room, pieces, trialsMs, layMs, ratio, quickMs, firstMs, endMs } = row;
  say([room, pieces, ms(trialsMs), ms(layMs), Math.round(ratio), ms(quickMs), ms(firstMs), ms(endMs)].join(' | '));
}

say('\nTiles opened for cuts, against what any plan would need (one run, ms)');
say('rooms | cuts | opened | at least | more than needed | first answer | end');
for (const { rooms, cuts, opened, lowerBound, gapShare, firstMs, endMs } of benchOffCuts())
  say([rooms, cuts, opened, lowerBound, `${(100 * gapShare).toFixed(1)} %`, ms(firstMs), ms(endMs)].join(' | '));

say('\nThe board in Chromium under a moving hand');
say('pieces | hand | frames/s | longest frame ms');
for (const row of await benchFrames([1500, 30_000, 150_000])) {
  say([row.pieces, row.hand, Math.round(row.framesPerSecond), ms(row.longestMs)].join(' | '));
}
const { fewMm, allMm, namedShare, solveMs } = benchReconciling();
say('\nReconciling 400 made-up skew rooms read to 1.5 mm (one sigma)');
say(`worst distance off by, mean: ${fewMm.toFixed(2)} mm with just enough diagonals, ${allMm.toFixed(2)} mm with all`);
say(`a slip of 30 mm named in ${(100 * namedShare).toFixed(1)} of 100 rooms; one room of six corners solved in ${ms(solveMs)} ms`);
say('\nServer on PGlite, each answer synced to the disk');
say('job | saves/s | loads/s | bytes the folder grew by a save | acknowledged saves lost');
for (const row of await benchServer()) {
  say([row.job, Math.round(row.savesPerSecond), Math.round(row.loadsPerSecond), Math.round(row.bytesPerSave), row.lost].join(' | '));
}
