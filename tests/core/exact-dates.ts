// Civil dates by UTC days of JavaScript's Date, and the time between them, sharing no code with the core.

export const PER_YEAR = {
  weekly: 52,
  everyTwoWeeks: 26,
  monthly: 12,
  everyTwoMonths: 6,
  quarterly: 4,
  halfYearly: 2,
  yearly: 1,
};

export type ExactFrequency = keyof typeof PER_YEAR;
export type ExactDayCount = "equal" | "30/360" | "actual/365" | "actual/360" | "actual/actual";

const utc = (iso: string) => new Date(`${iso}T00:00:00Z`);
const isoOf = (date: Date) => date.toISOString().slice(0, 10);
export const daysBetween = (from: string, to: string) =>
  Math.round((utc(to).getTime() - utc(from).getTime()) / 864e5);

export function plusDays(iso: string, days: number): string {
  return isoOf(new Date(utc(iso).getTime() + days * 864e5));
}

export function plusMonths(iso: string, months: number): string {
  const date = utc(iso);
  const last = new Date(Date.UTC(date.getUTCFullYear(), date.getUTCMonth() + months + 1, 0));
  last.setUTCDate(Math.min(date.getUTCDate(), last.getUTCDate()));
  return isoOf(last);
}

export function stepped(iso: string, frequency: ExactFrequency, periods: number): string {
  const perYear = PER_YEAR[frequency];
  return perYear > 12 ? plusDays(iso, (364 / perYear) * periods) : plusMonths(iso, (12 / perYear) * periods);
}

/** The time between two dates in periods, over a whole number: months back from the later date, then days. */
export function periodsBetween(from: string, to: string, frequency: ExactFrequency): [bigint, bigint] {
  const perYear = PER_YEAR[frequency];
  const days = daysBetween(from, to);
  if (perYear > 12) return [BigInt(days), BigInt(364 / perYear)];
  let months = 0;
  while (plusMonths(from, months) < to) months += 1;
  if (plusMonths(from, months) === to) return [BigInt(months), BigInt(12 / perYear)];
  months = 0;
  while (plusMonths(to, -months - 1) >= from) months += 1;
  const odd = daysBetween(from, plusMonths(to, -months));
  if (frequency === "yearly" && odd > 0) {
    const years = Math.floor(months / 12);
    return [BigInt(years * 365 + daysBetween(from, plusMonths(to, -12 * years))), 365n];
  }
  return [BigInt(months * 30 + odd), BigInt(30 * (12 / perYear))];
}

/** A part of a year as a fraction. */
export function yearsBetween(from: string, to: string, dayCount: ExactDayCount): [bigint, bigint] {
  const days = BigInt(daysBetween(from, to));
  if (dayCount === "actual/360") return [days, 360n];
  if (dayCount === "30/360") {
    const [y1 = 0, m1 = 0, d1 = 0] = from.split("-").map(Number);
    const [y2 = 0, m2 = 0, d2 = 0] = to.split("-").map(Number);
    const start = d1 === 31 ? 30 : d1;
    const end = d2 === 31 && start === 30 ? 30 : d2;
    return [BigInt(360 * (y2 - y1) + 30 * (m2 - m1) + end - start), 360n];
  }
  if (dayCount === "actual/365") return [days, 365n];
  let sum = 0n;
  for (let day = from; day < to; day = plusDays(day, 1)) {
    sum += new Date(Date.UTC(Number(day.slice(0, 4)), 1, 29)).getUTCMonth() === 1 ? 365n : 366n;
  }
  return [sum, 365n * 366n];
}
