import type { LoanFile } from "@/exchange/kinds/loan";
import { EARLY_FEE_FIELD } from "@/features/deal/kinds/loan/fields/early-fee-field";
import { LOAN } from "./lease-and-loan";

const file = { ...LOAN, currency: "USD" } as LoanFile;

function read(text: string): unknown {
  const reading = EARLY_FEE_FIELD.read(text, file);
  return reading.ok ? reading.file.plan.earlyFee : reading.sentence;
}

const shown = (earlyFee: LoanFile["plan"]["earlyFee"]) =>
  EARLY_FEE_FIELD.show({ inputs: { ...file, plan: { ...file.plan, earlyFee } } } as never);

test.each([
  ["250", { amount: "250.00" }],
  ["$1,250.50", { amount: "1250.50" }],
  ["1 %", { percent: "1" }],
  ["1.5% until 24", { percent: "1.5", until: 24 }],
  [
    "2 periods of interest on any early money up to payment 36",
    { interestPeriods: 2, until: 36, on: "anyEarlyMoney" },
  ],
  ["250, no more than the interest left", { amount: "250.00", most: "interestLeft" }],
  ["2 % up to payment 12; 1 %", [{ percent: "2", until: 12 }, { percent: "1" }]],
])("“%s” is a charge, and is shown as one that reads the same", (text, fees) => {
  expect(read(text)).toEqual(fees);
  expect(read(shown(fees as never))).toEqual(fees);
});

test.each(["much", "101 %", "-5", "1 % until 0", "1 % until 1300", "30 periods", "1 %;"])(
  "“%s” is none, and says so",
  text => {
    expect(read(text)).toContain("is not a charge for paying early; type one such as");
  },
);

test("cleared, the part stays with nothing", () => {
  expect(read("")).toEqual({ amount: "0" });
});
