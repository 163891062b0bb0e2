import type { TimerKind } from '../../site/timer.ts';

/** What each wait is called. */
export const TIMER_NAMES: Readonly<Record<TimerKind, string>> = {
  slake: 'Reifezeit nach dem Mischen',
  potLife: 'Eimer ist gut für',
  openTime: 'Fliesen innerhalb von',
  firstWash: 'Erstes Waschen ab',
  secondWash: 'Zweites Waschen ab',
  walkOn: 'Begehbar ab',
};

/** What to do when a wait is over. */
export const TIMER_OVER: Readonly<Record<TimerKind, string>> = {
  slake: 'Noch einmal rühren und verwenden.',
  potLife: 'Was noch im Eimer ist, kommt weg: nie wieder verdünnen.',
  openTime: 'Die Rippen berühren: Eine Haut nimmt keine Fliese an. Neu aufkämmen.',
  firstWash: 'Nachsehen, ob die Fuge fest ist, dann waschen.',
  secondWash: 'Noch einmal mit klarem Wasser waschen.',
  walkOn: 'Es darf begangen werden.',
};

/** What is left of a wait: "4:30", "1 h 20", "seit 3 min vorbei". */
export function leftWords(minutes: number): string {
  if (minutes <= 0) return minutes > -1 ? 'jetzt' : `seit ${Math.floor(-minutes)} min vorbei`;
  if (minutes >= 60) return `${Math.floor(minutes / 60)} h ${String(Math.floor(minutes % 60)).padStart(2, '0')}`;
  const seconds = Math.ceil(minutes * 60);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}
