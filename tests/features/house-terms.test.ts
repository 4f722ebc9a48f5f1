import { DEFAULT_SETTINGS, type Settings } from "@/exchange/settings";
import { houseTerms } from "@/exchange/settings/house-terms";
import { overTerm, overTerms } from "@/features/deal/options/usual-options";
import { LOAN, VAN } from "./lease-and-loan";

const HOUSE: Settings = {
  ...DEFAULT_SETTINGS,
  terms: [
    { payments: 48, yearlyRate: "6.19" },
    { payments: 84, yearlyRate: "6.89" },
  ],
};

test.each([
  ["monthly", [48, 84]],
  ["weekly", [208, 364]],
  ["everyTwoWeeks", [104, 182]],
  ["quarterly", [16, 28]],
  ["yearly", [4, 7]],
] as const)("48 and 84 months, paid %s, are %j payments", (frequency, payments) => {
  expect(houseTerms(HOUSE, frequency).map(term => term.payments)).toEqual(payments);
});

test("options over other terms come at the house's rates, where it has them", () => {
  const rates = new Map([[84, "6.89"]]);
  const made = overTerms(LOAN, [36, 84], rates);
  if (!made.ok) throw new Error(made.sentence);
  expect(made.options.map(({ plan }) => [plan.payments, "yearlyRate" in plan && plan.yearlyRate])).toEqual([
    [36, "yearlyRate" in LOAN.plan && LOAN.plan.yearlyRate],
    [84, "6.89"],
  ]);
});

test("a lease by money factor takes the factor that goes with the rate", () => {
  expect(overTerm(VAN, 48, "5.4").plan).toMatchObject({ payments: 48, moneyFactor: "0.00225" });
});
