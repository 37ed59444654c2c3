/**
 * Release: a post on its way to its readers.
 *
 * `last-look` is what is found before it goes out (`left-to-fill` finds what still waits for words); `appearances` tells where
 * it will stand; `going-out` dates it; `standing` tells how it stands towards readers and what comes next; `local-time` turns a clock in a zone into instants
 * and back; `read-back` compares a page that is out with what was sent; `week-plan` spreads several posts over days.
; `calendar-days` are the weeks
 * that a calendar shows, `rhythm` tells gaps and pile-ups in what is to come.
 */
export { type Appearance, appearances } from './appearances.ts';
export { daysBetween, monthsBefore, monthWeeks, shiftDay, shiftMonth, weekOf } from './calendar-days.ts';
export { datesOfGoingOut, keptOutOfPlan, type OutAt } from './going-out.ts';
export { holdingBack, type LookAt, type LookItem, lastLook } from './last-look.ts';
export type { ToFill } from './left-to-fill.ts';
export { instantAt, localTime } from './local-time.ts';
export { type Expected, type ReadBack, type ReadBackFault, readBack } from './read-back.ts';
export { type Rhythm, type RhythmGap, rhythmOf } from './rhythm.ts';
export { type Standing, type StandingAccount, standingOf } from './standing.ts';
export { type PlannedTime, type PlanWish, planTimes } from './week-plan.ts';
