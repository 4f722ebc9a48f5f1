import type { Figure, LoanDeal } from "@/core";
import type { Reader } from "../../reading";
import { tradeInsOf } from "../../structure";
import type { LoanFile } from "./file/file.schema";

/** The figure that each find looks for, by the name a sentence gives it, and what the file gives for it. */
const FOUND: Record<LoanFile["find"], { figure: Figure; name: string; given: (file: LoanFile) => unknown }> =
  {
    payment: { figure: "payment", name: "payment", given: ({ plan }) => plan.payment },
    price: { figure: "price", name: "price", given: ({ structure }) => structure.price },
    down: { figure: "down", name: "cash down", given: ({ structure }) => structure.down },
    downPercent: { figure: "down", name: "cash down", given: ({ structure }) => structure.down },
    allowance: {
      figure: "allowance",
      name: "trade-in allowance",
      given: ({ structure }) => allowanceGiven(structure),
    },
    yearlyRate: { figure: "yearlyRate", name: "yearly rate", given: ({ plan }) => plan.yearlyRate },
    payments: { figure: "payments", name: "number of payments", given: ({ plan }) => plan.payments },
    balloon: { figure: "balloon", name: "balloon", given: ({ plan }) => plan.balloon },
    extra: { figure: "extra", name: "extra with every payment", given: ({ plan }) => plan.extra?.each },
    lump: {
      figure: "extra",
      name: "extra on a date",
      given: ({ plan }) => (plan.extra?.once?.every(({ amount }) => amount !== undefined) ? true : undefined),
    },
  };

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
  const { figure, name, given } = FOUND[file.find];
  if (given(file) !== undefined) {
    read.refuse(figure, `The ${name} is being found, so the file must leave it out.`);
  }
}

/** An extra on a date has no amount only where it is the one being found. */
export function refuseOpenExtras({ plan, find }: LoanDeal, read: Reader): void {
  const open = plan.extra?.once?.filter(({ amount }) => amount === null).length ?? 0;
  if (find === "lump" && open !== 1) {
    read.refuse("extra", "To find an extra on a date, list it in extra.once with its date and no amount.");
  } else if (find !== "lump" && open > 0) {
    read.refuse("extra", "An extra on a date has no amount; give it, or find it with lump.");
  }
}
