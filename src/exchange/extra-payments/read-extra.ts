import type { Extra } from "@/core";
import type { Reader } from "../reading";
import { eachOf } from "./each-extra";
import type { ExtraFile } from "./extra.schema";

/**
 * Reads extra money that passed its schema.
 *
 * @param asked as it was typed
 */
export function readExtra({ each, yearly, once }: ExtraFile, read: Reader): Extra {
  return {
    ...(each !== undefined && { each: readEach(each, read) }),
    ...(yearly && { yearly: readYearly(yearly, read) }),
    ...(once && { once: once.map(typed => readOnce(typed, read)) }),
  };
}

function readEach(typed: NonNullable<ExtraFile["each"]>, read: Reader): NonNullable<Extra["each"]> {
  const { amount, from, to } = eachOf(typed);
  if (from !== undefined && to !== undefined && to < from)
    read.refuse("extra", `Extra with payments ${from} to ${to} is in no order; give the earlier one first.`);
  return {
    amount: read.amount("extra", "extra with every payment", amount),
    ...(from !== undefined && { from }),
    ...(to !== undefined && { to }),
  };
}

function readYearly(
  { amount: typed, month, from }: NonNullable<ExtraFile["yearly"]>,
  read: Reader,
): NonNullable<Extra["yearly"]> {
  const amount = read.amount("extra", "yearly extra", typed) ?? 0;
  if (month !== undefined && typeof from !== "string")
    return { amount, month, ...(from !== undefined && { fromYear: from }) };
  if (month !== undefined || typeof from !== "string") {
    read.refuse(
      "extra",
      "A yearly extra comes on the day of a first date, or in a month from a year on; give from as a date, or month with from as a year.",
    );
    return { amount, from: 0 };
  }
  return { amount, from: read.date("extra", "date of the yearly extra", from) ?? 0 };
}

function readOnce(
  { date, after, amount: typed, then }: NonNullable<ExtraFile["once"]>[number],
  read: Reader,
): NonNullable<Extra["once"]>[number] {
  if ((date === undefined) === (after === undefined))
    read.refuse("extra", "An extra comes on a date or after a payment; give one of date and after.");
  const when = date === undefined ? `after payment ${after}` : `on ${date}`;
  const rest = {
    amount: read.amount("extra", `extra ${when}`, typed),
    ...(then && { effect: then }),
  };
  if (after !== undefined) return { after, ...rest };
  return { date: read.date("extra", "date of the extra", date) ?? 0, ...rest };
}
