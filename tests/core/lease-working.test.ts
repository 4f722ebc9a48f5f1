import type { WorkingStep } from "@/core";
import { compute } from "./compute-filled";
import { answer, COUNTY, VAN, van } from "./van-lease";

/** A lease with something of everything. */
const LONG = {
  ...van({
    taxes: [COUNTY, { name: "Levy", rate: "2", on: ["reduction", "purchase"], financed: false }],
    securityDeposit: { roundedUpTo: "50" },
    acquisitionFee: { amount: "595.00" },
    dispositionFee: "395.00",
    purchaseFee: "300.00",
  }),
  structure: {
    price: "40900.00",
    fees: [
      { name: "Documents", amount: "299.00" },
      { name: "Plates", amount: "120.00", financed: false },
      { name: "Account fee", amount: "2.50", with: "eachPayment" },
    ],
    rebates: [{ name: "Maker's rebate", amount: "1800.00" }],
    tradeIns: [{ allowance: "9200.00", owed: "8000.00" }],
    deposit: "500.00",
    down: { amount: "1500.00" },
  },
};

test.each([
  "payment",
  "adjustedCapitalizedCost",
  "depreciation",
  "rentCharge",
  "dueAtSigning",
  "totalOfPayments",
  "totalIfReturned",
  "totalIfBought",
])("the numbers filled in for a lease's %s come to its result, which is the answer's", figure => {
  const { answers, ...lease } = answer({ ...LONG, ask: [{ ask: "working", figure }] });
  const [{ working }] = answers as unknown as [{ working: WorkingStep }];
  const result = Number(working.result.replaceAll(",", ""));
  expect(compute(working.filled.replaceAll(" payments with tax", ""))).toBe(result);
  const own = (lease as Record<string, unknown>)[figure];
  expect(Number(typeof own === "object" ? (own as { total: string }).total : own)).toBe(result);
});

test("a lease's payment shows both ways of reckoning, and its percents say what they do not measure", () => {
  const ask = [
    { ask: "working", figure: "basePayment" },
    { ask: "working", figure: "yearlyRate" },
    { ask: "working", figure: "implicitYearlyRate" },
    { ask: "working", figure: "residual" },
  ];
  const steps = (file: object) =>
    (answer({ ...file, ask }).answers as unknown as { working: WorkingStep }[]).map(({ working }) => working);
  const [base, yearly, implicit] = steps(VAN);
  expect(base).toMatchObject({
    filled: "21,760.00 ÷ 36 + 58,240.00 × 0.00225",
    result: "735.48",
    rounding: "rounded to the nearest 0.01",
  });
  expect(yearly).toMatchObject({ filled: "0.00225 × 2,400", result: "5.4 %" });
  expect(implicit).toMatchObject({ result: "5.4257 %", source: "12 CFR 1013.4(s)" });
  for (const step of [yearly, implicit]) expect(step?.remark).toMatch(/may not measure the overall cost/);
  const quarterly = steps(
    van({ frequency: "quarterly", payments: 12, residual: { percent: "10", of: "price" } }),
  );
  expect(quarterly[0]?.filled).toBe("36,000.00 ÷ 12 + 44,000.00 × 0.00225 × 12 ÷ 4");
  expect(quarterly[3]).toMatchObject({ filled: "10 % of 40,000.00", result: "4,000.00" });
  const [yieldBase] = steps(
    van({ reckoning: "levelYield", moneyFactor: undefined, yearlyRate: "6", residualDue: "lastPayment" }),
  );
  expect(yieldBase?.filled).toMatch(/^\(40,000\.00 − 18,240\.00 × 0\.8398\d{4}\) ÷ \(1 \+ 32\.0353\d{4}\)$/);
});

test.each<[string, object, object, Partial<WorkingStep>]>([
  [
    "residual",
    { residual: undefined, payment: "700.00" },
    {},
    {
      name: "Residual",
      formula: "the last residual whose payment does not pass the one asked for",
      filled: "for a payment of 700.00",
      result: "19,629.84",
    },
  ],
  [
    "residualPercent",
    { residual: undefined },
    { from: { totalIfReturned: "25200.00" } },
    { name: "Residual percent", filled: "for a total if handed back of 25,200.00", result: "49.08 %" },
  ],
  [
    "payments",
    { payments: undefined, payment: "600.00" },
    {},
    {
      name: "Number of payments",
      formula: "the fewest payments at or under the one asked for",
      result: "47",
    },
  ],
  ["price", { payment: "700.00" }, { structure: {} }, { name: "Agreed price", result: "38,818.44" }],
])("a %s that is found says from what", (find, plan, rest, expected) => {
  const file = { ...van(plan, { ...rest, find }), ask: [{ ask: "working", figure: "found" }] };
  const { answers } = answer(JSON.parse(JSON.stringify(file)));
  const [{ working }] = answers as unknown as [{ working: WorkingStep }];
  expect(working).toMatchObject(expected);
  expect(working.parts.map(({ name }) => name)).toEqual(["Payment"]);
});
