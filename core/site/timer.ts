import { z } from 'zod';

/** Waits that are watched on site, with their usual length in minutes; the bag decides. */
export const TIMERS = {
  slake: 5,
  potLife: 60,
  openTime: 20,
  firstWash: 20,
  secondWash: 10,
  walkOn: 24 * 60,
} as const;

/** The name of a wait. */
export type TimerKind = keyof typeof TIMERS;

/** A wait: what for, and how long. */
export const timerSchema = z.strictObject({
  timer: z.enum(Object.keys(TIMERS) as TimerKind[]),
  minutes: z
    .number()
    .min(0.1)
    .max(60 * 24 * 30),
});

/** A wait that runs since some time by the clock: a reload or a locked screen stops nothing, and another phone sees it too. */
export interface Timer extends z.infer<typeof timerSchema> {
  readonly id: string;
  readonly startedAt: number;
}

/** How long a wait has still to go, minutes; below zero when it is over. A clock that was set back starts it anew at most. */
export const minutesLeft = ({ startedAt, minutes }: Timer, now: number): number => minutes - Math.max(0, now - startedAt) / 60_000;

/** A wait that has been over for so long is no longer told, minutes. */
const FORGOTTEN_AFTER = 12 * 60;

/** Waits that run, or ended a while ago, in the order in which they end. */
export const runningTimers = (timers: readonly Timer[], now: number): Timer[] =>
  timers
    .filter((timer) => minutesLeft(timer, now) > -FORGOTTEN_AFTER)
    .sort((a, b) => a.startedAt + a.minutes * 60_000 - (b.startedAt + b.minutes * 60_000));
