import {
  currencyDecimals,
  FREQUENCY_NAMES,
  formatAmount,
  MOST_PAYMENTS,
  parseAmount,
  parseDecimal,
  parseIsoDate,
  periodsPerYear,
} from "@/core";
import type { DealFile } from "@/exchange/deal-file";

/** A place on the deal screen where a figure is typed. */
export type FieldName =
  | "price"
  | "allowance"
  | "owed"
  | "down"
  | "yearlyRate"
  | "payments"
  | "years"
  | "payment"
  | "signed"
  | "firstPayment";

/** What typing comes to: the deal with the figure in it, or one sentence for the place where it was typed. */
export type Reading = { ok: true; file: DealFile } | { ok: false; sentence: string };

const bad = (sentence: string): Reading => ({ ok: false, sentence });

/**
 * Reads what was typed in a field into the deal.
 *
 * @param field where it was typed
 * @param text what was typed; nothing takes the figure out
 * @param file the deal so far
 */
export function readField(field: FieldName, text: string, file: DealFile): Reading {
  return READERS[field](text.trim(), file);
}

const READERS: Record<FieldName, (text: string, file: DealFile) => Reading> = {
  price: amountField((file, price) => ({ ...file, structure: withOptional(file.structure, "price", price) })),
  allowance: amountField((file, amount) => withTradeIn(file, { allowance: amount ?? "0" })),
  owed: amountField((file, amount) => withTradeIn(file, { owed: amount ?? "0" })),
  down: readDown,
  payment: amountField((file, payment) => ({ ...file, plan: withOptional(file.plan, "payment", payment) })),
  yearlyRate: readRate,
  payments: (text, file) => readTerm(text, file, "payments"),
  years: (text, file) => readTerm(text, file, "years"),
  signed: dateField("signed"),
  firstPayment: dateField("firstPayment"),
};

function withOptional<Part extends object, Key extends keyof Part>(
  part: Part,
  key: Key,
  value: Part[Key] | undefined,
): Part {
  const { [key]: _, ...rest } = part;
  return (value === undefined ? rest : { ...rest, [key]: value }) as Part;
}

function withTradeIn(
  file: DealFile,
  change: Partial<NonNullable<DealFile["structure"]["tradeIn"]>>,
): DealFile {
  const tradeIn = { allowance: "0", owed: "0", ...file.structure.tradeIn, ...change };
  return { ...file, structure: { ...file.structure, tradeIn } };
}

/** "$", "€ ", "USD ": what may stand before an amount. */
const LEADING_CURRENCY = /^(\p{Sc}|[A-Z]{3})\s*/u;
/** Thousands apart by commas or spaces. */
const GROUPED = /^\d{1,3}([,\s]\d{3})+(\.\d*)?$/;

/** An amount as people type it, as a plain decimal string; a sentence where it is none. */
function readAmount(text: string, currency: string): { amount: string } | { sentence: string } {
  const decimals = currencyDecimals(currency) ?? 2;
  const example = decimals === 0 ? "41,850" : `41,850.${"0".repeat(decimals)}`;
  if (/^[-−–(]/.test(text)) {
    return { sentence: "Leave the sign out: each line is added or taken off by itself." };
  }
  const digits = text.replace(LEADING_CURRENCY, "");
  const plain = (GROUPED.test(digits) ? digits.replace(/[,\s]/g, "") : digits).replace(/^\./, "0.");
  const minor = parseAmount(plain, decimals);
  if (minor !== undefined) return { amount: formatAmount(minor, decimals) };
  if (/^\d+\.\d+$/.test(plain) && (plain.split(".")[1] ?? "").length > decimals) {
    return { sentence: `${currency} has ${decimals} decimals; “${text}” has more.` };
  }
  if (/^\d{10,}(\.\d*)?$/.test(plain)) return { sentence: "The largest amount is 1,000,000,000." };
  return { sentence: `“${text}” is not an amount; type one such as ${example}.` };
}

function amountField(put: (file: DealFile, amount: string | undefined) => DealFile) {
  return (text: string, file: DealFile): Reading => {
    if (text === "") return { ok: true, file: put(file, undefined) };
    const read = readAmount(text, file.currency);
    return "amount" in read ? { ok: true, file: put(file, read.amount) } : bad(read.sentence);
  };
}

/** Cash down is typed as an amount or a percent; a percent sign makes it a percent wherever it is typed. */
function readDown(text: string, file: DealFile): Reading {
  const put = (down: DealFile["structure"]["down"]): Reading => ({
    ok: true,
    file: { ...file, structure: withOptional(file.structure, "down", down) },
  });
  const { down } = file.structure;
  const isPercent = down !== undefined && "percent" in down;
  if (text === "") return put(isPercent ? { percent: "0" } : undefined);
  if (isPercent || text.endsWith("%")) {
    const percent = readPercent(text);
    if (percent === undefined || Number(percent) > 100) {
      return bad(`“${text}” is not a percent of the price; type one from 0 to 100, such as 15.`);
    }
    return put({ percent });
  }
  const read = readAmount(text, file.currency);
  return "amount" in read ? put({ amount: read.amount }) : bad(read.sentence);
}

function readPercent(text: string): string | undefined {
  const plain = text.replace(/\s*%$/, "").replace(/^\./, "0.").replace(/\.$/, "");
  return parseDecimal(plain) ? plain : undefined;
}

function readRate(text: string, file: DealFile): Reading {
  if (text === "")
    return { ok: true, file: { ...file, plan: withOptional(file.plan, "yearlyRate", undefined) } };
  const yearlyRate = readPercent(text);
  if (yearlyRate === undefined || Number(yearlyRate) > 1000) {
    return bad(`“${text}” is not a yearly rate; type a percent from 0 to 1,000, such as 6.49.`);
  }
  return { ok: true, file: { ...file, plan: { ...file.plan, yearlyRate } } };
}

/** A term: "72", "6 y", "5.5 years", "5 y 10 m". A bare number counts in the field's own unit. */
function readTerm(text: string, file: DealFile, bareUnit: "payments" | "years"): Reading {
  if (text === "")
    return { ok: true, file: { ...file, plan: withOptional(file.plan, "payments", undefined) } };
  const { frequency } = file.plan;
  const payments = termInPayments(text, bareUnit, periodsPerYear(frequency));
  if (payments === undefined) {
    const example = bareUnit === "years" ? "6, 5.5 or 5 y 10 m" : "72, or 6 y for years";
    return bad(`“${text}” is not a term; type ${example}.`);
  }
  if (!Number.isInteger(payments)) {
    return bad(`“${text}” is not a whole number of ${FREQUENCY_NAMES[frequency].adjective} payments.`);
  }
  if (payments < 1 || payments > MOST_PAYMENTS) {
    return bad(
      `${payments} is not a possible number of payments; it can be 1 to ${MOST_PAYMENTS.toLocaleString("en-US")}.`,
    );
  }
  return { ok: true, file: { ...file, plan: { ...file.plan, payments } } };
}

function termInPayments(text: string, bareUnit: "payments" | "years", perYear: number): number | undefined {
  const bare = /^\d+(\.\d+)?$/.exec(text);
  if (bare) return bareUnit === "years" ? wholeIfNear(Number(text) * perYear) : Number(text);
  const match = /^(?:(\d+(?:\.\d+)?)\s*y(?:ears?|rs?)?)?\s*(?:(\d+)\s*m(?:onths?|os?)?)?$/i.exec(text);
  if (!match || (match[1] === undefined && match[2] === undefined)) return undefined;
  return wholeIfNear(Number(match[1] ?? "0") * perYear + (Number(match[2] ?? 0) * perYear) / 12);
}

/** 5.83 years are not 70 months, so only what is exact to a billionth counts as whole. */
function wholeIfNear(payments: number): number {
  return Math.abs(payments - Math.round(payments)) < 1e-9 ? Math.round(payments) : payments;
}

function dateField(field: "signed" | "firstPayment") {
  return (text: string, file: DealFile): Reading => {
    if (text === "") return { ok: true, file: { ...file, plan: withOptional(file.plan, field, undefined) } };
    if (parseIsoDate(text) === undefined) return bad("Type a date from 1 January 1900 to 31 December 2199.");
    return { ok: true, file: { ...file, plan: { ...file.plan, [field]: text } } };
  };
}
