import type { Quote } from "../../kinds";
import { asGiven, moneyWriter, type WorkingStep } from "../../working";
import type { DealerSide } from "./dealer-side";
import type { EarnedLine, Income } from "./income";
import { boughtOf, isSameRate } from "./reserve";

type Asked = { quote: Quote; side: DealerSide; earned: Income; money: (minor: number) => string };

/**
 * How it comes about what a deal earns: front gross, back gross with the reserve, both together, and the officer's share.
 *
 * @param quote an answered deal
 * @param side what the dealer knows of it
 * @param earned what it earns
 * @example
 * const side = { ...NO_SIDE, cost: 3_610_000, buyRate: "5.25", reserve: { method: "presentValue" } };
 * incomeWorking(campervan, side, income(campervan, side)).filled // "2,325.00 + 1,383.44"
 */
export function incomeWorking(quote: Quote, side: DealerSide, earned: Income): WorkingStep {
  const money = moneyWriter(quote);
  const asked: Asked = { quote, side, earned, money };
  const { front, back, total } = earned;
  const share = shareStep(asked);
  return {
    name: "Earned in all",
    formula: "front gross + back gross",
    filled: `${front.total === null ? "not known" : money(front.total)} + ${money(back.total)}`,
    result: total === null ? "not known" : money(total),
    ...(earned.notes.length > 0 && { remark: earned.notes.join(" ") }),
    parts: [
      grossStep("Front gross", front.lines, front.total, asked),
      grossStep("Back gross", back.lines, back.total, asked),
      ...(share ? [share] : []),
    ],
  };
}

function grossStep(
  name: string,
  lines: readonly EarnedLine[],
  total: number | null,
  asked: Asked,
): WorkingStep {
  const { money } = asked;
  return {
    name,
    formula: lines.map(line => line.name).join(" + ") || "no line earns anything",
    filled: lines.map(({ amount }) => money(amount)).join(" + ") || money(0),
    result: total === null ? "not known" : money(total),
    remark: "Without the taxes that are in prices, fees and extras.",
    parts: lines.map(line => (line.of === "reserve" ? reserveStep(asked) : lineStep(line, asked))),
  };
}

const LESS: Partial<Record<EarnedLine["of"], string>> = {
  price: "price − what the vehicle cost",
  tradeIn: "what it is worth − what is allowed for it",
  fee: "fee − what it costs",
  extra: "price − what it costs",
};

function lineStep({ of, name, amount, difference }: EarnedLine, { money }: Asked): WorkingStep {
  const formula = LESS[of];
  if (!formula || !difference) return asGiven(capital(name), money(amount));
  const [from, less] = difference;
  return {
    name: capital(name),
    formula,
    filled: `${money(from)} − ${money(less)}`,
    result: money(amount),
    parts: [],
  };
}

const capital = (text: string) => text.replace(/^./u, first => first.toUpperCase());

/** The lender's part: what the method comes to, the dealer's share of it, and the most that is paid. */
function reserveStep(asked: Asked): WorkingStep {
  const { side, earned, money } = asked;
  const { reserve } = earned;
  const { share, most } = side.reserve ?? {};
  const byMethod = reserve?.byMethod ?? 0;
  const capped = most !== undefined && (reserve?.share ?? 0) > most;
  return {
    name: "Reserve",
    formula: `what the method comes to × share${most === undefined ? "" : ", at most"}`,
    filled: `${money(byMethod)} × ${share ?? "100"} %${most === undefined ? "" : `, at most ${money(most)}`}`,
    result: money(reserve?.amount ?? 0),
    rounding: "Rounded half up.",
    ...(capped && { remark: `Without the most it would be ${money(reserve?.share ?? 0)}.` }),
    parts: [methodStep(asked, byMethod)],
  };
}

function methodStep({ quote, side, money }: Asked, byMethod: number): WorkingStep {
  const { reserve, buyRate } = side;
  const bought = boughtOf(quote);
  const result = money(byMethod);
  if (!reserve || reserve.method === "flat" || buyRate === null) {
    const percent = reserve && "percent" in reserve ? reserve.percent : undefined;
    if (percent === undefined) return asGiven("Flat amount", result);
    return {
      name: "Percent of the loan amount",
      formula: "loan amount × percent",
      filled: `${money(bought.amount)} × ${percent} %`,
      result,
      rounding: "Rounded half up.",
      parts: [],
    };
  }
  if (isSameRate(bought.contractRate, buyRate))
    return {
      name: "Both rates are equal",
      formula: "nothing between them",
      filled: buyRate,
      result,
      parts: [],
    };
  if (reserve.method === "interestShare") {
    const at = bought.atBuyRate(buyRate);
    const [payment, interest] = at.ok ? [at.value.payment, at.value.interest] : [0, 0];
    return {
      name: "Interest beyond the buy rate",
      formula: "interest − interest of the same at the buy rate",
      filled: `${money(bought.interest)} − ${money(interest)}`,
      result,
      remark: `At the buy rate of ${buyRate} the payment is ${money(payment)}; same term, dates and rounding, a table of its own.`,
      parts: [],
    };
  }
  const worth = bought.worth(buyRate);
  return {
    name: "Worth at the buy rate",
    formula: "what the payments repay at the buy rate − what is lent",
    filled: `${worth.ok ? money(worth.value) : "not known"} − ${money(bought.amount)}`,
    result,
    rounding: "Interest is not rounded on the way; what they repay is rounded half up, once.",
    remark: `The payments are those of the table at ${bought.contractRate}, discounted ${discountedAt(quote, buyRate)}.`,
    parts: [],
  };
}

/** A money factor is no rate: what stands for it is the implicit rate of the lease at that factor. */
function discountedAt({ filled: { plan } }: Quote, buyRate: string): string {
  if (plan.kind === "lease" && plan.reckoning === "moneyFactor")
    return `at the implicit rate of the same lease at a factor of ${buyRate}`;
  return plan.kind === "flatRate"
    ? `at the true rate of the same plan at ${buyRate} flat`
    : `at ${buyRate} as the plan counts time`;
}

function shareStep({ side, earned, money }: Asked): WorkingStep | undefined {
  const { officerShare } = side;
  if (!officerShare || earned.officerShare === null) return undefined;
  const { percent, of, less } = officerShare;
  const lines = { back: earned.back.lines, all: [...earned.front.lines, ...earned.back.lines], reserve: [] }[
    of
  ];
  const shared =
    of === "reserve"
      ? (earned.reserve?.amount ?? 0)
      : lines.filter(line => !line.isUnshared).reduce((sum, { amount }) => sum + amount, 0);
  const names = { back: "back gross", all: "all that is earned", reserve: "the reserve" };
  return {
    name: "Officer’s share",
    formula: `${names[of]}${less > 0 ? " less a fixed amount" : ""} × percent, not below 0`,
    filled: `${less > 0 ? `(${money(shared)} − ${money(less)})` : money(shared)} × ${percent} %`,
    result: money(earned.officerShare),
    rounding: "Rounded half up.",
    ...(lines.some(({ isUnshared }) => isUnshared) && {
      remark: `Not in it: ${lines
        .filter(({ isUnshared }) => isUnshared)
        .map(({ name }) => name)
        .join(", ")}.`,
    }),
    parts: [],
  };
}
