import type { Figure } from "@/core";
import { eachOf } from "../../extra-payments/each-extra";
import type { Reader } from "../../reading";
import { tradeInsOf } from "../../structure";
import type { LoanFile } from "./file/file.schema";

type Find = LoanFile["find"];

/** What each figure that can be found is called in a sentence. */
export const FOUND_NAMES: Record<Find, string> = {
  payment: "payment",
  price: "price",
  down: "cash down",
  downPercent: "cash down",
  allowance: "trade-in allowance",
  yearlyRate: "yearly rate",
  payments: "number of payments",
  balloon: "balloon",
  extra: "extra with every payment",
  lump: "extra on a date",
};

/** The figure that a failure blames, where it has another name. */
const BLAMED: { [Each in Find]?: Figure } = { downPercent: "down", lump: "extra" };

/** What the file gives for the figure that it asks to find. */
function givenFor({ find, structure, plan }: LoanFile): unknown {
  switch (find) {
    case "price":
      return structure.price;
    case "down":
    case "downPercent":
      return structure.down;
    case "allowance":
      return allowanceGiven(structure);
    case "extra":
      return plan.extra?.each === undefined ? undefined : eachOf(plan.extra.each).amount;
    case "lump":
      return plan.extra?.once?.every(({ amount }) => amount !== undefined) ? true : undefined;
    default:
      return plan[find];
  }
}

/** Whether no trade-in leaves its allowance to be found. */
function allowanceGiven(structure: LoanFile["structure"]): true | undefined {
  const tradeIns = tradeInsOf(structure);
  return tradeIns.length > 0 && tradeIns.every(({ allowance }) => allowance !== undefined) ? true : undefined;
}

/** Refuses a file that gives the figure which it asks to find. */
export function refuseFound(file: LoanFile, read: Reader): void {
  const open = tradeInsOf(file.structure).filter(({ allowance }) => allowance === undefined);
  if (open.length > 0 && file.find !== "allowance")
    read.refuse(
      "allowance",
      file.structure.tradeIn
        ? "structure.tradeIn.allowance is missing."
        : "A trade-in has no allowance; give it, or find it.",
    );
  if (open.length > 1)
    read.refuse("allowance", "Only one trade-in can leave its allowance out, to be found; give the others.");
  const { find } = file;
  if (givenFor(file) !== undefined)
    read.refuse(
      BLAMED[find] ?? (find as Figure),
      `The ${FOUND_NAMES[find]} is being found, so the file must leave it out.`,
    );
}
