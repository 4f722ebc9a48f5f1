import { dependsOn, formatAmount, isoDate, type LoanQuote } from "@/core";
import type { LoanFile } from "@/exchange/kinds/loan";
import { withOptional } from "@/exchange/members";
import { amountReader, typedAmount } from "../../../fields/amount-text";
import { readEndDate } from "../../../fields/date-text";
import { bad, good, type LoanField } from "../../../fields/field";
import { NO_PLAN_DATE, typedDate } from "../../../fields/shown-date";

/** What a figure of a loan can be found from, as the screen names it. */
export const LOAN_KNOWN_NAMES = [
  ["payment", "payment"],
  ["totalCost", "total cost"],
  ["financeCharge", "finance charge"],
  ["dueAtSigning", "sum due at signing"],
  ["amountFinanced", "amount financed"],
  ["loanAmount", "loan amount"],
  ["cashReceived", "amount paid out"],
  ["endDate", "last payment by"],
  ["payments", "number of payments"],
] as const;

export type LoanKnownName = (typeof LOAN_KNOWN_NAMES)[number][0];

/** What a figure is found from: a payment, or one figure of the result. */
type Known = { payment: string | number | undefined } | NonNullable<LoanFile["from"]>;

/** What the figure being found is found from. */
export function knownOf({ from }: Pick<LoanFile, "from">): LoanKnownName {
  return from ? (Object.keys(from)[0] as LoanKnownName) : "payment";
}

/** Whether a figure can be found from another on the screen: an end date says how many payments, or what is paid extra. */
export function isKnownFor(find: LoanFile["find"], known: LoanKnownName): boolean {
  if (known === "endDate" && find !== "payments") return find === "extra" || find === "lump";
  return known === "endDate" || dependsOn(find, known);
}

/** The loan with what its figure is found from. */
export function withKnown(file: LoanFile, known: Known): LoanFile {
  const { from: _, ...rest } = file;
  if ("payment" in known)
    return {
      ...rest,
      plan: withOptional(
        file.plan,
        "payment",
        known.payment === undefined ? undefined : String(known.payment),
      ),
    };
  return { ...rest, plan: withOptional(file.plan, "payment", undefined), from: known };
}

/** A figure of an answer, as something is found from it; the payment where there is no such figure. */
export function knownOfQuote(
  quote: LoanQuote | null,
  figure: LoanKnownName,
): Record<string, string | number> & Known {
  if (!quote) return (figure === "payment" ? { payment: undefined } : { [figure]: "0" }) as never;
  const money = (minor: number) => formatAmount(minor, quote.decimals);
  switch (figure) {
    case "endDate":
      return quote.finalDate === null ? { payments: quote.payments } : { endDate: isoDate(quote.finalDate) };
    case "payments":
      return { payments: quote.payments };
    case "dueAtSigning":
      return { dueAtSigning: money(quote.dueAtSigning.total) };
    case "cashReceived":
      return { cashReceived: money(quote.cashReceived ?? 0) };
    default:
      return { [figure]: money(quote[figure]) } as never;
  }
}

/** The same loan, found from another figure of its answer, which stands there as it is. */
export function fromLoanKnown(inputs: LoanFile, quote: LoanQuote | null, figure: LoanKnownName): LoanFile {
  return withKnown(inputs, knownOfQuote(quote, figure));
}

const amountKnown = ({ from }: LoanFile): string | number | undefined =>
  from && !("endDate" in from) && !("payments" in from) ? Object.values(from)[0] : undefined;

/** What another figure is found from, where that is no payment. */
export const LOAN_KNOWN_FIELDS = {
  "known/amount": {
    label: "What it is found from",
    figure: knownOf,
    read: amountReader<LoanFile>((file, amount) => ({
      ...file,
      from: { [knownOf(file)]: amount ?? "0" } as NonNullable<LoanFile["from"]>,
    })),
    show: ({ inputs }) => typedAmount(inputs, amountKnown(inputs)),
    say: null,
  },
  "known/endDate": {
    label: "Last payment by",
    type: "date",
    figure: () => "endDate",
    read: (text, file) => {
      const endDate = readEndDate(text, file);
      return endDate === undefined ? bad(NO_PLAN_DATE) : good({ ...file, from: { endDate } });
    },
    show: ({ inputs }) =>
      typedDate(inputs.from && "endDate" in inputs.from ? inputs.from.endDate : undefined),
    say: null,
  },
  "known/payments": {
    label: "Payments made until it ends",
    typed: "count",
    figure: () => "payments",
    read: (text, file) =>
      /^[1-9]\d{0,3}$/.test(text)
        ? good({ ...file, from: { payments: Number(text) } })
        : bad(`“${text}” is not a number of payments; type one such as 48.`),
    show: ({ inputs }) => (inputs.from && "payments" in inputs.from ? String(inputs.from.payments) : ""),
    say: null,
  },
} satisfies Record<string, LoanField>;

export type LoanKnownFieldName = keyof typeof LOAN_KNOWN_FIELDS;
