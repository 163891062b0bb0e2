import type { TimerKind } from '../../site/timer.ts';

/** What each wait is called. */
export const TIMER_NAMES: Readonly<Record<TimerKind, string>> = {
  slake: 'Rest after mixing',
  potLife: 'Bucket is good for',
  openTime: 'Tiles within',
  firstWash: 'First wash from',
  secondWash: 'Second wash from',
  walkOn: 'Walked on from',
};

/** What to do when a wait is over. */
export const TIMER_OVER: Readonly<Record<TimerKind, string>> = {
  slake: 'Stir again and use it.',
  potLife: 'What is left in the bucket goes to waste: never thin it.',
  openTime: 'Touch the ridges: a skin takes no tile. Comb again.',
  firstWash: 'Look whether the grout is firm, then wash.',
  secondWash: 'Wash once more with clean water.',
  walkOn: 'It may be walked on.',
};

/** What is left of a wait: "4:30", "1 h 20", "over by 3 min". */
export function leftWords(minutes: number): string {
  if (minutes <= 0) return minutes > -1 ? 'now' : `over by ${Math.floor(-minutes)} min`;
  if (minutes >= 60) return `${Math.floor(minutes / 60)} h ${String(Math.floor(minutes % 60)).padStart(2, '0')}`;
  const seconds = Math.ceil(minutes * 60);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}
