import type { Frequency } from "@/core";
import type { DealFile } from "@/exchange/deal-file";

/** What is known of a loan or a lease without a deal, as it was typed; amounts and rates plain, dates ISO 8601. */
export type KnownTerms = {
  kind: "loan" | "lease";
  frequency: Frequency;
  amount?: string | undefined;
  rate?: string | undefined;
  payments?: number | undefined;
  signed?: string | undefined;
  firstPayment?: string | undefined;
  /** What is left at the end: a balloon, or the residual. */
  atEnd?: string | undefined;
  /** Of a lease: the tax on each payment, in percent. */
  tax?: string | undefined;
};

export const NOTHING_KNOWN: KnownTerms = { kind: "loan", frequency: "monthly" };

/** What is known as a deal file that asks for its payment; a sentence with what is missing. */
export function fileOfKnown(known: KnownTerms, currency: string): { file: DealFile } | { sentence: string } {
  const { kind, amount, rate, payments, atEnd } = known;
  const missing = [
    ...(amount === undefined ? [kind === "lease" ? "the capitalized cost" : "the loan amount"] : []),
    ...(rate === undefined ? [kind === "lease" ? "the money factor" : "the rate"] : []),
    ...(payments === undefined ? ["how many payments"] : []),
    ...(kind === "lease" && atEnd === undefined ? ["the residual"] : []),
  ];
  if (missing.length > 0) return { sentence: `Type ${listed(missing)} first.` };
  return { file: kind === "lease" ? leaseFile(known, currency) : loanFile(known, currency) };
}

const listed = (words: readonly string[]): string =>
  words.length === 1 ? `${words[0]}` : `${words.slice(0, -1).join(", ")} and ${words.at(-1)}`;

const HEAD = { format: "kellux-deal", version: 1, find: "payment" } as const;

function loanFile(known: KnownTerms, currency: string): DealFile {
  const { frequency, amount, rate, payments, signed, firstPayment, atEnd } = known;
  const plan = {
    kind: "loan",
    frequency,
    yearlyRate: rate,
    payments,
    rounding: "nearest",
    ...(signed !== undefined && { signed }),
    ...(firstPayment !== undefined && { firstPayment }),
    ...(atEnd !== undefined && Number(atEnd) > 0 && { balloon: { amount: atEnd } }),
  };
  return {
    ...HEAD,
    currency,
    structure: { price: amount },
    plan,
  } as DealFile;
}

function leaseFile(
  { frequency, amount, rate, payments, signed, atEnd, tax }: KnownTerms,
  currency: string,
): DealFile {
  return {
    ...HEAD,
    currency,
    structure: { price: amount },
    plan: {
      kind: "lease",
      reckoning: "moneyFactor",
      moneyFactor: rate,
      payments,
      frequency,
      rounding: "nearest",
      ...(signed !== undefined && { signed }),
      inAdvance: 1,
      residual: { amount: atEnd },
      residualDue: "end",
      ...(tax !== undefined &&
        Number(tax) > 0 && { taxes: [{ name: "Tax on the payment", rate: tax, on: ["payment"] }] }),
    },
  } as DealFile;
}
