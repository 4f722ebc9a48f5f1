import { wholeText } from "@/core";
import { type Fact, type LimitName, percentText, type Reason, type Worth } from "@/core/programs";
import { amountText, shortDate } from "../text";

/** What a percent is of. */
export const WORTHS: Record<Worth, string> = {
  invoice: "invoice",
  bookValue: "book value",
  listPrice: "list price",
  price: "the price",
};

/** What is not known, as it is asked for. */
const FACTS: Record<Fact, string> = {
  condition: "whether it is new",
  modelYear: "the model year",
  distance: "how far it has gone",
  invoice: "the invoice",
  bookValue: "the book value",
  listPrice: "the list price",
  score: "the customer’s score",
  income: "the customer’s income",
  housing: "the customer’s housing",
  debts: "the customer’s other debts",
};

const CONDITIONS = { new: "new", used: "used", demonstrator: "a demonstrator" };

/** What a percent is of something, and of what. */
const PERCENTS: Partial<Record<LimitName, (of: string, isOfVehicle: boolean) => string>> = {
  loanTo: (of, isOfVehicle) =>
    isOfVehicle ? `loan without taxes, fees and extras {} of ${of}` : `loan {} of ${of}`,
  down: () => "paid down {} of the price",
  extras: of => `extras {} of ${of}`,
  balloon: of => `balloon {} of ${of}`,
  costToListPrice: () => "capitalized cost {} of list price",
  paymentToIncome: () => "payment {} of income",
  debtToIncome: () => "payment and debts {} of income",
};

const COUNTS: Partial<Record<LimitName, (count: string, unit: string) => string>> = {
  term: count => `${count} payments`,
  score: count => `score ${count}`,
  years: count => `${count} years old`,
  yearsAtEnd: count => `${count} years old at the end`,
  distance: (count, unit) => `gone ${count}${unit}`,
  firstPayment: count => `first payment after ${count} days`,
};

const NONE: Partial<Record<LimitName, string>> = {
  kind: "this deal cannot be a lease",
  vehicle: "for vehicles; this is a personal loan",
  term: "nothing offered over any term",
  balloon: "no balloon over this term",
  residual: "no residual over this term and distance",
};

/** Such as "not known: the customer’s score, the invoice", each once. */
export const unknownInWords = (facts: readonly Fact[]): string =>
  `not known: ${[...new Set(facts)].map(fact => FACTS[fact]).join(", ")}`;

/**
 * Why a program does not fit, in a few words; figures with points and commas.
 *
 * @example reasonInWords(tooMuch, "USD") // "loan 118.2 % of invoice, at most 115 %"
 */
export function reasonInWords(reason: Reason, currency: string): string {
  switch (reason.as) {
    case "unknown":
      return unknownInWords(reason.facts);
    case "percent": {
      const of = reason.of ? WORTHS[reason.of] : "";
      const told = PERCENTS[reason.limit]?.(of, reason.what === "vehicle") ?? "{}";
      const shown = `${percentText(reason.percent, reason.value)} %`;
      return `${told.replace("{}", shown)}, at ${reason.bound} ${reason.value} %`;
    }
    case "count": {
      const unit = reason.unit ? ` ${reason.unit}` : "";
      const told = COUNTS[reason.limit]?.(wholeText(reason.count), unit) ?? String(reason.count);
      return `${told}, at ${reason.bound} ${wholeText(reason.value)}`;
    }
    case "amount": {
      const [amount, value] = [reason.amount, reason.value].map(minor => amountText(minor, currency));
      return `${amount} lent, at ${reason.bound} ${value}`;
    }
    case "day":
      return reason.bound === "begins"
        ? `begins on ${shortDate(reason.day)}`
        : `ran out on ${shortDate(reason.day)}`;
    case "condition":
      return `this one is ${CONDITIONS[reason.is]}`;
    case "currency":
      return `in ${reason.asked}; this deal is in ${reason.is}`;
    case "names":
      return `not with ${reason.names.join(", ")}`;
    case "none":
      return NONE[reason.limit] ?? "nothing offered";
    case "sentence":
      return reason.sentence;
  }
}
