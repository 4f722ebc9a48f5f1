import { chosenOption, type DealDocument, documentOf } from "@/exchange/deal-document";
import { knownWords, type LoanFile } from "@/exchange/kinds/loan";
import { planTitle, planWords } from "@/exchange/kinds/loan/plan";
import { describeOption } from "@/features/deal/history/describe-document";
import { fieldBeside, fieldText, optionReducer, shownQuote, shownTally } from "@/features/deal/option";
import { named } from "../named";
import { openOption } from "./load-desk";

type Change = {
  structure?: LoanFile["structure"];
  plan?: Partial<LoanFile["plan"]>;
  find?: LoanFile["find"];
  from?: LoanFile["from"];
};

const fileOf = ({ structure, plan, find, from }: Change): LoanFile => ({
  format: "kellux-deal",
  version: 1,
  currency: "USD",
  structure: structure ?? { price: "10000.00" },
  plan: { kind: "loan", frequency: "monthly", yearlyRate: "6", payments: 12, ...plan },
  find: find ?? "payment",
  ...(from && { from }),
});

const kept = (change: Change): DealDocument =>
  documentOf(
    { customer: named("Maren Oakhollow"), status: "quoting" },
    { id: "11111111-1111-4111-8111-111111111111", name: "", inputs: fileOf(change) },
  );

/** The option after an officer turns from what a deal file finds to finding the payment. */
function turnedToPayment(file: LoanFile) {
  const before = openOption(file);
  const after = optionReducer(before, { type: "find", figure: "payment" });
  return { before, after, given: after.inputs };
}

const NO_RATE = { yearlyRate: undefined, payment: "870.00" };

test.each<[LoanFile["find"], Change, (file: LoanFile) => unknown, unknown]>([
  ["yearlyRate", { plan: NO_RATE }, ({ plan }) => plan.yearlyRate, "8.026"],
  ["payments", { plan: { payments: undefined, payment: "500.00" } }, ({ plan }) => plan.payments, 22],
  [
    "balloon",
    { plan: { payment: "800.00" } },
    ({ plan }) => plan.balloon && "amount" in plan.balloon && plan.balloon.amount,
    "748.27",
  ],
  [
    "allowance",
    { structure: { price: "10000.00", tradeIn: { owed: "0" } }, plan: { payment: "800.00" } },
    ({ structure }) => structure.tradeIn?.allowance,
    "704.80",
  ],
  ["downPercent", { plan: { payment: "800.00" } }, ({ structure }) => structure.down, { percent: "7.05" }],
  ["extra", { from: { payments: 10 } }, ({ plan }) => plan.extra?.each, "167.05"],
  [
    "yearlyRate",
    { structure: {}, plan: NO_RATE, from: { amountFinanced: "10000.00" } },
    ({ structure }) => structure.price,
    "10000.00",
  ],
])("what a file finds, the %s, is given when another figure is found", (find, change, of, expected) => {
  const { before, after, given } = turnedToPayment(fileOf({ ...change, find }));
  expect(before.answer.ok && before.answer.value).toBeTruthy();
  expect(of(given)).toEqual(expected);
  expect(given.find).toBe("payment");
  expect(given).not.toHaveProperty("from");
  // The deal itself has not moved; a payment that it was found from is now the one that divides it evenly.
  expect(shownQuote(after)?.loanAmount).toBe(shownQuote(before)?.loanAmount);
  const moved = Math.abs((shownQuote(after)?.payment ?? 0) - (shownQuote(before)?.payment ?? 0));
  if (find !== "payments") expect(moved).toBeLessThanOrEqual(1);
});

test("a found figure stands in its field, and the tally has it", () => {
  const desk = openOption(
    fileOf({
      structure: { price: "10000.00", tradeIn: { owed: "2000.00" } },
      plan: { payment: "800.00" },
      find: "allowance",
    }),
  );
  expect(fieldText(desk, "allowance")).toBe("2,704.80");
  expect(shownTally(desk).lines.map(({ amount }) => amount)).toEqual([1_000_000, 270_480, 200_000, 0]);
  expect(shownTally(desk).stale).toBe(false);
  const rate = openOption(fileOf({ plan: NO_RATE, find: "yearlyRate" }));
  expect(fieldText(rate, "yearlyRate")).toBe("8.026");
  const count = openOption(fileOf({ plan: { payments: undefined, payment: "500.00" }, find: "payments" }));
  expect([fieldText(count, "payments"), fieldBeside(count, "payments")]).toEqual(["22", "1 year 10 months"]);
});

test("terms count in the plan's own periods", () => {
  const weekly = openOption(fileOf({ plan: { frequency: "weekly", payments: 130 } }));
  expect(fieldBeside(weekly, "payments")).toBe("2 years 6 months");
  const longer = optionReducer(weekly, { type: "typed", field: "payments", text: "3y" });
  expect(longer.inputs.plan.payments).toBe(156);
  const none = optionReducer(weekly, { type: "typed", field: "payments", text: "1 y 1 m" });
  expect(none.errors.payments).toBe("“1 y 1 m” is not a whole number of weekly payments.");
  expect(fieldBeside(openOption(fileOf({ plan: { frequency: "weekly", payments: 60 } })), "payments")).toBe(
    "1.15 years",
  );
});

test("every part of a plan that has no field is said", () => {
  const inputs = fileOf({
    plan: {
      frequency: "twiceAMonth",
      twiceMonthlyDays: [1, 16],
      compounding: "yearly",
      dayCount: "30/360",
      timing: "advance",
      roundingStep: "0.05",
      balloon: { percent: "30" },
      interestOnly: 3,
      deferred: { payments: 2, interest: "waived" },
      skippedMonths: [7, 8],
      steps: [
        { from: 4, percent: "5" },
        { from: 6, amount: "900" },
      ],
      earning: "sumOfDigits",
      prepaidCharge: "250",
      extra: {
        each: "50",
        yearly: { amount: "500", from: "2027-12-01" },
        once: [{ date: "2028-03-10", amount: "1000" }, { date: "2028-04-10" }],
      },
    },
  });
  expect(planTitle(inputs.plan)).toBe("loan, paid twice a month");
  expect(planWords(inputs.plan, inputs.currency)).toEqual([
    "paid in advance",
    "interest compounded yearly",
    "days counted 30/360",
    "on days 1 and 16 of the month",
    "payment rounded in steps of 0.05",
    "balloon 30 % of the price",
    "just interest on the first 3 payments",
    "no payment on the first 2 dates, without interest",
    "no payment in July, August",
    "from payment 4 changed by 5 %",
    "from payment 6 900.00",
    "interest earned by the sum of the digits",
    "charge at signing 250.00",
    "extra 50.00 with every payment",
    "extra 500.00 every year from 1 December 2027",
    "extra 1,000.00 on 10 March 2028",
    "extra to find on 10 April 2028",
  ]);
  expect(knownWords({ totalCost: "46000.00" }, "USD")).toBe("for a total cost of 46,000.00");
  expect(knownWords({ endDate: "2030-01-31" }, "USD")).toBe("to end by 31 January 2030");
});

test("two versions are told apart by what has no field, too", () => {
  const plain = describeOption(chosenOption(kept({})).inputs);
  const other = describeOption(chosenOption(kept({ plan: { balloon: { amount: "2000" } } })).inputs);
  expect([plain.Plan, other.Plan]).toEqual([
    "loan, paid every month",
    "loan, paid every month; balloon 2,000.00",
  ]);
  expect(
    describeOption(chosenOption(kept({ plan: NO_RATE, find: "yearlyRate" })).inputs)["Yearly rate"],
  ).toBe("8.026 %, found");
});
