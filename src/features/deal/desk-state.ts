import {
  currencyDecimals,
  evaluate,
  firstPaymentDate,
  formatAmount,
  groupedAmount,
  isoDate,
  periodsPerYear,
  type Quote,
  type Result,
  type TallyLine,
  tally,
} from "@/core";
import type { DealDocument } from "@/exchange/deal-document";
import { type DealFile, readDeal } from "@/exchange/deal-file";
import { typedAmountText } from "@/features/figures/format";
import type { DeskFind } from "./figure-names";
import { giveFound } from "./give-found";
import { type FieldName, readField } from "./read-field";

/** All that the deal screen shows follows from this. */
export type DeskState = {
  /** The last readable state of everything; this is what is saved. */
  document: DealDocument;
  /** The text of fields that are being typed in, or cannot be read. */
  typed: Partial<Record<FieldName, string>>;
  /** Why a field's text cannot be read. */
  errors: Partial<Record<FieldName, string>>;
  answer: Result<Quote>;
  /** The newest answer that held, shown greyed while there is none. */
  lastGood: Quote | null;
};

export type DeskAction =
  | { type: "open"; document: DealDocument }
  | { type: "typed"; field: FieldName; text: string }
  | { type: "left"; field: FieldName }
  | { type: "find"; figure: DeskFind; payment?: string }
  | { type: "give"; figure: "payment" | "down"; minor: number }
  | { type: "downKind"; kind: "amount" | "percent" }
  | { type: "rounding"; rounding: NonNullable<DealFile["plan"]["rounding"]> }
  | { type: "heading"; change: Partial<Pick<DealDocument, "customer" | "vehicle" | "status">> };

/** The desk as it opens on a deal. */
export function openDesk(document: DealDocument): DeskState {
  return answered({ document, typed: {}, errors: {}, lastGood: null });
}

/** The desk after something was done on it. */
export function deskReducer(state: DeskState, action: DeskAction): DeskState {
  switch (action.type) {
    case "open":
      return openDesk(action.document);
    case "typed":
      return typeIn(state, action.field, action.text);
    case "left":
      return state.errors[action.field] ? state : { ...state, typed: without(state.typed, action.field) };
    case "find":
      return find(state, action.figure, action.payment);
    case "give":
      return give(state, action.figure, action.minor);
    case "downKind":
      return changeDownKind(state, action.kind);
    case "rounding": {
      const { inputs } = state.document;
      return withInputs(state, { ...inputs, plan: { ...inputs.plan, rounding: action.rounding } });
    }
    case "heading":
      return { ...state, document: { ...state.document, ...action.change } };
  }
}

/** The answer that is shown: the present one, or the last that held. */
export function shownQuote({ answer, lastGood }: DeskState): Quote | null {
  return answer.ok ? answer.value : lastGood;
}

/** Whether what is shown no longer follows from what is typed. */
export function isStale({ answer, errors }: DeskState): boolean {
  return !answer.ok || Object.keys(errors).length > 0;
}

/** The running tally as it is shown. */
export type Tally = {
  /** Empty while the price is missing. */
  lines: TallyLine[];
  /** By how much the trade-in is worth less than is owed on it, in minor units; below zero where it is not. */
  shortfall: number;
  stale: boolean;
};

/**
 * The tally from the price to the amount financed. It needs no plan, so it is there before the rate and the
 * term are typed; where the price or the cash down is being found, it is the shown answer's.
 */
export function shownTally(state: DeskState): Tally {
  const deal = readDeal(state.document.inputs);
  const quote = shownQuote(state);
  if (!deal.ok) return { lines: quote?.lines ?? [], shortfall: 0, stale: true };
  const { price, tradeIn, down } = deal.value.structure;
  const isAllowanceFound = deal.value.find === "allowance";
  const allowance = isAllowanceFound ? (quote?.allowance ?? 0) : tradeIn.allowance;
  const shortfall = tradeIn.owed - allowance;
  if (price === null || down === null || isAllowanceFound)
    return { lines: quote?.lines ?? [], shortfall, stale: isStale(state) };
  const lines = tally(deal.value.structure);
  return { lines, shortfall, stale: Object.keys(state.errors).length > 0 };
}

/** The price and the cash down of a tally, in minor units, where they are known. */
export function tallied({ lines }: Tally): { price?: number; down?: number } {
  return Object.fromEntries(lines.map(line => [line.figure, line.amount]));
}

function quoteOf(inputs: DealFile): Result<Quote> {
  const deal = readDeal(inputs);
  return deal.ok ? evaluate(deal.value) : deal;
}

function answered(state: Omit<DeskState, "answer">): DeskState {
  const answer = quoteOf(state.document.inputs);
  return { ...state, answer, lastGood: answer.ok ? answer.value : state.lastGood };
}

function withInputs(state: DeskState, inputs: DealFile): DeskState {
  return answered({ ...state, document: { ...state.document, inputs } });
}

function without<Key extends string, Value>(
  record: Partial<Record<Key, Value>>,
  ...keys: Key[]
): Partial<Record<Key, Value>> {
  return Object.fromEntries(Object.entries(record).filter(([key]) => !keys.includes(key as Key))) as Partial<
    Record<Key, Value>
  >;
}

/** The term is typed in two places; typing in one clears the other. */
const TWIN: Partial<Record<FieldName, FieldName>> = { payments: "years", years: "payments" };

function typeIn(state: DeskState, field: FieldName, text: string): DeskState {
  const twin = TWIN[field] ?? field;
  const typed = { ...without(state.typed, twin), [field]: text };
  const reading = readField(field, text, state.document.inputs);
  const errors = without(state.errors, field, twin);
  return reading.ok
    ? withInputs({ ...state, typed, errors }, reading.file)
    : { ...state, typed, errors: { ...errors, [field]: reading.sentence } };
}

/** Takes another figure as the one to find; what was found until now stays as a given figure. */
function find(state: DeskState, figure: DeskFind, payment?: string): DeskState {
  const { inputs } = state.document;
  if (figure === inputs.find && payment === undefined) return state;
  const quote = shownQuote(state);
  const given = giveFound(inputs, quote);
  const decimals = currencyDecimals(inputs.currency) ?? 2;
  const known = quote ? formatAmount(quote.payment, decimals) : undefined;
  const asked = payment ?? inputs.plan.payment ?? known;

  const { price, down, ...structure } = given.structure;
  const { payment: _payment, ...plan } = given.plan;
  const next: DealFile = {
    ...given,
    structure: {
      ...structure,
      ...(figure !== "price" && price !== undefined && { price }),
      ...(figure !== "down" && down !== undefined && { down }),
    },
    plan: { ...plan, ...(figure !== "payment" && asked !== undefined && { payment: asked }) },
    find: figure,
  };
  // What is being typed in a figure that stays given stays too, readable or not.
  return withInputs(
    { ...state, typed: without(state.typed, figure), errors: without(state.errors, figure) },
    next,
  );
}

function give(state: DeskState, figure: "payment" | "down", minor: number): DeskState {
  const { inputs } = state.document;
  const amount = formatAmount(minor, currencyDecimals(inputs.currency) ?? 2);
  const cleared = { ...state, typed: without(state.typed, figure), errors: without(state.errors, figure) };
  return figure === "payment"
    ? withInputs(cleared, { ...inputs, plan: { ...inputs.plan, payment: amount } })
    : withInputs(cleared, { ...inputs, structure: { ...inputs.structure, down: { amount } } });
}

/** Says the same cash down the other way; a percent keeps two decimals. */
function changeDownKind(state: DeskState, kind: "amount" | "percent"): DeskState {
  const { inputs } = state.document;
  const { price = 0, down: minor = 0 } = tallied(shownTally(state));
  const share = price > 0 ? Math.min(100, Math.round((minor / price) * 10_000) / 100) : 0;
  const down =
    kind === "percent"
      ? { percent: String(share) }
      : { amount: formatAmount(minor, currencyDecimals(inputs.currency) ?? 2) };
  const cleared = { ...state, typed: without(state.typed, "down"), errors: without(state.errors, "down") };
  return withInputs(cleared, { ...inputs, structure: { ...inputs.structure, down } });
}

/** What a field shows: what is being typed, or else its figure. */
export function fieldText(state: DeskState, field: FieldName): string {
  return state.typed[field] ?? SHOWN[field](state.document.inputs, shownQuote(state));
}

const SHOWN: Record<FieldName, (inputs: DealFile, quote: Quote | null) => string> = {
  price: (inputs, quote) =>
    inputs.find === "price" || (inputs.from && inputs.structure.price === undefined)
      ? grouped(inputs, quote?.price)
      : groupedTyped(inputs, inputs.structure.price),
  allowance: (inputs, quote) =>
    inputs.find === "allowance"
      ? grouped(inputs, quote?.allowance)
      : groupedTyped(inputs, inputs.structure.tradeIn?.allowance),
  owed: inputs => groupedTyped(inputs, inputs.structure.tradeIn?.owed),
  down: (inputs, quote) => {
    if (inputs.find === "down" || inputs.find === "downPercent") return grouped(inputs, quote?.down);
    const { down } = inputs.structure;
    if (down === undefined) return "";
    return "percent" in down ? String(down.percent) : groupedTyped(inputs, down.amount);
  },
  payment: inputs => groupedTyped(inputs, inputs.plan.payment),
  yearlyRate: (inputs, quote) =>
    String((inputs.find === "yearlyRate" ? quote?.yearlyRate : inputs.plan.yearlyRate) ?? ""),
  payments: (inputs, quote) => String(shownPayments(inputs, quote) ?? ""),
  years: (inputs, quote) => {
    const payments = shownPayments(inputs, quote);
    return payments ? shortYears(payments, periodsPerYear(inputs.plan.frequency)) : "";
  },
  signed: inputs => inputs.plan.signed ?? "",
  firstPayment: inputs => {
    const deal = readDeal(inputs);
    const date = deal.ok ? firstPaymentDate(deal.value.plan) : null;
    return inputs.plan.firstPayment ?? (date === null ? "" : isoDate(date));
  },
};

function grouped({ currency }: DealFile, minor: number | undefined): string {
  return minor === undefined ? "" : groupedAmount(minor, currencyDecimals(currency) ?? 2);
}

function groupedTyped({ currency }: DealFile, amount: string | number | undefined): string {
  return amount === undefined ? "" : typedAmountText(amount, currency);
}

/** The planned number of payments: typed, or following from what was found. */
function shownPayments({ find, from, plan }: DealFile, quote: Quote | null): number | undefined {
  const follows = find === "payments" || from !== undefined;
  return plan.payments ?? (follows && !plan.datedPayments ? quote?.plannedPayments : undefined);
}

/** "6", "5.5", "5 y 10 m"; where periods are no whole months, years to two decimals. */
function shortYears(payments: number, perYear: number): string {
  if ((payments * 2) % perYear === 0) return String(payments / perYear);
  const months = (payments * 12) / perYear;
  if (!Number.isInteger(months)) return String(Math.round((payments / perYear) * 100) / 100);
  const years = Math.floor(months / 12);
  return years > 0 ? `${years} y ${months % 12} m` : `${months} m`;
}
