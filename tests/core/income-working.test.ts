import {
  evaluate,
  evaluateLease,
  income,
  incomeWorking,
  NO_SIDE,
  type Quote,
  type WorkingStep,
} from "@/core";
import { dealWith } from "./deals";
import { leaseOf } from "./random-leases";
import { VAN } from "./van-lease";

const REMARKED = (step: WorkingStep): string[] => [
  ...(step.remark ? [step.remark] : []),
  ...step.parts.flatMap(REMARKED),
];
const remarksOf = (quote: Quote, buyRate: string) => {
  const side = { ...NO_SIDE, cost: 3_000_000, buyRate, reserve: { method: "presentValue" as const } };
  return REMARKED(incomeWorking(quote, side, income(quote, side))).join(" ");
};

test("each way of discounting says at what", () => {
  const loan = evaluate(dealWith({ price: 3_842_500 }, { yearlyRate: "6.49", payments: 72 }));
  const flat = evaluate(dealWith({ price: 3_842_500 }, { kind: "flatRate", yearlyRate: "5", payments: 36 }));
  const lease = evaluateLease(leaseOf(VAN as never));
  if (!loan.ok || !flat.ok || !lease.ok) throw new Error("There is no answer.");
  expect(remarksOf(loan.value, "5.25")).toContain("discounted at 5.25 as the plan counts time.");
  expect(remarksOf(flat.value, "4")).toContain("at the true rate of the same plan at 4 flat.");
  expect(remarksOf(lease.value, "0.00195")).toContain(
    "implicit rate of the same lease at a factor of 0.00195.",
  );
});

test("what is left out of the officer's share is named, and a most that was met is told", () => {
  const loan = evaluate(dealWith({ price: 3_842_500 }, { yearlyRate: "6.49", payments: 72 }));
  if (!loan.ok) throw new Error(loan.failure.sentence);
  const side = {
    ...NO_SIDE,
    cost: 3_610_000,
    buyRate: "5.25",
    others: [{ name: "Holdback", amount: 83_700, in: "back" as const, isShared: false }],
    reserve: { method: "presentValue" as const, most: 100_000 },
    officerShare: { percent: "12", of: "back" as const, less: 20_000 },
  };
  const working = incomeWorking(loan.value, side, income(loan.value, side));
  expect(working.filled).toBe("2,325.00 + 1,837.00");
  const share = working.parts.find(({ name }) => name === "Officer’s share");
  expect(share).toMatchObject({
    filled: "(1,000.00 − 200.00) × 12 %",
    result: "96.00",
    remark: "Not in it: Holdback.",
  });
  expect(REMARKED(working)).toContain("Without the most it would be 1,383.44.");
});
