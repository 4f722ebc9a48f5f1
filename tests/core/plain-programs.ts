// Lenders' programs held against a deal rule by rule, in 60 digits, each time from the whole quote: apart from the core's own way.
import Decimal from "decimal.js";
import { evaluate, type LeaseDeal, type LoanDeal, type Quote } from "@/core";
import type { DealFacts, LeaseProgram, LoanProgram, Program } from "@/core/programs";

const Exact = Decimal.clone({ precision: 60 });
type Figure = Decimal;

/** What a program comes to: which limits are broken and which are of what is not known, and what it offers. */
export type Plain = {
  broken: string[];
  unknown: string[];
  offer: { buyRate: string; rate: string; payment: number; totalCost: number } | null;
};

/** What a deal of a program comes to, as the limits ask of it. */
type Measures = {
  price: number;
  lent: { all: number; vehicle: number };
  brought: number;
  extras: number;
  balloon: number | null;
};

const BESIDE = ["tax", "fee", "extra", "acquisitionFee"];

const sum = (amounts: readonly number[]) => amounts.reduce((all, each) => all + each, 0);

function measures(quote: Quote): Measures {
  const { structure, plan } = quote.filled;
  const all = "loanAmount" in quote ? quote.loanAmount : quote.cost;
  const beside = quote.lines.filter(({ figure }) => BESIDE.includes(figure));
  const equity = sum(structure.tradeIns.map(({ allowance, owed }) => (allowance ?? 0) - owed));
  const amounts = "reckoned" in quote ? quote.reckoned.extras : quote.extras;
  const each = (structure.extras ?? []).map(
    ({ paid }, index) => (amounts[index] ?? 0) * (paid === "withEachPayment" ? (plan.payments ?? 0) : 1),
  );
  return {
    price: quote.price,
    lent: { all, vehicle: all - sum(beside.map(({ sign, amount }) => sign * amount)) },
    brought:
      Math.max(quote.down, 0) +
      (structure.deposit ?? 0) +
      sum((structure.rebates ?? []).map(({ amount }) => amount)) +
      Math.max(equity, 0),
    extras: sum(each),
    balloon: "agreedBalloon" in quote && "balloon" in plan && plan.balloon ? quote.agreedBalloon : null,
  };
}

const worth = (of: string, { price }: Measures, facts: DealFacts): number | null =>
  of === "price" ? price : facts[of as "invoice"];

/** Whole months of the term, one begun counted. */
const monthsOf = (payments: number) => payments;

/** The row for a monthly term and a score, or which limit there is none for. */
function rowOf({ rates }: Program, months: number, score: number | null) {
  const takes = ({ leastScore, mostScore }: (typeof rates)[number]) =>
    score === null || ((leastScore ?? 0) <= score && score <= (mostScore ?? 10_000));
  const inTerm = rates.filter(({ from, to }) => months >= from && months <= to);
  if (score === null && inTerm.some(each => each.leastScore !== null || each.mostScore !== null))
    return "unknown score";
  const row = inTerm.find(takes);
  if (row) return row;
  return score !== null && !rates.some(takes) ? "score" : "term";
}

function rateOf(
  program: Program,
  row: Program["rates"][number],
  of: Measures,
  facts: DealFacts,
  spread: string,
) {
  const most = program.mostRate === null ? null : new Exact(program.mostRate);
  const capped = (rate: Figure) => (most && rate.gt(most) ? most : rate);
  let buy = new Exact(row.buyRate);
  for (const each of program.adjust) {
    if (each.when === "distance") {
      if ((facts.distance ?? 0) > each.above) buy = buy.add(each.add);
      continue;
    }
    const whole = worth(each.of, of, facts) ?? 0;
    if (whole > 0 && new Exact(Math.max(of.lent[each.what], 0)).mul(100).div(whole).gt(each.above))
      buy = buy.add(each.add);
  }
  buy = capped(buy);
  const points = new Exact(spread);
  const isFactor = program.kind === "lease" && program.reckoning === "moneyFactor";
  const added = isFactor ? points.div(2400).toDecimalPlaces(8, Decimal.ROUND_CEIL) : points;
  let rate = buy.add(row.mostSpread !== null && added.gt(row.mostSpread) ? row.mostSpread : added);
  const step = new Exact(program.rateStep ?? 0);
  if (step.gt(0)) rate = rate.div(step).ceil().mul(step);
  return { buyRate: buy.toFixed(), rate: capped(rate).toFixed() };
}

/** A monthly loan as a program has it at a rate. */
function loanAt(
  loan: LoanDeal,
  { kind, fee, lender, balloon }: LoanProgram,
  facts: DealFacts,
  yearlyRate: string,
) {
  const months = monthsOf(loan.plan.payments ?? 0);
  const row = (balloon ?? []).find(({ from, to }) => months >= from && months <= to);
  const brings = kind === "balloon" && !loan.plan.balloon && row;
  const left =
    brings && row.of === "listPrice"
      ? facts.listPrice === null
        ? null
        : { amount: new Exact(facts.listPrice).mul(row.most).div(100).floor().toNumber() }
      : brings
        ? { percent: row.most }
        : (loan.plan.balloon ?? null);
  const charged = fee?.paidBy === "customer" ? [fee] : [];
  return {
    ...loan,
    structure: {
      ...loan.structure,
      fees: [
        ...(loan.structure.fees ?? []),
        ...charged.map(({ amount, isFinanceCharge }) => ({
          name: lender,
          amount: { minor: amount },
          isTaxable: false,
          paid: "financed" as const,
          isFinanceCharge,
        })),
      ],
    },
    plan: {
      ...loan.plan,
      kind: kind === "flatRate" ? ("flatRate" as const) : ("loan" as const),
      yearlyRate,
      ...(left && { balloon: left }),
    },
  };
}

function leaseAt(lease: LeaseDeal, program: LeaseProgram, facts: DealFacts, rate: string): LeaseDeal {
  const { plan } = lease;
  const residual = residualOf(lease, program);
  return {
    ...lease,
    listPrice: lease.listPrice ?? facts.listPrice,
    plan: {
      ...plan,
      reckoning: program.reckoning,
      moneyFactor: program.reckoning === "moneyFactor" ? rate : null,
      yearlyRate: program.reckoning === "moneyFactor" ? null : rate,
      residual: residual ? { percent: residual.percent, of: "listPrice" } : plan.residual,
      ...(program.acquisitionFee !== null && {
        acquisitionFee: {
          amount: program.acquisitionFee,
          isFinanced: plan.acquisitionFee?.isFinanced ?? true,
          isTaxable: plan.acquisitionFee?.isTaxable ?? false,
        },
      }),
      dispositionFee: program.dispositionFee ?? plan.dispositionFee,
      purchaseFee: program.purchaseFee ?? plan.purchaseFee,
    },
  };
}

function residualOf({ plan }: LeaseDeal, { residuals }: LeaseProgram) {
  const months = plan.payments ?? 0;
  const asked = plan.distance?.perYear ?? 0;
  const fitting = residuals.filter(
    ({ from, to, distance }) => months >= from && months <= to && (distance === null || distance >= asked),
  );
  return fitting.sort((one, other) => (one.distance ?? asked) - (other.distance ?? asked))[0];
}

/** The greatest regular payment with what falls with each, over a whole quote. */
function regularOf(quote: Quote): number {
  if (quote.kind === "lease") return quote.payment + quote.withPayments.each;
  return quote.payment + (quote.charges?.all.each ?? 0);
}

/** What can be told of a program before anything is priced. */
function plainFacts(program: Program, deal: LoanDeal | LeaseDeal, facts: DealFacts, told: Told): void {
  const isTooEarly = program.from !== null && facts.day < program.from;
  if (isTooEarly || (program.to !== null && facts.day > program.to)) told.broken.push("valid");
  const compare = <Value>(limit: string, asked: Value | null, is: Value | null, breaks: boolean) => {
    if (asked === null) return;
    if (is === null) told.unknown.push(limit);
    else if (breaks) told.broken.push(limit);
  };
  compare("condition", program.condition, facts.condition, facts.condition !== program.condition);
  compare(
    "distance",
    program.mostDistance,
    facts.distance,
    (facts.distance ?? 0) > (program.mostDistance ?? 0),
  );
  const { fees = [], extras = [], rebates = [], tradeIns } = deal.structure;
  const plainly = (name: string) => name.toLowerCase().split(" ").join("");
  const excluded = program.notWith.map(plainly);
  const names = [...fees, ...extras, ...rebates, ...tradeIns].map(({ name }) => name ?? "");
  if (names.some(name => excluded.includes(plainly(name)))) told.broken.push("notWith");
  if (program.kind !== "lease" || program.residuals.length === 0) return;
  if (!residualOf(deal as LeaseDeal, program)) told.broken.push("residual");
  else if ((deal as LeaseDeal).listPrice === null && facts.listPrice === null) told.unknown.push("residual");
}

type Told = { broken: string[]; unknown: string[] };

/** A program's rate and the quote at it: from the buy rate upwards until nothing more is added. */
function plainRate(
  program: Program,
  row: Program["rates"][number],
  facts: DealFacts,
  spread: string,
  quoteAt: (rate: string) => Quote | null,
): { rated: ReturnType<typeof rateOf>; quote: Quote } | "figures" | "unknown" {
  let at = row.buyRate;
  for (let turn = 0; turn < program.adjust.length + 3; turn++) {
    const quote = quoteAt(at);
    if (!quote) return "figures";
    const of = measures(quote);
    const isMissing = program.adjust.some(each =>
      each.when === "distance" ? facts.distance === null : worth(each.of, of, facts) === null,
    );
    if (isMissing) return "unknown";
    const rated = rateOf(program, row, of, facts, spread);
    if (rated.rate === at) return { rated, quote };
    at = rated.rate;
  }
  throw new Error("The rate does not come to rest.");
}

/** What can be told of a program once the deal is priced with it. */
function plainAmounts(program: Program, quote: Quote, facts: DealFacts, told: Told): void {
  const { broken, unknown } = told;
  const of = measures(quote);
  const isAbove = (amount: number, whole: number, limit: string) =>
    new Exact(Math.max(amount, 0)).mul(100).gt(new Exact(limit).mul(whole));
  const most = (limit: string, amount: number, percent: string, against: string) => {
    const whole = worth(against, of, facts);
    if (whole === null || (whole <= 0 && against !== "price")) unknown.push(limit);
    else if (whole > 0 && isAbove(amount, whole, percent)) broken.push(limit);
  };
  const isLess = program.leastAmount !== null && of.lent.all < program.leastAmount;
  if (isLess || (program.mostAmount !== null && of.lent.all > program.mostAmount)) broken.push("amount");
  for (const each of program.mostLoanTo) most("loanTo", of.lent[each.what], each.percent, each.of);
  const down = program.leastDown === null ? null : new Exact(program.leastDown).mul(of.price);
  if (down && new Exact(of.brought).mul(100).lt(down)) broken.push("down");
  if (program.mostExtras) most("extras", of.extras, program.mostExtras.percent, program.mostExtras.of);
  if (program.kind === "lease") {
    if (program.mostCostToListPrice !== null)
      most("costToListPrice", of.lent.all, program.mostCostToListPrice, "listPrice");
  } else plainBalloon(program, quote, of, facts, told, most);
  const payment = regularOf(quote);
  const income = (limit: string, percent: string | null, debts: number | null) => {
    if (percent === null) return;
    if (!facts.income || debts === null) unknown.push(limit);
    else if (isAbove(payment + debts, facts.income, percent)) broken.push(limit);
  };
  income("paymentToIncome", program.mostPaymentToIncome, 0);
  const isKnown = facts.housing !== null && facts.debts !== null;
  const debts = (facts.housing ?? 0) + (facts.debts ?? 0) - (facts.paidOff ?? 0);
  income("debtToIncome", program.mostDebtToIncome, isKnown ? Math.max(debts, 0) : null);
}

function plainBalloon(
  { balloon, kind }: LoanProgram,
  { filled }: Quote,
  of: Measures,
  facts: DealFacts,
  { broken, unknown }: Told,
  most: (limit: string, amount: number, percent: string, against: string) => void,
): void {
  if (balloon === null) return;
  const months = monthsOf(filled.plan.payments ?? 0);
  const allowed = balloon.find(({ from, to }) => months >= from && months <= to);
  if (of.balloon !== null && allowed) most("balloon", of.balloon, allowed.most, allowed.of);
  else if (!allowed && (of.balloon !== null || kind === "balloon")) broken.push("balloon");
  else if (allowed && kind === "balloon" && facts.listPrice === null) unknown.push("balloon");
}

/** A monthly level loan, or a lease, held against a program; every figure from the whole quote at the program's rate. */
export function plainFit(
  program: Program,
  deal: LoanDeal | LeaseDeal,
  facts: DealFacts,
  spread: string,
): Plain {
  const told: Told = { broken: [], unknown: [] };
  const asksOfVehicle =
    program.condition ?? program.mostDistance ?? program.mostLoanTo.find(({ of }) => of !== "price");
  if (deal.structure.personal && asksOfVehicle !== null && asksOfVehicle !== undefined)
    return { broken: ["vehicle"], unknown: [], offer: null };
  plainFacts(program, deal, facts, told);
  const row = rowOf(program, monthsOf(deal.plan.payments ?? 0), facts.score);
  if (typeof row === "string") {
    if (row === "unknown score") told.unknown.push("score");
    else told.broken.push(row);
    return { ...told, offer: null };
  }
  const priced = plainRate(program, row, facts, spread, rate => {
    const quote = evaluate(
      program.kind === "lease"
        ? leaseAt(deal as LeaseDeal, program, facts, rate)
        : loanAt(deal as LoanDeal, program, facts, rate),
    );
    return quote.ok ? quote.value : null;
  });
  if (typeof priced === "string") {
    told[priced === "unknown" ? "unknown" : "broken"].push("figures");
    return { ...told, offer: null };
  }
  const { rated, quote } = priced;
  plainAmounts(program, quote, facts, told);
  const totalCost = quote.kind === "lease" ? quote.totalIfReturned : quote.totalCost;
  return { ...told, offer: { ...rated, payment: quote.payment, totalCost } };
}
