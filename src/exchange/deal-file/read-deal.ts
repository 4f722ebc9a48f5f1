import {
  type CashDown,
  type Deal,
  type Figure,
  type Known,
  type Result,
  readCurrency,
  success,
} from "@/core";
import { readPlan } from "./read-plan";
import { fileReader, type Reader } from "./reader";
import type { DealFile } from "./schema";

/**
 * Turns a deal file that passed its schema into the deal that the core computes with.
 *
 * @returns the deal, or a failure naming the figure that cannot be read or contradicts `find`
 */
export function readDeal(file: DealFile): Result<Deal> {
  const decimals = readCurrency(file.currency);
  if (!decimals.ok) return decimals;
  const read = fileReader(file.currency);
  refuseFound(file, read);
  const { tradeIn, down, price } = file.structure;
  const deal: Deal = {
    currency: file.currency,
    structure: {
      price: read.amount("price", "price", price),
      tradeIn: {
        allowance: read.amount("allowance", "trade-in allowance", tradeIn?.allowance) ?? 0,
        owed: read.amount("owed", "amount owed on the trade-in", tradeIn?.owed) ?? 0,
      },
      down: file.find === "down" || file.find === "downPercent" ? null : readDown(down, read),
    },
    plan: readPlan(file.plan, read),
    find: file.find,
    ...(file.from && { from: readKnown(file.from, read) }),
  };
  refuseOpenExtras(deal, read);
  const failure = read.failure();
  return failure ? { ok: false, failure } : success(deal);
}

/** The figure that each find looks for, by the name a sentence gives it, and what the file gives for it. */
const FOUND: Record<DealFile["find"], { figure: Figure; name: string; given: (file: DealFile) => unknown }> =
  {
    payment: { figure: "payment", name: "payment", given: ({ plan }) => plan.payment },
    price: { figure: "price", name: "price", given: ({ structure }) => structure.price },
    down: { figure: "down", name: "cash down", given: ({ structure }) => structure.down },
    downPercent: { figure: "down", name: "cash down", given: ({ structure }) => structure.down },
    allowance: {
      figure: "allowance",
      name: "trade-in allowance",
      given: ({ structure }) => structure.tradeIn?.allowance,
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

function refuseFound(file: DealFile, read: Reader): void {
  const { tradeIn } = file.structure;
  if (tradeIn && tradeIn.allowance === undefined && file.find !== "allowance") {
    read.refuse("allowance", "structure.tradeIn.allowance is missing.");
  }
  const { figure, name, given } = FOUND[file.find];
  if (given(file) !== undefined) {
    read.refuse(figure, `The ${name} is being found, so the file must leave it out.`);
  }
}

/** An extra on a date has no amount only where it is the one being found. */
function refuseOpenExtras({ plan, find }: Deal, read: Reader): void {
  const open = plan.extra?.once?.filter(({ amount }) => amount === null).length ?? 0;
  if (find === "lump" && open !== 1) {
    read.refuse("extra", "To find an extra on a date, list it in extra.once with its date and no amount.");
  } else if (find !== "lump" && open > 0) {
    read.refuse("extra", "An extra on a date has no amount; give it, or find it with lump.");
  }
}

function readDown(down: DealFile["structure"]["down"], read: Reader): CashDown {
  return down && "percent" in down
    ? { percent: String(down.percent) }
    : { amount: read.amount("down", "cash down", down?.amount) ?? 0 };
}

function readKnown(from: NonNullable<DealFile["from"]>, read: Reader): Known {
  if ("totalCost" in from) {
    return { figure: "totalCost", value: read.amount("totalCost", "total cost", from.totalCost) ?? 0 };
  }
  if ("financeCharge" in from) {
    const value = read.amount("financeCharge", "finance charge", from.financeCharge) ?? 0;
    return { figure: "financeCharge", value };
  }
  if ("amountFinanced" in from) {
    const value = read.amount("amountFinanced", "amount financed", from.amountFinanced) ?? 0;
    return { figure: "amountFinanced", value };
  }
  if ("endDate" in from) {
    return { figure: "endDate", value: read.date("endDate", "end date", from.endDate) ?? 0 };
  }
  return { figure: "payments", value: from.payments };
}
