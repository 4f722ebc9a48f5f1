import { wholeText } from "@/core";
import type { LoanFile } from "@/exchange/kinds/loan";
import { readAmount, typedAmount } from "../../../fields/amount-text";
import { bad, good, type LoanField, type Reading } from "../../../fields/field";

export type ReturnFieldName = "returnFee" | "returnDistance" | "returnBeyond";

/** What it costs to give the vehicle back in place of paying its balloon. */
export const RETURN_FIELDS: Record<ReturnFieldName, LoanField> = {
  returnFee: {
    label: "Fee when given back",
    read: (text, file) => {
      const read = readAmount(text === "" ? "0" : text, file.currency);
      return "amount" in read
        ? putReturnable(file, now => ({ ...now, fee: read.amount }))
        : bad(read.sentence);
    },
    show: ({ inputs }) => typedAmount(inputs, inputs.plan.balloon?.returnable?.fee),
  },
  returnDistance: {
    label: "Distance a year",
    typed: "count",
    unit: ({ plan }) => plan.balloon?.returnable?.distance?.unit,
    read: readReturnDistance,
    show: ({ inputs }) => {
      const typed = inputs.plan.balloon?.returnable?.distance?.perYear;
      return typed === undefined ? "" : wholeText(typed);
    },
  },
  returnBeyond: {
    label: "Price beyond it",
    typed: "asItIs",
    read: readReturnBeyond,
    show: ({ inputs }) => String(inputs.plan.balloon?.returnable?.distance?.beyond ?? ""),
  },
};

type Returnable = NonNullable<NonNullable<LoanFile["plan"]["balloon"]>["returnable"]>;

/** Giving the vehicle back in place of its balloon, changed. */
function putReturnable(file: LoanFile, change: (now: Returnable) => Returnable): Reading<LoanFile> {
  const { balloon } = file.plan;
  if (!balloon?.returnable) return good(file);
  const returnable = change(balloon.returnable);
  return good({ ...file, plan: { ...file.plan, balloon: { ...balloon, returnable } } });
}

/** How far may be driven a year; nothing typed lets any distance. */
function readReturnDistance(text: string, file: LoanFile): Reading<LoanFile> {
  const digits = text.replace(/[,\s]/g, "").replace(/[a-z]+$/i, "");
  if (digits === "") return putReturnable(file, ({ fee }) => ({ fee }));
  if (!/^\d{1,6}$/.test(digits)) return bad(`“${text}” is not a distance a year; type one such as 12,000.`);
  return putReturnable(file, now => ({
    ...now,
    distance: { unit: "mi", beyond: "0", ...now.distance, perYear: Number(digits) },
  }));
}

/** What each unit of distance beyond costs. */
function readReturnBeyond(text: string, file: LoanFile): Reading<LoanFile> {
  const plain = text.replace(/^\./, "0.") || "0";
  if (!/^\d{1,6}(\.\d{1,6})?$/.test(plain))
    return bad(`“${text}” is not the price of a unit of distance; type one such as 0.22.`);
  return putReturnable(file, now => ({
    ...now,
    distance: { perYear: 0, unit: "mi", ...now.distance, beyond: plain },
  }));
}
