import { type DayNumber, isoDate } from "../../../../calendar";

/**
 * When money comes, in words.
 *
 * @example whenOfExtra({ date: null, after: 24 }) // "after payment 24"
 */
export const whenOfExtra = ({ date, after }: { date: DayNumber | null; after?: number }): string =>
  after === undefined ? `on ${isoDate(date ?? 0)}` : `after payment ${after}`;
