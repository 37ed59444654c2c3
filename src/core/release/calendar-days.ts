const DAY = 86_400_000;
const at = (day: string): number => Date.parse(`${day}T00:00:00Z`);

/** The day so many days after another; before it where they are negative: `shiftDay('2026-02-27', 2)` is `2026-03-01`. */
export const shiftDay = (day: string, days: number): string =>
  new Date(at(day) + days * DAY).toISOString().slice(0, 10);

/** The month so many months after another: `shiftMonth('2026-12', 1)` is `2027-01`. */
export function shiftMonth(month: string, months: number): string {
  const [year, number] = month.split('-').map(Number);
  return new Date(Date.UTC(year, number - 1 + months, 1)).toISOString().slice(0, 7);
}

/** The same day so many months before, or the last of that month where it has none: `monthsBefore('2026-05-31', 3)` is `2026-02-28`. */
export function monthsBefore(day: string, months: number): string {
  const [year, month, date] = day.split('-').map(Number);
  const last = new Date(Date.UTC(year, month - months, 0)).getUTCDate();
  return new Date(Date.UTC(year, month - 1 - months, Math.min(date, last))).toISOString().slice(0, 10);
}

/** Days from one to another. */
export const daysBetween = (from: string, to: string): number => Math.round((at(to) - at(from)) / DAY);

/** The seven days of the week of a day, from Monday. */
export function weekOf(day: string): string[] {
  const monday = shiftDay(day, -((new Date(at(day)).getUTCDay() + 6) % 7));
  return Array.from({ length: 7 }, (_, ahead) => shiftDay(monday, ahead));
}

/** The weeks that a calendar shows for a month, whole ones from Monday: those of the months beside it stand at its ends. */
export function monthWeeks(month: string): string[][] {
  const last = shiftDay(`${shiftMonth(month, 1)}-01`, -1);
  const weeks: string[][] = [];
  for (let week = weekOf(`${month}-01`); week[0] <= last; week = weekOf(shiftDay(week[0], 7)))
    weeks.push(week);
  return weeks;
}
