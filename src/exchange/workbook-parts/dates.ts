/** What a period has of months, or of days. */
export const MONTHS_OF: Record<string, number> = {
  monthly: 1,
  everyTwoMonths: 2,
  quarterly: 3,
  halfYearly: 6,
  yearly: 12,
};
export const DAYS_OF: Record<string, number> = { weekly: 7, everyTwoWeeks: 14 };

/**
 * The date some periods after another: month steps keep its day.
 *
 * @param from where it stands; empty where there are no dates
 * @param periods a formula
 */
export function dateAfter(frequency: string, from: string, periods: string): string {
  if (from === "") return '""';
  const months = MONTHS_OF[frequency];
  return months === undefined
    ? `${from}+${DAYS_OF[frequency] ?? 7}*(${periods})`
    : `EDATE(${from},${months}*(${periods}))`;
}

/** Two days of the month, the earlier first. */
export type TwoDays = { earlier: string; later: string };

/** The usual two days where only one date is known: its day and the one 15 days away. */
export const twoDaysOf = (date: string): TwoDays => {
  const earlier = `IF(DAY(${date})<=15,DAY(${date}),DAY(${date})-15)`;
  return { earlier, later: `(${earlier}+15)` };
};

/** Where a date stands among two days of its month: 0 on the earlier or after it, 1 on the later, −1 before both. */
export const placeAmong = (date: string, { earlier, later }: TwoDays): string =>
  `IF(DAY(${date})>=MIN(${later},DAY(EOMONTH(${date},0))),1,IF(DAY(${date})>=${earlier},0,-1))`;

/**
 * The date some half months after another; a month without the later day has its last one instead.
 *
 * @param place where the other stands among the two days
 */
export function halfMonthsAfter(
  from: string,
  periods: string,
  place: string,
  { earlier, later }: TwoDays,
): string {
  const halves = `(${place}+${periods})`;
  const months = `INT(${halves}/2)`;
  const first = `DATE(YEAR(${from}),MONTH(${from})+${months},1)`;
  const day = `IF(${halves}-2*${months}=0,${earlier},${later})`;
  return `${first}+MIN(${day},DAY(EOMONTH(${first},0)))-1`;
}
