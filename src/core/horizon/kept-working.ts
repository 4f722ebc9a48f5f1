import { addMonths } from "../calendar";
import { groupedAmount } from "../money";
import { type Result, success } from "../result";
import type { WorkingStep } from "../working";
import { HUNDREDTHS } from "./driven";
import { floatOf } from "./exact";
import { type Horizon, type HorizonAsked, horizonOf } from "./horizon";
import type { KeptWay } from "./kept";
import { monthsOf, monthsSince, type Since, yearsOf } from "./time";
import { percentAt, valueAt } from "./value";
import type { Flow, FlowName } from "./way";

/** What each part of a sum is called. */
const PARTS: Record<FlowName, string> = {
  cashPrice: "paid in cash",
  atSigning: "due at signing",
  given: "trade-in and deposit given",
  payment: "payments",
  payoff: "payoff",
  prepaymentCharge: "charge for paying early",
  depositBack: "security deposit back",
  handedBack: "fee when handed back",
  distance: "distance beyond",
  purchase: "bought out",
  endedEarly: "owed less what it brings",
  worth: "worth",
};

/** Parts in today's money have so many decimals more, so that what is rounded is their sum. */
const MORE_DECIMALS = 3;

/**
 * How the net cost of a way came about: what leaves the pocket and comes in, part by part, and what the vehicle is worth.
 *
 * @param asked as of `keptFor`
 * @param way one of its ways
 * @example keptWorking(keptAsked, kept.ways[1]).value.filled // "4,000.00 + 25,351.56 + 15,810.27 − 22,440.00"
 */
export function keptWorking(asked: HorizonAsked, way: KeptWay): Result<WorkingStep> {
  const laid = horizonOf(asked);
  if (!laid.ok) return laid;
  const horizon = laid.value;
  const { keepFor, discount, value } = horizon;
  const money = (minor: number) => groupedAmount(minor, value.decimals);
  const isToday = keepFor.isTodaysMoney && discount !== null;
  const signed = signingOf(way);
  const sums = sumsByName(way.flows, ({ date, amount }) =>
    isToday ? amount * discount.at(signed, date) : amount,
  );
  const text = (amount: number) =>
    isToday
      ? groupedAmount(Math.round(amount * 10 ** MORE_DECIMALS), value.decimals + MORE_DECIMALS)
      : money(amount);
  const sign = (amount: number, index: number) => (amount < 0 ? " − " : index > 0 ? " + " : "");
  const terms = [...sums];
  return success({
    name: isToday ? "Net cost in today’s money" : "Net cost",
    formula: terms
      .map(([name, sum], index) => `${sign(sum, index)}${PARTS[name]}`)
      .join("")
      .trim(),
    filled: terms
      .map(([, sum], index) => `${sign(sum, index)}${text(Math.abs(sum))}`)
      .join("")
      .trim(),
    result: money(way.net),
    ...(isToday && {
      rounding: `each ÷ (1 + ${rateText(horizon)})^time, months ÷ 12 and odd days ÷ 365; the sum rounded half up, once`,
    }),
    remark: "Finance and depreciation; insurance, fuel and repairs are not in it. What came in is taken off.",
    parts: sums.has("worth") ? [worthStep(horizon, way, signed)] : [],
  });
}

const signingOf = ({ flows }: KeptWay) => flows[0]?.date ?? 0;

function sumsByName(flows: readonly Flow[], amountOf: (flow: Flow) => number): Map<FlowName, number> {
  const sums = new Map<FlowName, number>();
  for (const flow of flows) sums.set(flow.name, (sums.get(flow.name) ?? 0) + amountOf(flow));
  return sums;
}

function rateText({ keepFor }: Horizon): string {
  const { rate = "0", tax = "0" } = keepFor.yearlyReturn ?? {};
  return Number(tax) === 0 ? `${rate} %` : `${rate} % × (1 − ${tax} %)`;
}

/** What the vehicle is worth on the day. */
function worthStep(horizon: Horizon, way: KeptWay, signed: number): WorkingStep {
  const { keepFor, value, driven, percentsOf } = horizon;
  const { points, normalDistance, beyond } = keepFor.value;
  const age = ageOf(way, signed, keepFor.months);
  const worth = valueAt(value, age, driven);
  const isBeyond = Number(beyond) > 0 && keepFor.distance > normalDistance;
  const units = (driven / HUNDREDTHS - normalDistance).toLocaleString("en-US");
  const percent = Number(floatOf(percentAt(points, monthsOf(age))).toFixed(4));
  const years = Number(floatOf(yearsOf(age)).toFixed(4));
  const name = percentsOf === "price" ? "price" : "list price";
  return {
    name: "Worth",
    formula: `${name} × percent at its age${isBeyond ? ` − ${keepFor.unit} a year beyond a normal year × price of each × years` : ""}`,
    filled: `${groupedAmount(value.of, value.decimals)} × ${percent} %${isBeyond ? ` − ${units} × ${beyond} × ${years}` : ""}`,
    result: groupedAmount(worth, value.decimals),
    rounding: "rounded half up, once; never below 0",
    ...(percentsOf === "price" && {
      remark: "There is no list price in this deal, so the percents are of the price.",
    }),
    parts: [],
  };
}

/** The age of the vehicle that is sold: of a lease that was signed again, since that. */
function ageOf({ flows, leasesOver }: KeptWay, signed: number, months: number): Since {
  const starts = flows.filter(({ name }) => name === "atSigning");
  const last = leasesOver > 0 ? (starts.at(-1)?.date ?? signed) : signed;
  return monthsSince(last, addMonths(signed, months));
}
