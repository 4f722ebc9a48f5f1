import { FREQUENCY_NAMES } from "@/core";
import { type LoanFile, type DealFile, isLease, knownWords } from "../deal-file";
import { fileWriter, PLAN_KIND_NAMES, planWords } from "../kinds/loan/plan";
import { structureWords } from "../structure";
import { distanceWords, type LeaseFile, leasePlanWords, leaseTaxWords } from "../kinds/lease";
import { LOCALE_NAMES } from "../notation";

/** A figure as it was typed: what it is called, and what stands there. */
export type WordedFigure = [name: string, text: string];

type Structure = DealFile["structure"];
type Money = (typed: string | number) => string;

const FOUND = "found";

/**
 * Everything that was typed of an option, by the names of its figures and in the order in which it is structured;
 * nothing is computed. The figure that is being found says so.
 *
 * @example figuresInWords(inputs) // [["price", "41,850.00"], ["cash down", "3,000.00"], …]
 */
export function figuresInWords(inputs: DealFile): readonly WordedFigure[] {
  const known = worded.get(inputs);
  if (known) return known;
  const figures = inWords(inputs);
  worded.set(inputs, figures);
  return figures;
}

/** Options are told apart with every key, and most of them stay as they are. */
const worded = new WeakMap<DealFile, readonly WordedFigure[]>();

function inWords(inputs: DealFile): WordedFigure[] {
  const figures = isLease(inputs) ? ofLease(inputs) : ofLoan(inputs);
  const { locale } = inputs;
  return [...figures, ["formats", locale && LOCALE_NAMES[locale]]].filter((figure): figure is WordedFigure =>
    Boolean(figure[1]),
  );
}

type Open = [name: string, text: string | undefined];

function ofLoan(inputs: LoanFile): Open[] {
  const { structure, plan, find, from, currency } = inputs;
  const { money, date } = fileWriter(currency);
  const typed = typedOr(find);
  return [
    ...ofStructure(structure, currency, find),
    ["kind of plan", PLAN_KIND_NAMES[plan.kind]],
    ["yearly rate", typed("yearlyRate", plan.yearlyRate, rate => `${rate} %`)],
    ["number of payments", typed("payments", plan.payments, String)],
    ["how often", FREQUENCY_NAMES[plan.frequency].adjective],
    ["contract date", plan.signed && date(plan.signed)],
    ["first payment", plan.firstPayment && date(plan.firstPayment)],
    ["payment", typed("payment", plan.payment, money)],
    ["payment rounded", plan.rounding === "nearest" ? undefined : plan.rounding],
    ...planWords(plan, currency).map(partOfPlan),
    ["found from", from && knownWords(from, currency)],
  ];
}

const TWO_WORDS = /^(residual due|interest compounded|days counted|payment rounded|acquisition fee) (.+)$/;

/** A phrase about a plan under its first words, so that another amount of the same is the same figure. */
function partOfPlan(phrase: string): Open {
  const [, two, after] = TWO_WORDS.exec(phrase) ?? [];
  if (two) return [`plan: ${two}`, after];
  const [first = "", ...rest] = phrase.split(" ");
  return rest.length === 0 ? ["plan", first] : [`plan: ${first}`, rest.join(" ")];
}

function ofLease(inputs: LeaseFile): Open[] {
  const { structure, plan, find, from, currency } = inputs;
  const { money, date } = fileWriter(currency);
  const typed = typedOr(find);
  const { taxes: _taxes, taxIncluded: _included, ...lines } = structure;
  const { residual, securityDeposit: deposit } = plan;
  return [
    ["list price", structure.listPrice === undefined ? undefined : money(structure.listPrice)],
    ...ofStructure(lines, currency, find),
    ["kind of plan", "lease"],
    ["money factor", typed("moneyFactor", plan.moneyFactor, String)],
    ["yearly rate", typed("yearlyRate", plan.yearlyRate, rate => `${rate} %`)],
    ["number of payments", typed("payments", plan.payments, String)],
    ["payments in advance", plan.inAdvance ? String(plan.inAdvance) : undefined],
    ["residual", find.startsWith("residual") ? FOUND : residual && residualWords(residual, money)],
    ["contract date", plan.signed && date(plan.signed)],
    ["payment", typed("payment", plan.payment, money)],
    ["payment rounded", plan.rounding === "nearest" ? undefined : plan.rounding],
    ["acquisition fee", plan.acquisitionFee && money(plan.acquisitionFee.amount)],
    [
      "security deposit",
      deposit && ("amount" in deposit ? money(deposit.amount) : "one payment, rounded up"),
    ],
    ["fee at the end", plan.dispositionFee === undefined ? undefined : money(plan.dispositionFee)],
    ["fee to buy", plan.purchaseFee === undefined ? undefined : money(plan.purchaseFee)],
    ["fee to end early", plan.earlyFee === undefined ? undefined : money(plan.earlyFee)],
    ...leasePlanWords({ ...plan, taxes: undefined, distance: undefined }, currency).map(partOfPlan),
    ...(plan.taxes ?? []).map((tax): Open => [tax.name, leaseTaxWords(tax, money)]),
    ["distance", plan.distance && distanceWords(plan.distance)],
    ["found from", from && Object.entries(from).map(([, amount]) => money(amount))[0]],
  ];
}

/** What was typed of a figure, or that it is being found. */
const typedOr =
  (find: string) =>
  <Typed>(figure: string, value: Typed | undefined, text: (value: Typed) => string): string | undefined => {
    if (figure === find) return FOUND;
    return value === undefined ? undefined : text(value);
  };

function ofStructure(structure: Structure, currency: string, find: string): Open[] {
  const { money } = fileWriter(currency);
  const typed = typedOr(find);
  const { names, tradeIn, purpose } = structure;
  const isDownFound = find === "down" || find === "downPercent";
  return [
    ["purpose", purpose],
    [names?.price ?? (purpose === undefined ? "price" : "amount"), typed("price", structure.price, money)],
    ["taxes", structure.taxIncluded ? "in the price" : undefined],
    ...structureWords(structure, currency),
    ["trade-in allowance", tradeIn && typed("allowance", tradeIn.allowance, money)],
    ["owed on the trade-in", tradeIn && Number(tradeIn.owed) > 0 ? money(tradeIn.owed) : undefined],
    [names?.deposit ?? "deposit", structure.deposit === undefined ? undefined : money(structure.deposit)],
    [names?.down ?? "cash down", isDownFound ? FOUND : structure.down && downWords(structure.down, money)],
  ];
}

function downWords(down: NonNullable<Structure["down"]>, money: Money): string {
  if ("amount" in down) return money(down.amount);
  if ("percent" in down) return `${down.percent} % of the ${down.of ?? "price"}`;
  return `what makes ${money(down.dueAtSigning)} due at signing`;
}

function residualWords(residual: NonNullable<LeaseFile["plan"]["residual"]>, money: Money): string {
  if ("amount" in residual) return money(residual.amount);
  return `${residual.percent} % of the ${residual.of === "price" ? "price" : "list price"}`;
}
