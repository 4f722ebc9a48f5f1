import { type Extra, type Result, success } from "@/core";
import { fileReader } from "../reading";
import { eachOf } from "./each-extra";
import type { ExtraFile } from "./extra.schema";
import { readExtra } from "./read-extra";

/**
 * Reads extra payments that are tried beside a plan, once they passed their schema. All of them have an amount, for nothing
 * looks for one.
 *
 * @param early as it was typed; nothing where left out
 * @returns minor units and day numbers, or the first thing that cannot be read
 */
export function readEarly(early: ExtraFile | undefined, currency: string): Result<Extra> {
  if (!early) return success({});
  const read = fileReader(currency);
  const extra = readExtra(early, read);
  const { each, once = [] } = early;
  const isOpen = (each !== undefined && eachOf(each).amount === undefined) || once.some(isWithoutAmount);
  if (isOpen) read.refuse("early", "An extra payment that is tried has no amount; give it.");
  const failure = read.failure();
  return failure ? { ok: false, failure } : success(extra);
}

const isWithoutAmount = ({ amount }: { amount?: unknown }) => amount === undefined;
