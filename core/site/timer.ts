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

/** A wait that runs: when it ends by the clock of the phone, so that a reload or a locked screen stops nothing. */
export const timerSchema = z.strictObject({
  id: z.string().min(1).max(40),
  kind: z.enum(Object.keys(TIMERS) as TimerKind[]),
  startedAt: z.number(),
  minutes: z
    .number()
    .min(0.1)
    .max(60 * 24 * 30),
});

/** A wait that runs. */
export type Timer = z.infer<typeof timerSchema>;

/** How long a wait has still to go, minutes; below zero when it is over. A clock that was set back starts it anew at most. */
export const minutesLeft = ({ startedAt, minutes }: Timer, now: number): number => minutes - Math.max(0, now - startedAt) / 60_000;

/** Waits in the order in which they end. */
export const byEnd = (timers: readonly Timer[]): Timer[] =>
  [...timers].sort((a, b) => a.startedAt + a.minutes * 60_000 - (b.startedAt + b.minutes * 60_000));
